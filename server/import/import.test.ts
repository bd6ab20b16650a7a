import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { AnyRow, Change, FilmFile, LoggedChange, Problem } from '@contract';
import { demoFilm } from '@demo';
import fc from 'fast-check';
import { v4 as uuid } from 'uuid';
import { batchOf, change, getJson, openFirst, post, testServer } from '../testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const take = async (file: unknown): Promise<{ status: number; body: Problem & { id?: string } }> => {
  const response = await post(server.address, '/api/films/import', file);
  return { status: response.status, body: (await response.json()) as Problem & { id?: string } };
};
const film = demoFilm();
const [shot] = film.shots;

describe('a film file', () => {
  it('is counted before it is looked at, and names no more faults than anybody reads', async () => {
    const long = await take({ ...film, shots: Array.from({ length: 60_000 }, () => ({ wrong: true })) });
    expect(long).toMatchObject({
      status: 400,
      body: { detail: 'shots may have at most 5000; it has 60000.' },
    });
    const kit = { ...film.kit, packs: Array.from({ length: 501 }, () => film.kit.packs[0]) };
    expect((await take({ ...film, kit })).body.fields?.[0]).toMatchObject({ path: '/kit/packs' });
    const wrong = await take({ ...film, shots: film.shots.map((s) => ({ ...s, takes: -1, setupS: 'x' })) });
    expect(wrong.body.fields?.length).toBeLessThanOrEqual(20);
    for (const text of ['', '{', '[]', 'null', '"film"', '{"format":1}'])
      expect((await take(text)).status, text).toBe(400);
  });
  it('of thousands of shots comes back as it was, in one step of the log', async () => {
    const shots = Array.from({ length: 2500 }, (_, i) => ({
      ...shot!,
      id: uuid(),
      title: `Shot ${i}`,
      position: `a${String(i).padStart(5, '0')}V`,
      afterId: null,
    }));
    const { body } = await take({ ...film, shots: [...film.shots, ...shots] });
    const out = await getJson<FilmFile>(server.address, `/api/films/${body.id}/file`);
    const titles = (list: readonly { title: string; position: string }[]) =>
      list.map((s) => `${s.position} ${s.title}`).sort();
    expect(titles(out.shots)).toEqual(titles([...film.shots, ...shots]));
    const log = await server.films.since(0, 50_000);
    const sequences = log?.map((c) => c.sequence) ?? [];
    expect(sequences).toEqual(sequences.map((_, i) => (sequences[0] ?? 0) + i));
    expect(new Set(log?.slice(-2500).map((c) => c.batch)).size).toBe(1);
  });
});

describe('a batch of many changes', () => {
  it('comes to the same as its changes one by one', async () => {
    const { rows } = await openFirst(server.address);
    const locationId = rows.find((r) => r.kind === 'location')!.value.id;
    const value = (
      kind: 'subject' | 'feature',
      id: string,
      n: number,
    ): Record<string, unknown> & { id: string } => {
      const example = (kind === 'subject' ? film.subjects : film.features)[0]!;
      return { ...example, id, locationId, name: `${kind} ${n}` };
    };
    let reached = 0;
    const send = async (...changes: Change[]): Promise<number> =>
      (await post(server.address, '/api/changes', batchOf(...changes))).status;
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({
            kind: fc.constantFrom('subject', 'feature'),
            act: fc.constantFrom('new', 'edit', 'drop'),
          }),
          {
            minLength: 2,
            maxLength: 30,
          },
        ),
        async (plan) => {
          /** The same plan on ids of its own; what is edited and dropped is there before. */
          const build = async () => {
            const changes: Change[] = [];
            for (const [n, { kind, act }] of plan.entries()) {
              const id = uuid();
              if (act !== 'new') expect(await send(change(kind, 0, value(kind, id, n)))).toBe(200);
              if (act === 'drop') changes.push({ kind, id, version: 1, value: null });
              else changes.push(change(kind, act === 'new' ? 0 : 1, value(kind, id, n + 100)));
            }
            return changes;
          };
          const outcome = async (changes: readonly Change[], from: number) => {
            const log = (await server.films.since(from))!;
            const stored = (await server.films.rowsOf((await openFirst(server.address)).id)).concat();
            const of = (c: Change): AnyRow | undefined => stored.find((r) => r.value.id === c.id);
            const name = (v: unknown) => (v as { name?: string } | null)?.name ?? null;
            return {
              rows: changes.map((c) => [c.kind, of(c)?.version ?? null, name(of(c)?.value)]),
              log: log.map((c: LoggedChange) => [c.kind, c.version, name(c.before), name(c.after)]),
            };
          };
          const together = await build();
          const before = await server.films.sequence();
          expect(await send(...together)).toBe(200);
          const one = await outcome(together, before);
          const apart = await build();
          const then = await server.films.sequence();
          for (const c of apart) expect(await send(c)).toBe(200);
          expect(one).toEqual(await outcome(apart, then));
          reached += new Set(plan.map((p) => p.act)).size === 3 ? 1 : 0;
        },
      ),
      { numRuns: 6 },
    );
    expect(reached).toBeGreaterThan(1);
  });
});
