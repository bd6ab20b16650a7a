import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { energyCurve, shotsDone, countTakes, type EnergyCurve } from '../day';
import { FilmDeriver } from '../film';
import { newRow } from '../model';
import { distance, vec } from '../geometry';
import { numberIn, Reached, said } from '../testing';
import { fieldOrder, flyingSteps, inTheAir, nextStop } from '.';

const input = demoFilm();
const derived = new FilmDeriver().derive(input);
const places = [...derived.places.values()];
const [place] = places;
const curves = place!.flights.map((flight) => ({
  flight,
  curve: energyCurve(derived, input.film, input.kit, place!, flight, flight.supply.fullWh) as EnergyCurve,
}));

describe('the battery of a flight in the air', () => {
  it('begins with what it took off with, never gains, and lands as planned', () => {
    for (const { flight, curve } of curves) {
      const full = flight.supply.fullWh;
      const at = (s: number) => inTheAir(curve, full, s, null);
      expect(at(0).leftWh).toBeCloseTo(flight.supply.availableWh, 6);
      expect(at(flight.seconds).leftWh).toBeCloseTo(flight.supply.availableWh - flight.usedWh, 6);
      const shares = Array.from({ length: 60 }, (_, i) => at((flight.seconds * 1.5 * i) / 59).leftWh);
      for (const [i, left] of shares.entries())
        if (i > 0) expect(left).toBeLessThanOrEqual(shares[i - 1]! + 1e-9);
    }
  });

  it('counts down to turning back, and once it must it says so until the reserve is reached', () => {
    const reached = new Reached();
    const rank = { fly: 0, 'turn-back': 1, reserve: 2 } as const;
    for (const { flight, curve } of curves)
      fc.assert(
        fc.property(numberIn(0, 1.6), numberIn(0.2, 0.7), (part, share) => {
          const full = flight.supply.fullWh;
          const tS = part * flight.seconds;
          const shown = { atS: 0, share };
          const now = inTheAir(curve, full, tS, shown);
          reached.when(now.phase, true);
          if (now.phase !== 'fly') expect(now.turnBackInS).toBe(0);
          else {
            // At that second the pack holds just the way home and the reserve, also later than the plan ends.
            const then = inTheAir(curve, full, tS + now.turnBackInS!, shown);
            reached.when('past the plan', tS + now.turnBackInS! > flight.seconds);
            expect(then.leftWh).toBeCloseTo(then.homeWh + curve.reserveWh, 6);
            expect(inTheAir(curve, full, tS + now.turnBackInS! + 1, shown).phase).not.toBe('fly');
          }
          // Less on the display is never a later turn.
          const less = inTheAir(curve, full, tS, { atS: 0, share: Math.max(0, share - 0.1) });
          expect(rank[less.phase]).toBeGreaterThanOrEqual(rank[now.phase]);
          expect(less.turnBackInS ?? Infinity).toBeLessThanOrEqual((now.turnBackInS ?? Infinity) + 1e-9);
        }),
      );
    for (const phase of [...Object.keys(rank), 'past the plan']) reached.atLeast(phase, 8);
  });

  it('stands at what the display showed, from the second it was entered', () => {
    const { flight, curve } = curves[0]!;
    fc.assert(
      fc.property(numberIn(0, flight.seconds), numberIn(0.1, 1), (atS, share) => {
        expect(inTheAir(curve, flight.supply.fullWh, atS, { atS, share }).share).toBeCloseTo(share, 9);
      }),
    );
  });
});

describe('the order of flying', () => {
  it('has every open shot of the day once, flights first', () => {
    const order = fieldOrder(places);
    expect(new Set(order.map((s) => s.shotId)).size).toBe(order.length);
    expect(order.map((s) => s.shotId).sort()).toEqual(
      [...derived.shots.values()]
        .filter((s) => !s.done)
        .map((s) => s.facts.shot.id)
        .sort(),
    );
  });

  it('goes on to what is not done, from the shot in hand and then from the top', () => {
    const order = fieldOrder(places);
    const [a, b, c] = order.map((s) => s.shotId);
    expect(nextStop(order, new Set(), a!)?.shotId).toBe(b);
    expect(nextStop(order, new Set([b!]), a!)?.shotId).toBe(c);
    expect(nextStop(order, new Set(), order.at(-1)!.shotId)?.shotId).toBe(a);
    expect(nextStop(order, new Set(order.map((s) => s.shotId)), a!)).toBeNull();
  });
});

describe('takes', () => {
  const take = (shotId: string, rating: 'good' | 'maybe' | 'no-good') =>
    newRow('take', { id: shotId + rating, locationId: 'l', shotId, utcMs: 1, rating });
  it('make a shot done once one is good, and no sooner', () => {
    const takes = [take('a', 'maybe'), take('a', 'no-good'), take('b', 'good')];
    expect([...shotsDone([{ shotIds: ['c'] }], takes)].sort()).toEqual(['b', 'c']);
    expect(countTakes(takes, 'a')).toEqual({ good: 0, maybe: 1, all: 2 });
  });
  it('take a done shot out of the flights of the day, and nothing else', () => {
    const id = place!.flights[0]!.stops[0]!.shotId;
    const after = new FilmDeriver().derive({ ...input, takes: [take(id, 'good')] });
    expect(after.shots.get(id)!.done).toBe(true);
    expect(fieldOrder([...after.places.values()]).map((s) => s.shotId)).not.toContain(id);
    expect([...after.shots.values()].filter((s) => s.done)).toHaveLength(
      [...derived.shots.values()].filter((s) => s.done).length + 1,
    );
  });
});

describe('what to do for a shot', () => {
  it('is at most five lines that begin where the path begins', () => {
    for (const { facts } of derived.shots.values()) {
      const steps = flyingSteps(facts, vec(0, 0, 0));
      expect(steps.length, facts.shot.title).toBeLessThanOrEqual(5);
      if (!facts.trajectory) continue;
      const { at } = facts.trajectory.start;
      expect(said(steps[0]!)).toContain(`${Math.round(at.z)} m above launch`);
      expect(said(steps[0]!)).toContain(
        `${Math.round(distance(vec(at.x, at.y, 0), vec(0, 0, 0)))} m from you`,
      );
    }
  });
});
