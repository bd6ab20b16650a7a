// Bundles a TypeScript entry for Node. Fonts beside the entry go beside the bundle.
import { cpSync, existsSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { rolldown } from 'rolldown';

/** Stays outside whatever is asked: what is compiled for the machine, reads files beside itself, or is loaded for other databases only. */
const OUTSIDE = /^(node:|sqlite3$|epsg-index|pino|write-file-atomic$|umzug$|pg-hstore$)/;
const OWN = /^(\.|\/|@core|@contract|@demo)/;

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    // Packages go into the bundle as well: one file is found and read sooner than two thousand.
    whole: { type: 'boolean', default: false },
  },
});
const [input, file] = positionals;
const bundle = await rolldown({
  input,
  platform: 'node',
  tsconfig: 'tsconfig.json',
  logLevel: 'warn',
  external: (id) => (values.whole ? OUTSIDE.test(id) : !OWN.test(id)),
});
const { output } = await bundle.write({
  dir: dirname(file),
  entryFileNames: basename(file),
  // What is loaded only when it is needed.
  chunkFileNames: `${basename(file, '.mjs')}-[name].mjs`,
  format: 'esm',
});
for (const { fileName, code = '' } of output)
  if (values.whole && /\b__(dir|file)name\b/.test(code))
    throw new Error(`${fileName} holds a package that asks where its own files are: it has to stay outside.`);
const fonts = join(dirname(input), 'fonts');
if (existsSync(fonts)) cpSync(fonts, join(dirname(file), 'fonts'), { recursive: true });
