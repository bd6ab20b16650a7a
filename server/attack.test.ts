import { execFile } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { floods } from '../scripts/attack/floods';
import { fuzz } from '../scripts/attack/fuzz';
import { kills } from '../scripts/attack/kills';
import { power } from '../scripts/attack/power';
import { races } from '../scripts/attack/races';
import { testServer } from './testing';

/** `npm run attack` in short. */
let server: Awaited<ReturnType<typeof testServer>>;
let folder: string;
const program = join(process.cwd(), '.cache/attack/main.mjs');
beforeAll(async () => {
  await promisify(execFile)(process.execPath, ['scripts/bundle.mjs', '--whole', 'server/main.ts', program]);
  folder = await mkdtemp(join(tmpdir(), 'dusk-attack-'));
  server = await testServer();
});
afterAll(async () => {
  await server.end();
  await rm(folder, { recursive: true, force: true });
});

it('of clients that change one thing at once one wins, and the others are told', async () => {
  const { faults, figures } = await races(server.address, 60);
  expect(faults).toEqual([]);
  expect(Number(figures['told of a conflict'])).toBeGreaterThan(60);
});
it('no request breaks it', async () => {
  const { faults, figures } = await fuzz(server.address, 1500);
  expect(faults.filter((f) => !f.includes('took more than'))).toEqual([]);
  expect(figures['answers']).toMatch(/200: \d{2}.*400: \d{2}.*404: \d{2}/);
});
it('saves go on beside streams nobody reads and bodies that never end', async () => {
  expect((await floods(server.address, 60, 20)).faults).toEqual([]);
});
it('what was acknowledged is there after it was killed', async () => {
  const { faults, figures } = await kills(program, join(folder, 'kills'), 2);
  expect(faults).toEqual([]);
  expect(Number(figures['saves acknowledged'])).toBeGreaterThan(5);
});
it('what was acknowledged is there after the power went, whatever of the unsynced was lost', async () => {
  const { faults, figures } = await power(program, join(folder, 'power'), 24);
  expect(faults).toEqual([]);
  expect(Number(figures['states opened'])).toBeGreaterThanOrEqual(60);
  expect(Number(figures['expected'])).toBeGreaterThan(5);
});
