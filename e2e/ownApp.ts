import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pino from 'pino';
import { start } from '../server/start';
import { test as base } from './app';

/** Packs are flown, logged and left at home here: a database of its own, so that no other journey finds them so. */
export const test = base.extend<object, object>({
  // eslint-disable-next-line no-empty-pattern -- the runner reads which fixtures are wanted from the pattern
  app: [async ({}, use: (app: Awaited<ReturnType<typeof start>>) => Promise<void>) => {
    const dataDir = await mkdtemp(join(tmpdir(), 'dusk-e2e-'));
    const app = await start({ host: '127.0.0.1', port: 0, dataDir, names: [], demo: false, webDir: resolve('dist/web') }, pino({ level: 'silent' }));
    await use(app);
    await app.stop();
    await rm(dataDir, { recursive: true, force: true });
  }, { scope: 'worker' }],
} as never);
