import type { FilmFile } from '@contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const uuid = (n: number): string => `f0000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const fileOf = (id: string): Promise<FilmFile> => getJson<FilmFile>(server.address, `/api/films/${id}/file`);
const send = (...changes: Parameters<typeof batchOf>) =>
  post(server.address, '/api/changes', batchOf(...changes));
const flightOf = (file: FilmFile, n: number, more: object = {}) => {
  const place = file.locations[0]!.id;
  const shots = file.shots.filter((s) => s.locationId === place);
  return {
    id: uuid(n),
    locationId: place,
    position: `a${n}`,
    aircraftId: shots[0]!.aircraftId,
    launchId: null,
    packId: file.kit.packs[0]!.id,
    stops: shots.slice(0, 2).map((s) => ({ shotId: s.id, pinned: true })),
    locked: true,
    notBefore: '07:10',
    ...more,
  };
};
const logOf = (file: FilmFile, n: number, more: object = {}) => ({
  id: uuid(n),
  filmId: file.film.id,
  flightId: uuid(1),
  aircraftId: file.kit.aircraft[0]!.id,
  packId: file.kit.packs[0]!.id,
  utcMs: 1_810_000_000_000,
  minutes: 12,
  startShare: 1,
  endShare: 0.4,
  plannedWh: 20,
  temperatureC: 11,
  outcome: 'as-planned',
  condition: 'sound',
  shotIds: [file.shots[0]!.id],
  notes: '',
  ...more,
});

describe('flights and their log', () => {
  it('go out and come in on new ids, with their shots, pins and the log of the film', async () => {
    const { id } = await openFirst(server.address);
    const file = await fileOf(id);
    expect(
      (await send(change('flight', 0, flightOf(file, 1)), change('flightLogEntry', 0, logOf(file, 2))))
        .status,
    ).toBe(200);
    const out = await fileOf(id);
    expect(out.flights).toEqual([flightOf(file, 1)]);
    const made = (await (await post(server.address, '/api/films/import', out)).json()) as { id: string };
    const copy = await fileOf(made.id);
    const [flight] = copy.flights;
    expect(flight).toMatchObject({
      locked: true,
      notBefore: '07:10',
      packId: file.kit.packs[0]!.id,
      locationId: copy.locations.find((l) => l.name === file.locations[0]!.name)!.id,
    });
    expect(flight!.id).not.toBe(uuid(1));
    const titles = (f: FilmFile, stops: readonly { readonly shotId: string }[]) =>
      stops.map((s) => f.shots.find((x) => x.id === s.shotId)?.title);
    expect(titles(copy, flight!.stops)).toEqual(titles(out, out.flights[0]!.stops));
    // The log is the owner's: it is here already, and stays with the film it was flown for.
    expect(copy.kit.flightLog.filter((f) => f.id === uuid(2))).toHaveLength(1);
  });
  it('a film that goes takes its flights along; what was flown stays', async () => {
    const { films } = await getJson<{ films: { id: string; name: string }[] }>(server.address, '/api/films');
    const last = films.at(-1)!;
    expect((await fetch(`${server.address}/api/films/${last.id}`, { method: 'DELETE' })).status).toBeLessThan(
      300,
    );
    const { rows } = await getJson<{ rows: { kind: string; value: { id: string } }[] }>(
      server.address,
      '/api/kit',
    );
    expect(rows.filter((r) => r.kind === 'flightLogEntry').map((r) => r.value.id)).toContain(uuid(2));
  });
  it('refuses what cannot be: more at landing than at take-off, a power bank that holds nothing, a pack that is not there, a day that is none', async () => {
    const { id } = await openFirst(server.address);
    const file = await fileOf(id);
    const refused = async (...changes: Parameters<typeof batchOf>): Promise<string> => {
      const r = await send(...changes);
      expect(r.status).toBe(400);
      return ((await r.json()) as { detail: string }).detail;
    };
    expect(
      await refused(change('flightLogEntry', 0, logOf(file, 3, { startShare: 0.4, endShare: 0.8 }))),
    ).toContain('cannot land with 80 %');
    expect(
      await refused(
        change('charger', 0, {
          id: uuid(4),
          name: 'Bank',
          source: 'bank',
          sourceWh: 0,
          slots: 1,
          manner: 'in-turn',
          slotW: 30,
          aircraftIds: [],
          notes: '',
          retired: false,
        }),
      ),
    ).toContain('power bank');
    expect(await refused(change('flight', 0, flightOf(file, 5, { packId: uuid(99) })))).toContain(
      'not there any more',
    );
    const pack = file.kit.packs[0]!;
    expect(await refused(change('pack', 1, { ...pack, chargedOn: '2027-02-30' }))).toContain('calendar');
    expect((await fileOf(id)).flights.filter((f) => f.id === uuid(5))).toEqual([]);
  });
  it('a pack that a flight or the log names is not deleted', async () => {
    const { id } = await openFirst(server.address);
    const file = await fileOf(id);
    const { rows } = await getJson<{ rows: { kind: string; version: number; value: { id: string } }[] }>(
      server.address,
      '/api/kit',
    );
    const pack = rows.find((r) => r.value.id === file.kit.packs[0]!.id)!;
    const answer = await post(server.address, '/api/changes', {
      ...batchOf(),
      changes: [{ kind: 'pack', id: pack.value.id, version: pack.version, value: null }],
    });
    expect(answer.status).toBe(409);
    expect(((await answer.json()) as { detail: string }).detail).toMatch(/still used/);
  });
});
