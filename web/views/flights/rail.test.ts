import { deriveFilm } from '../../../core/film/derive';
import { FilmDeriver, type DerivedFilm } from '@core/film';
import { kitOnLocation, moveShot, plannedShares } from '@core/day';
import { layDown } from '../../../core/day/manual-edits';
import { withChanges } from '@core/scheduler';
import type { FilmInput } from '@core/model';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { columnsOf, columnWould, goalAt } from '../shots/packs';
import { railRows, stopAt, type Scale } from './rail';
import { comesTo, wouldBe } from './would-be';
import { numberIn } from '../../../core/testing';

let film: FilmInput;
let derived: DerivedFilm;
let kit: FilmInput['kit'];
beforeAll(async () => {
  film = (await import('../../../demo')).demoFilm() as FilmInput;
  derived = deriveFilm(film);
  kit = kitOnLocation(film.kit, film.film);
});
const rows = (scale: Scale) => railRows(derived, kit, [...derived.places.values()], scale);

describe('the rail on its side', () => {
  it.each(['energy', 'minutes'] as const)(
    'in %s: pieces follow each other without a gap, as long as what they cost',
    (scale) => {
      for (const row of rows(scale)) {
        let at = 0;
        for (const p of row.pieces) {
          expect(p.from).toBeCloseTo(at, 9);
          at += p.size;
        }
        const perUnit = row.pieces
          .map((p) => p.size / (scale === 'energy' ? p.wattHours : p.seconds))
          .filter(Number.isFinite);
        for (const x of perUnit) expect(x).toBeCloseTo(perUnit[0]!, 9);
        expect(Math.max(at, row.rated)).toBeLessThanOrEqual(1 + 1e-9);
        if (scale === 'energy') {
          expect(at).toBeCloseTo((row.flight.usedWh / row.flight.supply.availableWh) * row.held, 6);
          expect(at).toBeLessThanOrEqual(row.reserveFrom + 1e-9);
        }
      }
    },
  );
  it('lands with what the log form, the flying card and the sheets say', () => {
    const all = rows('energy');
    for (const row of all) {
      const shown = 100 * plannedShares(row.flight).endShare;
      expect(row.landsWith).toBe(shown);
      expect(comesTo(row.flight, kit.packs).landsWith).toBe(shown);
    }
    // Packs have aged: of what is on the label it would be less.
    const label = (id: string | null): number => kit.packs.find((p) => p.id === id)?.ratedWh ?? 0;
    expect(all.some((r) => r.flight.supply.fullWh < label(r.flight.packId) - 1)).toBe(true);
  });
  it('numbers the day through by time, and gives each flight the card it is put on', () => {
    const all = rows('energy');
    expect([...all].sort((a, b) => a.flight.startMs - b.flight.startMs).map((r) => r.number)).toEqual(
      all.map((_, i) => i + 1),
    );
    for (const r of all) expect(r.card).toMatch(/^Card/);
    const bare = deriveFilm({ ...film, kit: { ...film.kit, cards: [] } });
    expect(railRows(bare, kit, [...bare.places.values()], 'energy').every((r) => r.noRoom)).toBe(true);
  });
  it('what is let go further along comes no earlier, and lands between two stops or at the end', () => {
    const [row] = rows('energy');
    fc.assert(
      fc.property(numberIn(0, 1), numberIn(0, 1), (a, b) => {
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(stopAt(row!, low)).toBeLessThanOrEqual(stopAt(row!, high));
        expect(stopAt(row!, high)).toBeLessThanOrEqual(row!.flight.stops.length);
      }),
    );
    expect(stopAt(row!, 0)).toBe(0);
    expect(stopAt(row!, 1)).toBe(row!.flight.stops.length);
  });
  it('keeps the key of a flight that is laid down, so that it stays in hand', () => {
    const place = film.locations[0]!.id;
    const keysOf = (whole: typeof derived) =>
      railRows(whole, kit, [...whole.places.values()], 'energy')
        .filter((r) => r.locationId === place)
        .map((r) => r.key);
    const laid = withChanges(film, layDown(film, derived, place).changes);
    expect(laid.flights.length).toBeGreaterThan(0);
    expect(keysOf(deriveFilm(laid))).toEqual(keysOf(derived));
  });
});

describe('packs stood on end', () => {
  it('one column for each charge of a pack; every flight of the day in one of them, none under its ground', () => {
    const twice: FilmInput = {
      ...film,
      locations: film.locations.map((l) => ({ ...l, wallPower: true })),
      kit: { ...film.kit, packs: film.kit.packs.filter((p) => p.name !== 'P2' && p.name !== 'P3') },
    };
    const now = deriveFilm(twice);
    const day = [...now.places.values()].filter((p) => p.location.date === film.locations[0]!.date);
    const columns = columnsOf(now, day[0]!, twice.kit.packs);
    const flown = day.flatMap((p) => p.flights.flatMap((f) => f.stops.map((s) => s.shotId)));
    expect(
      columns
        .filter((c) => !c.ghost)
        .flatMap((c) => c.pieces.flatMap((p) => (p.shotId ? [p.shotId] : [])))
        .sort(),
    ).toEqual([...flown].sort());
    for (const c of columns.filter((x) => !x.ghost))
      expect(c.heldWh - c.usedWh).toBeGreaterThanOrEqual(c.reserveWh - 1e-6);
    expect(columns.some((c) => c.name.endsWith('\u21bb'))).toBe(true);
    expect(new Set(columns.map((c) => c.key)).size).toBe(columns.length);
  });
  it('a shot let go on a column goes where it is held: what would be is what is, once it is let go', () => {
    const reckoner = new FilmDeriver();
    const places = [...derived.places.values()];
    let moved = 0;
    for (const place of places) {
      const columns = columnsOf(derived, place, kit.packs);
      for (const shotId of place.flights.map((f) => f.stops[0]!.shotId))
        for (const [at, c] of columns.entries()) {
          const share = [0.05, 0.5, 1][at % 3]!;
          const goal = goalAt(c, c.heldWh * share);
          expect(goal === null).toBe(c.ghost);
          let n = 0;
          const changes =
            goal &&
            moveShot(film, derived, shotId, goal, () => {
              n += 1;
              return `id${n}`;
            });
          if (!changes || changes.length === 0) continue;
          moved += 1;
          const after = withChanges(film, changes);
          const told = reckoner.flights(after);
          const really = deriveFilm(after).places;
          expect([...told.values()].map((p) => p.flights)).toEqual(
            [...really.values()].map((p) => p.flights),
          );
          const now = really
            .get(place.location.id)!
            .flights.find((f) => f.stops.some((s) => s.shotId === shotId))!;
          if (goal.to === 'flight')
            expect(wouldBe(place.flights[goal.index]!, told, kit.packs, shotId, true)).toMatchObject({
              usedWh: now.usedWh,
              overWh: now.overWh,
            });
          else
            expect(columnWould(c, told, kit.packs, shotId, true)).toMatchObject({
              usedWh: now.usedWh,
              overWh: now.overWh,
            });
        }
    }
    expect(moved).toBeGreaterThan(20);
  });
});
