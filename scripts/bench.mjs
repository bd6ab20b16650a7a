// Figures of speed, printed and not judged. The core is bundled first, so that it runs as it does in the pages.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

const node = (...args) => {
  const { status } = spawnSync(process.execPath, args, { stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
};

const core = resolve('.cache/bench-core.mjs');
node('scripts/bundle.mjs', 'scripts/bench/core.ts', core);
await (await import(pathToFileURL(core).href)).run();
for (const part of ['server', 'pages']) node('--import', 'tsx', `scripts/bench/${part}.ts`);
