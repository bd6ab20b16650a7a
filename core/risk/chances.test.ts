import { beforeAll, describe, expect, it } from 'vitest';
import { deriveFilm } from '../film/derive';
import type { FilmInput } from '../model';
import { riskDay } from './chances';

let film: FilmInput;
let date = '';
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm();
  date = film.locations[0]!.date;
});
const dayOf = (input: FilmInput) => {
  const derived = deriveFilm(input);
  return { derived, day: riskDay(input, derived, date)! };
};

describe('a date as the dice see it', () => {
  it('has for each flight the seconds and the energy of the plan, part by part', () => {
    const { derived, day } = dayOf(film);
    const flights = [...derived.places.values()]
      .filter((p) => p.location.date === date)
      .flatMap((p) => p.flights)
      .sort((a, b) => a.startMs - b.startMs);
    expect(day.flights).toHaveLength(flights.length);
    for (const [i, f] of day.flights.entries()) {
      const plan = flights[i]!;
      expect(f.stops.map((s) => s.id)).toEqual(plan.stops.map((s) => s.shotId));
      const sum = (of: (s: (typeof f.stops)[number]) => number) => f.stops.reduce((all, s) => all + of(s), 0);
      expect(
        f.takeoffS +
          f.stops.at(-1)!.homeS +
          sum((s) => s.legS + s.setupS / s.setUpShare + s.takes * s.takeS + (s.takes - 1) * s.betweenS),
      ).toBeCloseTo(plan.seconds, 3);
      expect(
        f.takeoffWh +
          f.stops.at(-1)!.homeWh +
          sum(
            (s) =>
              s.legWh +
              s.setupWh / s.setUpShare +
              s.takes * s.takeWh +
              (s.takes > 1 ? (s.takes - 1) * s.betweenWh : 0),
          ),
      ).toBeCloseTo(plan.usedWh, 3);
      expect([f.usableWh, f.heldWh]).toEqual([plan.supply.usableWh, plan.supply.availableWh]);
      expect(f.launchS * 1000).toBeCloseTo(
        plan.startMs - flights[0]!.startMs + day.flights[0]!.launchS * 1000,
        3,
      );
    }
    const total = (of: (f: (typeof flights)[number]) => number) => flights.reduce((all, f) => all + of(f), 0);
    expect(day.meanW).toBeCloseTo((3600 * total((f) => f.usedWh)) / total((f) => f.seconds), 6);
    expect(day.swapS).toBe(60 * film.film.preferences.swapMinutes);
  });
  it('knows a must, and that stills are kept at the first go', () => {
    const { derived, day } = dayOf(film);
    const stops = day.flights.flatMap((f) => f.stops);
    for (const s of stops) {
      const { shot } = derived.shots.get(s.id)!.facts;
      expect(s.must).toBe(shot.priority === 'must');
      if (shot.records === 'stills') expect(s.keeperRate).toBe(1);
      else expect(s.keeperRate).toBeGreaterThan(0);
      expect(s.latestS).toBeGreaterThan(0);
    }
    expect(stops.some((s) => s.must) && stops.some((s) => !s.must)).toBe(true);
  });
  it('flies in one queue, or in one for each aircraft', () => {
    expect(new Set(dayOf(film).day.flights.map((f) => f.crew))).toEqual(new Set(['']));
    const at = {
      ...film,
      film: { ...film.film, preferences: { ...film.film.preferences, flyAtOnce: true } },
    };
    for (const f of dayOf(at).day.flights) expect(f.crew).toBe(f.kind);
  });
  it('has the packs nobody flies to spare, each with the aircraft that takes it', () => {
    const { derived, day } = dayOf(film);
    const places = [...derived.places.values()].filter((p) => p.location.date === date);
    const used = new Set(places.flatMap((p) => p.flights.map((f) => f.packId)));
    const free = places.at(-1)!.fill.remainingPacks.filter((s) => !used.has(s.packId));
    expect(day.spares.map((s) => [s.usableWh, s.heldWh])).toEqual(
      free.map((s) => [s.usableWh, s.availableWh]),
    );
    expect(free.length).toBeGreaterThan(0);
    for (const [i, s] of day.spares.entries()) {
      expect(free[i]!.aircraftIds).toContain(s.kind);
      expect(s.takeoffWh).toBeGreaterThan(0);
      expect(s.takeoffS).toBe(day.flights[0]!.takeoffS);
    }
  });
  it('leaves out what is done and what is of another day, names what no flight has, and is none without shots', () => {
    const { derived } = dayOf(film);
    expect(riskDay(film, derived, '1999-01-01')).toBeNull();
    const noPacks = { ...film, kit: { ...film.kit, packs: [] } };
    const bare = riskDay(noPacks, deriveFilm(noPacks), date)!;
    const here = [...derived.shots.values()].filter((s) => s.facts.location.date === date && !s.done);
    expect(bare.unplanned.map((u) => u.id).sort()).toEqual(here.map((s) => s.facts.shot.id).sort());
    expect(bare.meanW).toBe(0);
    const empty = {
      ...film,
      shots: film.shots.filter((s) => film.locations.find((l) => l.id === s.locationId)!.date !== date),
    };
    expect(riskDay(empty, deriveFilm(empty), date)).toBeNull();
  });
  it('spreads more the more it gusts over the mean wind', () => {
    const spread = (gustMs: number) => {
      const locations = film.locations.map((l) => ({ ...l, hours: [], windMs: 3, gustMs }));
      return dayOf({ ...film, locations }).day.airSpread;
    };
    expect(spread(5) - spread(3)).toBeGreaterThan(0);
    expect((spread(7) - spread(5)) / (spread(5) - spread(3))).toBeCloseTo(1, 3);
  });
});
