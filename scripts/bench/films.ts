import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoFilm } from '../../demo';
import { ms, report, spread } from './figures';
import { manyShots } from './many-shots';
import { serve } from './serve';

/** A season's work: this many films, of so many shots that the database comes to some 240 MB. */
const FILMS = 200;
const SHOTS = 300;
const STARTS = 5;
const LISTS = 40;

const dataDir = await mkdtemp(join(tmpdir(), 'dusk-films-'));
let app = await serve(dataDir);
const film = JSON.stringify({ ...demoFilm(), shots: manyShots(SHOTS) });
for (let i = 0; i < FILMS; i += 1) {
  const { status } = await fetch(`${app.address}/api/films/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: film,
  });
  if (status !== 201) throw new Error(`film ${i + 1} was refused: ${status}`);
}
await app.stop();
const { size } = await stat(join(dataDir, 'dusk-slate.db'));
console.log(`\n${FILMS} films, ${(size / 1e6).toFixed(0)} MB stored`);

const starts: number[] = [];
const lists: number[] = [];
for (let i = 0; i < STARTS; i += 1) {
  const began = performance.now();
  app = await serve(dataDir);
  starts.push(performance.now() - began);
  for (let k = 0; k < LISTS; k += 1) {
    const asked = performance.now();
    await (await fetch(`${app.address}/api/films`)).arrayBuffer();
    lists.push(performance.now() - asked);
  }
  await app.stop();
}
const [start, list] = [spread(starts), spread(lists)];
report('from its start until it answers', `median ${ms(start.median)}, worst ${ms(start.max)}`);
report(
  'the list, with the copy of the day being written',
  `median ${ms(list.median)}, p95 ${ms(list.p95)}, worst ${ms(list.max)}`,
);
await rm(dataDir, { recursive: true, force: true });
