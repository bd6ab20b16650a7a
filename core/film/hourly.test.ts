import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { energyCurve, windHoldsUntil } from '../day';
import type { FilmInput, HourWeather, MoveValues } from '../model';
import { numberIn, Reached } from '../testing';
import { type CameraMove, initialValues, MOVES } from '../moves';
import { factsInWeather, shotFacts } from '../shot';
import { deriveFilm } from './derive';

let film: FilmInput;
beforeAll(async () => {
  film = (await import('../../demo')).demoFilm() as FilmInput;
});

const hour = fc.record({
  windMs: numberIn(0, 9),
  more: numberIn(0, 6),
  windFromDeg: numberIn(0, 360),
  temperatureC: numberIn(-15, 30),
});
const day = fc.array(hour, { minLength: 3, maxLength: 3 });
const withHours = (
  hours: readonly { windMs: number; more: number; windFromDeg: number; temperatureC: number }[],
) => ({
  ...film,
  locations: film.locations.map((l) => ({
    ...l,
    hours: hours.map(({ windMs, more, ...h }, i): HourWeather => ({
      ...h,
      at: `${String(7 + 6 * i).padStart(2, '0')}:00`,
      windMs,
      gustMs: windMs + more,
      sky: 'clear',
      visibilityM: 9000,
      sure: 0.8,
    })),
  })),
});

describe('weather by the hour in a film', () => {
  it('flies every shot on the energy its own figures show, and the curve ends at the budget', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(day, (hours) => {
        const input = withHours(hours);
        const derived = deriveFilm(input);
        for (const place of derived.places.values())
          for (const flight of place.flights) {
            for (const stop of flight.stops) {
              reached.when('stop', true);
              const { facts } = derived.shots.get(stop.shotId)!;
              expect(stop.wattHours).toBe(facts.energy!.totalWh);
              expect(stop.airS).toBe(facts.seconds.airS);
            }
            const curve = energyCurve(derived, input.film, input.kit, place, flight, 46)!;
            expect(curve.steps.at(-1)!.leftWh).toBeCloseTo(flight.supply.availableWh - flight.usedWh, 6);
          }
      }),
      { numRuns: 12 },
    );
    reached.atLeast('stop', 50);
  });
  it('that is the same at every hour is the weather of the location', () => {
    const { windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM } = film.locations[1]!;
    const at = (clock: string): HourWeather => ({
      at: clock,
      windMs,
      gustMs,
      windFromDeg,
      temperatureC,
      sky,
      visibilityM,
      sure: 1,
    });
    const [one, all] = [[], [at('06:00'), at('20:00')]].map((hours) =>
      deriveFilm({
        ...film,
        locations: film.locations.map((l, i) => (i === 1 ? { ...l, hours } : { ...l, hours: [] })),
      }),
    );
    expect(all!.budget.usedWh).toBeCloseTo(one!.budget.usedWh, 9);
    expect(all!.budget.airborneS).toBeCloseTo(one!.budget.airborneS, 9);
  });
  it('says until when the wind of a flight holds, and stops what is flown after it', () => {
    const rising = withHours([
      { windMs: 2, more: 2, windFromDeg: 250, temperatureC: 10 },
      { windMs: 12, more: 6, windFromDeg: 250, temperatureC: 10 },
      { windMs: 12, more: 6, windFromDeg: 250, temperatureC: 10 },
    ]);
    const derived = deriveFilm(rising);
    const place = [...derived.places.values()][0]!;
    const [flight] = place.flights;
    const shots = flight!.stops.map((s) => derived.shots.get(s.shotId)!.facts);
    const craft = film.kit.aircraft.find((a) => a.id === flight!.aircraftId);
    const until = windHoldsUntil(place, flight!, shots, craft, film.film.preferences);
    expect(until).not.toBeNull();
    expect(until!).toBeGreaterThan(flight!.startMs);
    expect(until!).toBeLessThan(place.windowToMs);
    const evening = [...derived.shots.values()].filter((s) => s.facts.location.id === film.locations[1]!.id);
    expect(
      evening.every((s) => s.unfit?.reason === 'wind' || s.warnings.some((w) => w.code === 'air.gusts')),
    ).toBe(true);
    const calm = deriveFilm({ ...film, locations: film.locations.map((l) => ({ ...l, hours: [] })) });
    const still = [...calm.places.values()][0]!;
    expect(windHoldsUntil(still, still.flights[0]!, [], craft, film.film.preferences)).toBeNull();
  });

  it('makes of every kind of move what working it out afresh in that weather makes of it', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(hour, ({ windMs, more, windFromDeg, temperatureC }) => {
        const base = film.shots[0]!;
        // So long that its speed is reached.
        const long = (m: CameraMove): MoveValues =>
          m.withLength?.(initialValues(m.parameters), 400) ?? initialValues(m.parameters);
        // One whose drag is known, so that a move the air shapes has a path.
        const aircraftId = film.kit.aircraft.find((a) => a.dragAreaM2)!.id;
        const shots = MOVES.map((m) => ({
          ...base,
          id: m.kind,
          aircraftId,
          move: { ...base.move, kind: m.kind, values: long(m) },
        }));
        const before = deriveFilm({ ...film, shots });
        const weather = { windMs, gustMs: windMs + more, windFromDeg, temperatureC };
        for (const { facts } of before.shots.values()) {
          const parts = { ...facts, location: { ...facts.location, ...weather }, addedKg: 0 };
          const { surfaceAt, ...again } = shotFacts(parts);
          const { surfaceAt: same, ...quick } = factsInWeather(facts, parts);
          reached.when('path', again.trajectory !== null);
          expect(quick).toEqual(again);
          expect(same).toBe(surfaceAt);
        }
      }),
      { numRuns: 12 },
    );
    reached.atLeast('path', 150);
  });
});
