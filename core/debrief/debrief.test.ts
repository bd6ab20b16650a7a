import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { FilmDeriver } from '../film';
import type { FilmInput } from '../model';
import { simulateDay } from '../simulated-flight';
import { numberIn } from '../testing';
import {
  flownFlights,
  forecastError,
  movesToPractise,
  packsFlown,
  secondDay,
  shotsFlown,
  triesBy,
  type TryBy,
} from '.';

const input = demoFilm();
const plan = new FilmDeriver().derive(input);
/** The film after its first location was flown with an appetite and a pilot of its own. */
const flown = (appetite: number, pace: number, keeperRate: number): FilmInput => {
  const rng = xoroshiro128plus(7);
  let n = 0;
  const day = simulateDay(
    plan,
    [...plan.places.values()].slice(0, 1),
    input.kit,
    input.film,
    { appetite, pace, keeperRate, spread: 0, wanderM: 0, windShare: 1, windTurnDeg: 0 },
    () => (rng.next() >>> 0) / 2 ** 32,
    () => `sim-${(n += 1)}`,
  );
  return {
    ...input,
    takes: day.takes,
    kit: { ...input.kit, flightLog: [...input.kit.flightLog, ...day.flights] },
  };
};
const after = (film: FilmInput) => ({ film, derived: new FilmDeriver().derive(film) });
const shots = (film: FilmInput) => shotsFlown(film, after(film).derived);

describe('where a logged flight was flown', () => {
  const nature = {
    appetite: 1,
    pace: 1,
    keeperRate: 0,
    spread: 0,
    wanderM: 0,
    windShare: 1.2,
    windTurnDeg: 0,
  };
  const rng = xoroshiro128plus(3);
  let n = 0;
  const day = simulateDay(
    plan,
    [...plan.places.values()],
    input.kit,
    input.film,
    nature,
    () => (rng.next() >>> 0) / 2 ** 32,
    () => `own-${(n += 1)}`,
  );
  const winds = (takes: FilmInput['takes']): (number | null)[] =>
    flownFlights({ ...input, takes, kit: { ...input.kit, flightLog: day.flights } }).map(
      (f) => f.windErrorMs,
    );

  it('is told by its takes, kept or not, and by the window of the day where there are none', () => {
    expect(day.takes.every((t) => t.rating !== 'good')).toBe(true);
    expect(day.flights.every((f) => f.shotIds.length === 0)).toBe(true);
    // Of every flight a fifth more wind than that place was to have then.
    for (const takes of [day.takes, []])
      for (const [i, error] of winds(takes).entries()) {
        const met = day.flights[i]!.windMs!;
        expect(error).toBeCloseTo(met - met / 1.2, 1);
        expect(error).toBeGreaterThan(0);
      }
    expect(winds([]).length).toBe([...plan.places.values()].flatMap((p) => p.flights).length);
  });
});

describe('shots beside their takes', () => {
  it('has every shot once and every take once; what is kept is what the plan leaves out', () => {
    const { film, derived } = after(flown(1, 1, 0.5));
    const list = shotsFlown(film, derived);
    expect(list.map((s) => s.shot.number)).toEqual(list.map((_, i) => i + 1));
    expect(list.flatMap((s) => s.takes).length).toBe(film.takes.length);
    for (const s of list) {
      expect(s.status === 'kept').toBe(derived.shots.get(s.shot.facts.shot.id)!.done);
      if (s.good > 0) expect(s.status).toBe('kept');
      const told = s.reasons.reduce((sum, r) => sum + r.takes, 0);
      expect(told).toBe(s.takes.filter((t) => t.rating !== 'good' && t.reason).length);
    }
    expect(new Set(list.map((s) => s.status)).size).toBe(3);
  });

  it('misses nothing when every take is good, and everything at a location nobody flew', () => {
    const film = flown(1, 1, 1);
    const [first] = film.locations;
    const missing = secondDay(film, shots(film));
    expect(missing.map((m) => m.locationId)).toEqual(
      film.locations.map((l) => l.id).filter((id) => id !== first!.id),
    );
    const all = missing.reduce((sum, m) => sum + m.shotIds.length, 0);
    expect(all + shots(film).filter((s) => s.status === 'kept').length).toBe(film.shots.length);
    expect(secondDay(input, shots(input)).reduce((sum, m) => sum + m.musts, 0)).toBe(
      input.shots.filter((s) => s.priority === 'must').length,
    );
  });
});

