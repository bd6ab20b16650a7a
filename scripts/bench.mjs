// Figures of speed, printed and not judged. The core is bundled first, so that it runs as it does in the pages.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';

const { values } = parseArgs({
  options: {
    keep: { type: 'boolean', default: false },
    hour: { type: 'boolean', default: false },
    films: { type: 'boolean', default: false },
  },
});
/** Figures of an earlier run, kept with the code. */
const KEPT = 'docs/bench.json';
const FOLDER = '.cache/bench';
/** From here on a figure counts as worse: times wander by less from run to run. */
const WORSE = 1.25;
/** What is worth a line of its own at the end. */
const CHIEF = [
  ['first plan', '40 shots, 8 packs: first plan'],
  ['film worked out afresh', 'every cost and warning of 500 shots, nothing remembered'],
  ['save', 'saving one shot at 100 requests a second'],
  ['first view', '18 shots: usable after'],
  ['frame, 500 shots', '500 shots, slider held: own code of a frame'],
];

const node = (...args) => {
  const { status } = spawnSync(process.execPath, args, { stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};

if (values.hour) {
  // What a tab holds after an hour of work, by itself: it takes ten minutes.
  node('--import', 'tsx', 'scripts/bench/hour.ts');
  process.exit();
}
if (values.films) {
  // How a season's films start and are listed: making them takes minutes.
  node('--import', 'tsx', 'scripts/bench/films.ts');
  process.exit();
}
rmSync(FOLDER, { recursive: true, force: true });
const core = resolve('.cache/bench-core.mjs');
node('scripts/bundle.mjs', 'scripts/bench/core.ts', core);
await (await import(pathToFileURL(core).href)).run();
for (const part of ['server', 'pages']) node('--import', 'tsx', `scripts/bench/${part}.ts`);

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {});
const figures = Object.assign({}, ...['core', 'server', 'pages'].map((p) => read(join(FOLDER, `${p}.json`))));
writeFileSync(join(FOLDER, 'all.json'), JSON.stringify(figures, null, 1));
const before = read(KEPT);
const red = (text) => (process.stdout.isTTY ? `\u001b[31m${text}\u001b[0m` : `! ${text}`);
const against = (name) => {
  const [now, then] = [figures[name], before[name]];
  if (!now || !then) return null;
  return now.ratio === null || then.ratio === null ? now.value / then.value : now.ratio / then.ratio;
};
const worse = Object.keys(figures).filter((name) => (against(name) ?? 0) > WORSE);
console.log(`\nAgainst the run kept in ${KEPT}, each time over that of the same sums in its own run`);
if (worse.length === 0)
  console.log(`Nothing is worse by more than a quarter, of ${Object.keys(figures).length} figures.`);
for (const name of worse) console.log(red(`${name.padEnd(58)} ${against(name).toFixed(2)} times as long`));
console.log('');
for (const [name, figure] of CHIEF) {
  const now = figures[figure];
  const ratio = against(figure);
  console.log(
    `${name.padEnd(28)} ${now ? `${now.value} ${now.unit}` : 'not measured'}${ratio ? `, ${ratio.toFixed(2)} of the kept run` : ''}`,
  );
}
if (values.keep) writeFileSync(KEPT, `${JSON.stringify(figures, null, 2)}\n`);
