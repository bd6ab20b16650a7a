import { newRow } from '@core/model';
import { v4 as uuid } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { AnyRow, LoggedChange } from '@contract';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const shotOf = (rows: readonly AnyRow[]) =>
  rows.find((r) => r.kind === 'shot') as Extract<AnyRow, { kind: 'shot' }>;

describe('what undo is rebuilt from', () => {
  it('has the kit that was changed along, and whole batches only', async () => {
    const { id, rows } = await openFirst(server.address);
    const shot = shotOf(rows);
    const { rows: kit } = await getJson<{ rows: AnyRow[] }>(server.address, '/api/kit');
    const card = kit.find((r) => r.kind === 'card')!;
    const batch = batchOf(
      change('shot', shot.version, { ...shot.value, notes: 'with the card' }),
      change('card', card.version, { ...card.value, name: 'Card of the batch' }),
    );
    expect((await post(server.address, '/api/changes', batch)).status).toBe(200);
    const { changes } = await getJson<{ changes: LoggedChange[] }>(
      server.address,
      `/api/films/${id}/changes`,
    );
    expect(changes.filter((c) => c.batch === batch.batch).map((c) => c.kind)).toEqual(['shot', 'card']);
    // Cut within a batch, none of it is left.
    const [later] = (await getJson<{ rows: AnyRow[] }>(server.address, `/api/films/${id}`)).rows.filter(
      (r) => r.value.id === shot.value.id,
    );
    const next = batchOf(change('shot', later!.version, { ...later!.value, notes: 'after' } as never));
    expect((await post(server.address, '/api/changes', next)).status).toBe(200);
    expect((await server.films.changes(id, 2)).map((c) => c.batch)).toEqual([next.batch]);
    expect((await server.films.changes(id, 3)).map((c) => c.batch)).toEqual([next.batch]);
    expect((await server.films.changes(id, 4)).map((c) => c.batch)).toEqual([
      batch.batch,
      batch.batch,
      next.batch,
    ]);
  });

  it('has an act of several batches whole or not at all, and whole however large while it is the newest', async () => {
    const { id, rows } = await openFirst(server.address);
    const { locationId } = shotOf(rows).value;
    const act = uuid();
    const ground = () =>
      change('groundShot', 0, newRow('groundShot', { id: uuid(), locationId, position: 'a0' }));
    for (const n of [3, 2]) {
      const batch = { ...batchOf(...Array.from({ length: n }, ground)), step: act };
      expect((await post(server.address, '/api/changes', batch)).status).toBe(200);
    }
    expect((await server.films.changes(id, 4)).map((c) => c.step)).toEqual(Array(5).fill(act));
    const last = batchOf(ground());
    expect((await post(server.address, '/api/changes', last)).status).toBe(200);
    expect((await server.films.changes(id, 4)).map((c) => c.batch)).toEqual([last.batch]);
    expect(new Set((await server.films.changes(id, 7)).map((c) => c.step ?? c.batch))).toEqual(
      new Set([act, last.batch]),
    );
  });
});

describe('events', () => {
  const listen = async (since: number, count: number, act: () => Promise<void>): Promise<LoggedChange[]> => {
    const aborted = new AbortController();
    const response = await fetch(`${server.address}/api/events?since=${since}`, { signal: aborted.signal });
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    const heard: LoggedChange[] = [];
    let text = '';
    const acting = act();
    while (heard.length < count) {
      const { value } = await reader.read();
      text += value ?? '';
      const parts = text.split('\n\n');
      text = parts.pop() ?? '';
      for (const part of parts) {
        const data = /^data: (.*)$/m.exec(part)?.[1];
        if (data) heard.push(JSON.parse(data) as LoggedChange);
      }
    }
    await acting;
    aborted.abort();
    return heard;
  };

  it('asks to read anew where what was missed cannot be told: a sequence of another database', async () => {
    const { sequence } = await openFirst(server.address);
    const aborted = new AbortController();
    const response = await fetch(`${server.address}/api/events?since=${sequence + 100}`, {
      signal: aborted.signal,
    });
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    while (!text.includes('event: reset')) text += (await reader.read()).value ?? '';
    expect(text).toContain(`id: ${sequence}\nevent: reset`);
    aborted.abort();
    expect(await server.films.since(0, 3)).toBeNull();
    expect(await server.films.since(sequence, 3)).toEqual([]);
  });
  it('passes changes on as they are taken and replays what was missed, once each', async () => {
    const { rows, sequence } = await openFirst(server.address);
    const shot = shotOf(rows);
    const save = (version: number, title: string) =>
      post(server.address, '/api/changes', batchOf(change('shot', version, { ...shot.value, title })));
    await save(shot.version, 'missed');
    const heard = await listen(sequence, 2, async () => {
      await save(shot.version + 1, 'live');
    });
    expect(heard.map((c) => (c.after as { title: string }).title)).toEqual(['missed', 'live']);
  });
});
