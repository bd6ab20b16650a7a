import { mkdtemp, rm } from 'node:fs/promises';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v4 as uuid } from 'uuid';
import type { AnyRow } from '../../contract';
import { demoFilm } from '../../demo';
import { manyShots } from './many-shots';
import { serve } from './serve';
import { ms, report, spread, writeKept } from './figures';

const FILMS = 20;
const SHOTS = 60;
const PER_SECOND = 100;
const SECONDS = 8;

const sixtyShots = () => ({ ...demoFilm(), shots: manyShots(SHOTS) });

const agent = new Agent({ keepAlive: true });
/** A post that costs this process little, since it shares the machine with the server. */
const lightPost = (address: string, path: string, body: unknown): Promise<number> =>
  new Promise((resolve, reject) => {
    const text = JSON.stringify(body);
    const sent = request(
      `${address}${path}`,
      {
        method: 'POST',
        agent,
        headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) },
      },
      (answer) => {
        answer.resume();
        answer.on('end', () => {
          resolve(answer.statusCode ?? 0);
        });
      },
    );
    sent.on('error', reject);
    sent.end(text);
  });

const run = async (): Promise<void> => {
  const dataDir = await mkdtemp(join(tmpdir(), 'dusk-bench-'));
  const app = await serve(dataDir);
  const post = (path: string, body: unknown): Promise<Response> =>
    fetch(`${app.address}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const films: string[] = [];
  for (let i = 0; i < FILMS; i += 1)
    films.push(((await (await post('/api/films/import', sixtyShots())).json()) as { id: string }).id);
  const opened = await Promise.all(
    films.map(
      async (f) => ((await (await fetch(`${app.address}/api/films/${f}`)).json()) as { rows: AnyRow[] }).rows,
    ),
  );
  const rows = opened.flat().filter((r): r is Extract<AnyRow, { kind: 'shot' }> => r.kind === 'shot');
  const versions = new Map(rows.map((r) => [r.value.id, r.version]));
  const save = async (i: number): Promise<number> => {
    const row = rows[i % rows.length];
    if (!row) return NaN;
    const version = versions.get(row.value.id) ?? 1;
    versions.set(row.value.id, version + 1);
    const began = performance.now();
    const answer = await lightPost(app.address, '/api/changes', {
      batch: uuid(),
      device: 'bench',
      changes: [{ kind: 'shot', id: row.value.id, version, value: { ...row.value, takes: 1 + (i % 5) } }],
    });
    if (answer !== 200) throw new Error(`a save was refused: ${answer}`);
    return performance.now() - began;
  };
  for (let i = 0; i < 100; i += 1) await save(i);
  const pending: Promise<number>[] = [];
  const began = performance.now();
  for (let i = 0; i < PER_SECOND * SECONDS; i += 1) {
    const wait = began + (i * 1000) / PER_SECOND - performance.now();
    if (wait > 0)
      await new Promise((resolve) => {
        setTimeout(resolve, wait);
      });
    pending.push(save(100 + i));
  }
  const times = spread(await Promise.all(pending));
  console.log(`\nServer, ${FILMS} films of ${SHOTS} shots stored`);
  report(
    `saving one shot at ${PER_SECOND} requests a second`,
    `median ${ms(times.median)}, p95 ${ms(times.p95)}, worst ${ms(times.max)}`,
  );
  const opens: number[] = [];
  for (let i = 0; i < 60; i += 1) {
    const at = performance.now();
    await (await fetch(`${app.address}/api/films/${films[i % films.length]}`)).arrayBuffer();
    opens.push(performance.now() - at);
  }
  report('opening a film', `median ${ms(spread(opens).median)}`);
  agent.destroy();
  await app.stop();
  await rm(dataDir, { recursive: true, force: true });
};

await run();
writeKept('server');
