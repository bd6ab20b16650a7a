import type { FilmFile, KitFile } from '@contract';
import { newValidator } from '../contract/validator';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const uuid = (n: number): string => `f1000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const fileOf = (id: string): Promise<FilmFile> => getJson<FilmFile>(server.address, `/api/films/${id}/file`);
const send = (...changes: Parameters<typeof batchOf>) =>
  post(server.address, '/api/changes', batchOf(...changes));
const moveOf = (cardId: string, n: number, more: object = {}) => ({
  id: uuid(n),
  cardId,
  utcMs: 1_810_000_000_000 + n,
  act: 'record',
  spot: 'aircraft',
  aircraftId: null,
  gb: 4.5,
  copiesWanted: 2,
  waiver: '',
  ...more,
});
const answerOf = (file: FilmFile, n: number, more: object = {}) => ({
  id: uuid(n),
  locationId: file.locations[0]!.id,
  checkId: 'propellers',
  moment: 'launch-point',
  shotId: file.shots[0]!.id,
  verdict: 'passed',
  reason: '',
  found: '',
  who: 'Iria',
  utcMs: 1_810_000_000_000,
  ...more,
});

describe('cards, gear and checks', () => {
  it('what happened to cards, gear, checks and answers go out and come in, answers on the new film', async () => {
    const { id } = await openFirst(server.address);
    const file = await fileOf(id);
    const own = {
      id: uuid(3),
      builtIn: '',
      name: 'The gate is locked again.',
      moment: 'leaving-place',
      protects: 'Sheep',
      position: '',
      off: false,
      notes: '',
      retired: false,
    };
    expect(
      (
        await send(
          change('cardMove', 0, moveOf(file.kit.cards[0]!.id, 1)),
          change('answer', 0, answerOf(file, 2)),
          change('check', 0, own),
        )
      ).status,
    ).toBe(200);
    const out = await fileOf(id);
    expect(out.kit.cardMoves.map((m) => m.id)).toContain(uuid(1));
    expect(out.kit.checks).toContainEqual(own);
    const made = (await (await post(server.address, '/api/films/import', out)).json()) as { id: string };
    const copy = await fileOf(made.id);
    const mine = copy.answers.find((a) => a.checkId === 'propellers')!;
    expect(mine).toMatchObject({
      locationId: copy.locations.find((l) => l.name === file.locations[0]!.name)!.id,
      who: 'Iria',
    });
    expect(copy.shots.find((s) => s.id === mine.shotId)?.title).toBe(file.shots[0]!.title);
    // The owner's own things are here once.
    expect(copy.kit.cardMoves).toEqual(out.kit.cardMoves);
    // A place that goes takes its answers along; the life of the cards stays.
    await fetch(`${server.address}/api/films/${made.id}`, { method: 'DELETE' });
    expect((await fileOf(id)).kit.cardMoves).toEqual(out.kit.cardMoves);
  });
  it('says what cannot be: a waiver without a reason, a card that is not there, a card that still has a life', async () => {
    const { id } = await openFirst(server.address);
    const file = await fileOf(id);
    const waived = await send(change('answer', 0, answerOf(file, 10, { verdict: 'waived', reason: ' ' })));
    expect([waived.status, ((await waived.json()) as { detail: string }).detail]).toEqual([
      400,
      'Say why it is waived: the log keeps the reason.',
    ]);
    expect((await send(change('cardMove', 0, moveOf(uuid(99), 11)))).status).toBe(400);
    const { rows } = await getJson<{ rows: { kind: string; version: number; value: { id: string } }[] }>(
      server.address,
      '/api/kit',
    );
    const told = file.kit.cardMoves[0]!.cardId;
    const card = rows.find((r) => r.value.id === told)!;
    const gone = await post(
      server.address,
      '/api/changes',
      batchOf({ kind: 'card', id: told, version: card.version, value: null } as never),
    );
    expect(gone.status).toBe(409);
    expect(((await gone.json()) as { detail: string }).detail).toMatch(/still used by \d entr(y|ies)/);
    expect((await send(change('answer', 0, answerOf(file, 12, { moment: 'midnight' })))).status).toBe(400);
    expect((await send(change('gear', 0, { ...file.kit.gear[0]!, id: uuid(13), count: -2 }))).status).toBe(
      400,
    );
  });
  it('the kit goes out as a file of the form that is published', async () => {
    const kit = await getJson<KitFile>(server.address, '/api/kit/file');
    const schema = await getJson<object>(server.address, '/api/schemas/kit-file');
    const check = newValidator().compile(
      Object.fromEntries(Object.entries(schema).filter(([k]) => k !== '$schema')),
    );
    expect(check(kit), JSON.stringify(check.errors)).toBe(true);
    expect(kit.kit.gear.length).toBeGreaterThan(5);
    expect((await fetch(`${server.address}/api/schemas/boats`)).status).toBe(404);
  });
});
