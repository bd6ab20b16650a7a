import { beforeAll, describe, expect, it } from 'vitest';
import { deriveFilm } from '../film/derive';
import { newRow, type FilmInput } from '../model';
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

  it('names what no flight has, with its priority, and leaves what is flown to its flight', () => {
    const { derived, day } = dayOf(film);
    const here = [...derived.shots.values()].filter((s) => s.facts.location.date === date && !s.done);
    const left = here.filter((s) => s.flightIndex === null);
    expect(day.unplanned.map((u) => u.id)).toEqual(left.map((s) => s.facts.shot.id));
    expect(left.length).toBeLessThan(here.length);
    const bare = { ...film, kit: { ...film.kit, packs: [] } };
    const musts = riskDay(bare, deriveFilm(bare), date)!.unplanned.map((u) => u.must);
    expect(musts).toEqual(here.map((s) => s.facts.shot.priority === 'must'));
    expect(new Set(musts).size).toBe(2);
  });
  it('a take more costs what lies between takes, and where there was one, a quarter of its set-up', () => {
    const { derived, day } = dayOf(film);
    const stops = day.flights.flatMap((f) => f.stops);
    for (const s of stops) {
      const { energy } = derived.shots.get(s.id)!.facts;
      if (s.takes > 1) expect(s.betweenWh * (s.takes - 1)).toBeCloseTo(energy!.betweenWh, 9);
      else expect(s.betweenWh).toBeCloseTo(energy!.setupWh / 4, 9);
    }
    expect(new Set(stops.map((s) => s.takes > 1)).size).toBe(2);
  });
  it('a shot of stills is kept at once, one of video as often as the pilot keeps', () => {
    const [first, second] = dayOf(film).day.flights[0]!.stops;
    const stills = {
      ...film,
      shots: film.shots.map((s) => (s.id === first!.id ? { ...s, records: 'stills' as const } : s)),
    };
    const { derived, day } = dayOf(stills);
    const rates = new Map(day.flights.flatMap((f) => f.stops).map((s) => [s.id, s.keeperRate]));
    expect(rates.get(first!.id)).toBe(1);
    expect(rates.get(second!.id)).toBe(derived.shots.get(second!.id)!.hands!.rate);
    expect(rates.get(second!.id)).toBeLessThan(1);
  });
  it('the air spreads as the flights of its aircraft did; the widest known counts', () => {
    const still = film.locations.map((l) => ({ ...l, hours: [], windMs: 3, gustMs: 3 }));
    const spread = (ratios: Record<string, readonly number[]>) => {
      const packOf = (id: string) => film.kit.packs.find((p) => p.aircraftIds.includes(id))!;
      const flightLog = Object.entries(ratios).flatMap(([aircraftId, list]) =>
        list.map((ratio, i) =>
          newRow('flightLogEntry', {
            id: `${aircraftId}${i}`,
            aircraftId,
            packId: packOf(aircraftId).id,
            utcMs: i,
            minutes: 10,
            startShare: 1,
            endShare: 0.5,
            plannedWh: (0.5 * packOf(aircraftId).ratedWh * packOf(aircraftId).health) / Math.exp(ratio),
            temperatureC: 25,
          }),
        ),
      );
      const { day } = dayOf({ ...film, locations: still, kit: { ...film.kit, flightLog } });
      return day.airSpread;
    };
    const flown = [...new Set(dayOf(film).day.flights.map((f) => f.kind))];
    const [a, b] = flown as [string, string];
    // Three flights at −d, 0 and d have a deviation of d.
    expect(spread({})).toBeCloseTo(0.06, 9);
    expect(spread({ [a]: [-0.02, 0, 0.02] })).toBeCloseTo(0.02, 6);
    expect(spread({ [a]: [-0.02, 0, 0.02], [b]: [-0.05, 0, 0.05] })).toBeCloseTo(0.05, 6);
  });
});
