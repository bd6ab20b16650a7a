// What ships and under which licence: of packages the server runs and of those built into the pages, with all they bring along.
// `--write` writes docs/licences.md; without it that file is compared, and a licence that may not be taken fails.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const FILE = 'docs/licences.md';
const SOURCES = ['core', 'contract', 'demo', 'server', 'web'];
/** MIT, BSD, ISC, Apache, OFL, and what asks for less than they do. */
const TAKEN = new Set([
  'MIT',
  'MIT-0',
  'ISC',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'Apache-2.0',
  'OFL-1.1',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'Unlicense',
  'Zlib',
]);

const read = (path) => JSON.parse(readFileSync(path, 'utf8'));
const lock = read('package-lock.json').packages;
const own = read('package.json');

const filesIn = (dir) =>
  readdirSync(dir, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.(ts|vue|css)$/.test(f) && !/\.test\.ts$|\btesting\b/.test(f))
    .map((f) => join(dir, f));

/** Packages a source asks for by name. */
const importedIn = (file) =>
  [...readFileSync(file, 'utf8').matchAll(/(?:from|import|url)\s*\(?\s*['"]((?:@[\w.-]+\/)?[\w.-]+)/g)].map(
    (m) => m[1],
  );

/** Where Node finds a package asked for from another. */
const resolved = (from, name) => {
  for (let at = from; ; at = at.slice(0, Math.max(0, at.lastIndexOf('node_modules/') - 1))) {
    const path = `${at === '' ? '' : `${at}/`}node_modules/${name}`;
    if (lock[path]) return path;
    if (at === '') return null;
  }
};

const reached = new Set();
const reach = (path) => {
  if (path === null || reached.has(path)) return;
  reached.add(path);
  const { dependencies = {}, optionalDependencies = {} } = lock[path];
  for (const name of Object.keys({ ...dependencies, ...optionalDependencies })) reach(resolved(path, name));
};
const declared = { ...own.dependencies, ...own.devDependencies };
for (const name of [
  ...Object.keys(own.dependencies),
  ...SOURCES.flatMap(filesIn)
    .flatMap(importedIn)
    .filter((n) => declared[n]),
])
  reach(resolved('', name));

/** Some say it only in the text of their licence. */
const fromText = (path) => {
  const file = ['LICENSE', 'LICENSE.md', 'LICENSE.txt', 'license', 'LICENCE'].find((f) =>
    existsSync(join(path, f)),
  );
  const text = file ? readFileSync(join(path, file), 'utf8') : '';
  if (/Permission is hereby granted, free of charge/.test(text)) return 'MIT';
  if (/Redistributions? in binary form/.test(text))
    return /Neither the name|may not be used to endorse/.test(text) ? 'BSD-3-Clause' : 'BSD-2-Clause';
  return '';
};
const licenceOf = (path) => {
  const { license, licenses } = lock[path].license
    ? lock[path]
    : existsSync(join(path, 'package.json'))
      ? read(join(path, 'package.json'))
      : {};
  const said = license ?? licenses;
  const one = Array.isArray(said) ? said.map((l) => l.type ?? l).join(' OR ') : (said?.type ?? said);
  return one || fromText(path);
};
/** One of several to choose from is enough; of several that hold together, each. */
const isTaken = (licence) =>
  licence
    .replace(/[()]/g, '')
    .split(' OR ')
    .some((choice) => choice.split(' AND ').every((l) => TAKEN.has(l.trim())));

const rows = [...reached].map((path) => ({
  name: path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length),
  version: lock[path].version,
  licence: licenceOf(path),
}));
const refused = rows.filter((r) => !isTaken(r.licence));
const lines = [...new Set(rows.map((r) => `- ${r.name} ${r.version}: ${r.licence}`))].sort();
const text = `# Licences

Every package that ships with Dusk Slate, those built into its pages among them. Written by \`npm run licences\`, checked with lint. Fonts: Archivo and Noto Sans, OFL-1.1, those in server/documents/fonts among them.

${lines.join('\n')}
`;
if (process.argv.includes('--write')) writeFileSync(FILE, text);
const stale = !existsSync(FILE) || readFileSync(FILE, 'utf8') !== text;
for (const { name, version, licence } of refused)
  console.error(`${name} ${version}: ${licence || 'no licence found'} may not be taken.`);
if (stale) console.error(`${FILE} is not of today: npm run licences`);
console.log(`${lines.length} packages ship, ${refused.length} under a licence that may not be taken.`);
process.exit(refused.length > 0 || stale ? 1 : 0);
