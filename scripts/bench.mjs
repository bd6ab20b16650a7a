// Figures of speed, printed and not judged. The core is bundled first, so that it runs as it does in the pages.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import { pathToFileURL } from 'node:url';

const folder = mkdtempSync(join(tmpdir(), 'dusk-bench-'));
spawnSync(process.execPath, ['scripts/bundle.mjs', 'scripts/bench/core.ts', join(folder, 'core.mjs')], { stdio: 'inherit' });
const core = await import(pathToFileURL(join(folder, 'core.mjs')).href);
await core.run();
rmSync(folder, { recursive: true, force: true });
for (const part of ['server', 'pages']) {
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', `scripts/bench/${part}.ts`], { stdio: 'inherit' });
  if (status !== 0) process.exit(status ?? 1);
}
