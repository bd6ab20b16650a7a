import { beforeAll, describe, expect, it } from 'vitest';
import { FilmDeriver } from '../film';
import type { FilmInput } from '../model';
import { dayDifference, dayEdits, withEdits, type DayChange } from './day-changes';

let film: FilmInput;
let first: ReadonlySet<string>;
/** The made-up film, loaded at run time: the core itself imports nobody. */
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
  const [date] = film.locations.map((l) => l.date).sort();
  first = new Set(film.locations.filter((l) => l.date === date).map((l) => l.id));
});
const derive = (input: FilmInput) => new FilmDeriver().derive(input);
const after = (change: DayChange): FilmInput => withEdits(film, dayEdits(film, change, first));
const difference = (change: DayChange) => dayDifference(derive(film), derive(after(change)));

describe('when the day changes', () => {
  it('only the locations still to come change, and what is done elsewhere stays', () => {
    for (const change of [
      { kind: 'wind', byMs: 3 },
      { kind: 'sky', sky: 'overcast' },
      { kind: 'minutes', lost: 15 },
    ] as const) {
      const input = after(change);
      for (const [i, l] of input.locations.entries())
        if (first.has(l.id)) expect(l).not.toEqual(film.locations[i]);
        else expect(l).toBe(film.locations[i]);
      expect(input.shots).toEqual(film.shots);
    }
  });
  it('wind goes up and down by the hour too, never below nothing, and back is where it was', () => {
    const more = withEdits(film, dayEdits(film, { kind: 'wind', byMs: 2 }, first));
    const back = withEdits(more, dayEdits(more, { kind: 'wind', byMs: -2 }, first));
    expect(back.locations.map((l) => [l.windMs, l.gustMs, l.hours.map((h) => h.windMs)])).toEqual(
      film.locations.map((l) => [l.windMs, l.gustMs, l.hours.map((h) => h.windMs)]),
    );
    for (const l of after({ kind: 'wind', byMs: -100 }).locations)
      if (first.has(l.id))
        expect([l.windMs, l.gustMs, ...l.hours.map((h) => h.gustMs)].every((w) => w === 0)).toBe(true);
  });
  it('more wind leaves no pack fuller, a gale drops shots', () => {
    expect(difference({ kind: 'wind', byMs: 4 }).charge.every((c) => c.points < 0)).toBe(true);
    const gale = difference({ kind: 'wind', byMs: 20 });
    expect(gale.dropped.length).toBeGreaterThan(0);
    expect(gale.gained).toEqual([]);
  });
  it('gusts alone change no mean wind and are never below it', () => {
    for (const byMs of [-100, 3]) {
      for (const [i, l] of after({ kind: 'gusts', byMs }).locations.entries()) {
        const was = film.locations[i]!;
        expect(l.windMs).toBe(was.windMs);
        if (!first.has(l.id)) continue;
        expect(l.gustMs).toBe(byMs < 0 ? l.windMs : was.gustMs + byMs);
        for (const h of l.hours) expect(h.gustMs).toBeGreaterThanOrEqual(h.windMs);
      }
    }
  });
  it('a location that is closed flies on the day after, and leaves its packs to the others', () => {
    const [id] = first;
    const was = derive(film);
    const is = derive(after({ kind: 'location-closed', locationId: id! }));
    const stops = (d: typeof was, at: string): number =>
      d.places.get(at)!.flights.reduce((sum, f) => sum + f.stops.length, 0);
    expect(stops(was, id!)).toBeGreaterThan(0);
    for (const f of is.places.get(id!)!.flights)
      expect(f.startMs - was.places.get(id!)!.windowFromMs).toBeGreaterThan(20 * 3_600_000);
    for (const l of film.locations)
      if (first.has(l.id) && l.id !== id) expect(stops(is, l.id)).toBeGreaterThanOrEqual(stops(was, l.id));
  });
  it('lost minutes move the flights by as much; a window never opens after it closes', () => {
    const { moved } = difference({ kind: 'minutes', lost: 10 });
    expect(moved.length).toBeGreaterThan(0);
    expect(new Set(moved.map((m) => m.minutes))).toEqual(new Set([10]));
    for (const l of after({ kind: 'minutes', lost: 5000 }).locations)
      expect(derive({ ...film, locations: [l] }).places.get(l.id)!.windowToMs).toBeGreaterThan(
        derive({ ...film, locations: [l] }).places.get(l.id)!.windowFromMs,
      );
    const late = film.locations.map((l) => ({ ...l, windowStart: '23:50', windowEnd: '00:40' }));
    const input = { ...film, locations: late };
    const [edit] = dayEdits(input, { kind: 'minutes', lost: 20 }, first);
    expect(edit!.fields).toMatchObject({ windowStart: '00:10', date: '2027-05-15' });
  });
  it('a pack read at less on the day itself flies with that, whatever the evening would have topped up', () => {
    const [flight] = [...derive(film).places.values()].flatMap((p) => p.flights);
    expect(film.film.preferences.topUpBefore).toBe(true);
    const read = derive(after({ kind: 'pack-charge', packId: flight!.packId!, share: 0.6 }));
    const [own] = [...read.places.values()].flatMap((p) =>
      p.flights.filter((f) => f.packId === flight!.packId),
    );
    expect(own!.supply.availableWh).toBeCloseTo(0.6 * own!.supply.fullWh, 6);
  });
  it('a pack, a card or an aircraft that drops out is in no flight; a shot that cannot be flown is gone', () => {
    const [flight] = [...derive(film).places.values()].flatMap((p) => p.flights);
    const packId = flight!.packId!;
    const packs = (input: FilmInput) =>
      new Set([...derive(input).places.values()].flatMap((p) => p.flights.map((f) => f.packId)));
    expect(packs(film).has(packId)).toBe(true);
    expect(packs(after({ kind: 'pack-out', packId })).has(packId)).toBe(false);
    const { aircraftId } = flight!;
    const grounded = derive(after({ kind: 'aircraft-out', aircraftId }));
    expect([...grounded.places.values()].flatMap((p) => p.flights.map((f) => f.aircraftId))).not.toContain(
      aircraftId,
    );
    const shotId = film.shots[0]!.id;
    expect(after({ kind: 'shot-out', shotId }).shots.map((s) => s.id)).not.toContain(shotId);
    const cardId = film.kit.cards[0]!.id;
    const fills = derive(after({ kind: 'card-out', cardId })).budget.cardFills;
    expect(fills.map((f) => f.cardId)).not.toContain(cardId);
    expect(difference({ kind: 'pack-charge', packId, share: 0.35 })).not.toEqual(
      difference({ kind: 'wind', byMs: 0 }),
    );
  });
});