describe('good ones per try', () => {
  it('adds up to the same, whatever tries are told apart by', () => {
    const film = flown(1, 1, 0.4);
    const list = shots(film);
    for (const by of ['move', 'pilot', 'wind', 'height'] as TryBy[]) {
      const groups = triesBy(film, list, by);
      expect(groups.reduce((sum, g) => sum + g.tries, 0)).toBe(film.takes.length);
      expect(groups.reduce((sum, g) => sum + g.good, 0)).toBe(
        film.takes.filter((t) => t.rating === 'good').length,
      );
      expect(groups.every((g) => g.good <= g.tries)).toBe(true);
    }
  });
  it('asks for practice of what fails, worst first, and of nothing that works', () => {
    const groups = [
      { key: 'orbit', tries: 6, good: 1 },
      { key: 'slide', tries: 4, good: 3 },
      { key: 'pan', tries: 3, good: 0 },
      { key: 'hold', tries: 1, good: 0 },
    ];
    expect(movesToPractise(groups).map((g) => g.key)).toEqual(['pan', 'orbit']);
    expect(movesToPractise(triesBy(flown(1, 1, 1), shots(flown(1, 1, 1)), 'move'))).toEqual([]);
  });
});

describe('forecasts', () => {
  it('are off by the appetite the aircraft really has, and by the pace of who flies it', () => {
    for (const [appetite, pace] of [
      [1, 1],
      [1.15, 1],
      [1, 1.2],
    ] as const) {
      const list = flownFlights(flown(appetite, pace, 1));
      expect(list.length).toBeGreaterThan(0);
      const minutes = forecastError(list.map((f) => f.minutesError))!;
      expect(Math.sign(Math.round(minutes.bias * 50))).toBe(Math.sign(pace - 1));
      for (const f of list.filter((x) => x.energyError !== null)) {
        // Charge is shown in whole percent.
        const percentWh = 0.011 * input.kit.packs.find((p) => p.id === f.entry.packId)!.ratedWh;
        const planned = f.entry.plannedWh!;
        const learned = plan.places
          .get(input.locations[0]!.id)!
          .flights.find((x) => x.id === f.entry.flightId)!;
        expect(f.usedWh).toBeGreaterThan(learned.usedWh * appetite - 2 * percentWh);
        expect(f.energyError).toBeCloseTo(f.usedWh / planned - 1, 9);
      }
    }
  });
  it('have a mean, never nearer to nothing than the bias, and halves from four flights on', () => {
    fc.assert(
      fc.property(fc.array(numberIn(-0.4, 0.6), { minLength: 1, maxLength: 12 }), (errors) => {
        const e = forecastError([null, ...errors])!;
        expect(e.flights).toBe(errors.length);
        expect(e.off).toBeGreaterThanOrEqual(Math.abs(e.bias) - 1e-9);
        expect(e.halves === null).toBe(errors.length < 4);
      }),
    );
    expect(forecastError([null])).toBeNull();
  });
  it('name the pack that took most against its plans first', () => {
    const film = flown(1.1, 1, 1);
    const packs = packsFlown(flownFlights(film));
    expect(packs.reduce((sum, p) => sum + p.flights, 0)).toBe(flownFlights(film).length);
    expect(packs.map((p) => p.bias)).toEqual([...packs.map((p) => p.bias)].sort((a, b) => b! - a!));
  });
});
