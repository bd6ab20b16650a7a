import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { vec } from '../geometry';
import { FilmDeriver } from '../film';
import { numberIn, Reached } from '../testing';
import { drawsOf } from '../units';
import { natureOf, ownAir, simulateDay, simulateFlight } from '.';
import { inOwnAir } from './own-air';

const input = demoFilm();
const derived = new FilmDeriver().derive(input);
const days = [...derived.places.values()].flatMap((place) =>
  place.flights.map((flight) => ({ place, flight })),
);
const EXACT = { appetite: 1, pace: 1, spread: 0, wanderM: 0, keeperRate: 1, windShare: 1, windTurnDeg: 0 };
const airOf = (n: number, wind: { windShare: number; windTurnDeg: number }) => {
  const { place, flight } = days[n]!;
  return ownAir(input.film, input.kit, place.location, flight, wind)!;
};

describe('the air of a simulated flight', () => {
  it('is that of the plan where its wind is the forecast', () => {
    for (const [n, { flight }] of days.entries()) {
      const flown = simulateFlight(derived, flight, EXACT, drawsOf('a'), airOf(n, EXACT));
      expect(flown.usedWh).toBeCloseTo(flight.usedWh, 6);
      expect(flown.seconds).toBeCloseTo(flight.seconds, 6);
    }
  });

  it('makes a leg against it longer and dearer the more it blows, and one before it no dearer than against', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: days.length - 1 }),
        numberIn(1.05, 2),
        numberIn(80, 600),
        (n, windShare, metres) => {
          const air = airOf(n, { windShare, windTurnDeg: 0 });
          const angle = (air.forecast.fromDeg * Math.PI) / 180;
          const away = vec(Math.sin(angle) * metres, Math.cos(angle) * metres, 40);
          const leg = (from: typeof away, to: typeof away) => inOwnAir({ phase: 'leg', from, to }, air);
          const [against, before] = [leg(vec(0, 0, 40), away), leg(away, vec(0, 0, 40))];
          if (!reached.when('blows', air.forecast.speedAt10mMs > 1)) return;
          expect(against.energy).toBeGreaterThan(1);
          expect(against.time).toBeGreaterThanOrEqual(1 - 1e-9);
          expect(before.energy).toBeLessThan(against.energy);
        },
      ),
    );
    reached.atLeast('blows', 20);
  });

  it('is read in the log: what was met against the forecast is its share', () => {
    const nature = { ...EXACT, windShare: 1.3 };
    let n = 0;
    const { flights } = simulateDay(
      derived,
      [...derived.places.values()],
      input.kit,
      input.film,
      nature,
      drawsOf('b'),
      () => `row-${(n += 1)}`,
    );
    expect(flights.length).toBe(days.length);
    for (const [i, entry] of flights.entries())
      expect(entry.windMs).toBeCloseTo(1.3 * airOf(i, EXACT).forecast.speedAt10mMs, 1);
    const natures = Array.from({ length: 40 }, (_, i) => natureOf(`film ${i}`));
    expect(new Set(natures.map((w) => w.windShare)).size).toBe(40);
    for (const w of natures) {
      expect(Math.abs(w.windShare - 1)).toBeLessThanOrEqual(0.4);
      expect(Math.abs(w.windTurnDeg)).toBeLessThanOrEqual(40);
    }
  });
});
