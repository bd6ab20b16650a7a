import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { CERTAIN } from './fixtures';
import { simulate } from './simulate';
import type { RiskDay, RiskShot } from './types';
import { numberIn } from '../testing';

const seeded = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 2 ** 32;
};
const shot = (id: string, more: Partial<RiskShot> = {}): RiskShot => ({
  id,
  must: true,
  takes: 1,
  keeperRate: 1,
  legS: 10,
  legWh: 0.2,
  setupS: 30,
  setupWh: 0.7,
  setUpShare: 1,
  takeS: 20,
  takeWh: 0.5,
  betweenS: 10,
  betweenWh: 0.2,
  homeS: 30,
  homeWh: 0.8,
  latestS: 9999,
  ...more,
});
const day = (shots: RiskShot[], more: Partial<RiskDay> = {}): RiskDay => ({
  flights: [
    { crew: '', kind: 'A', usableWh: 30, heldWh: 40, launchS: 0, takeoffS: 30, takeoffWh: 0.7, stops: shots },
  ],
  spares: [],
  unplanned: [],
  ...CERTAIN,
  meanW: 90,
  ...more,
});

describe('the dice', () => {
  it('without chance there is none: the plan is what happens', () => {
    const answer = simulate(day([shot('a'), shot('b')]), 50, seeded(1));
    expect(answer).toMatchObject({ allMusts: 1, all: 1, missing: [] });
    expect(answer.minutes.p10).toBeCloseTo((30 + 2 * 60 + 30) / 60, 9);
    expect(answer.minutes.p90).toBe(answer.minutes.p10);
  });
  it('one take of one shot is kept as often as its rate says (binomial, five deviations)', () => {
    const runs = 4000;
    for (const rate of [0.2, 0.5, 0.85])
      expect(
        Math.abs(simulate(day([shot('a', { must: false, keeperRate: rate })]), runs, seeded(3)).all - rate),
      ).toBeLessThan(5 * Math.sqrt((rate * (1 - rate)) / runs));
  });
  it('two takes leave the square of missing; a must is tried twice as long', () => {
    const runs = 4000;
    const chance = (must: boolean) =>
      simulate(day([shot('a', { takes: 2, keeperRate: 0.5, must })]), runs, seeded(4)).all;
    expect(Math.abs(chance(false) - (1 - 0.5 ** 2))).toBeLessThan(0.04);
    expect(Math.abs(chance(true) - (1 - 0.5 ** 4))).toBeLessThan(0.04);
  });
  it('the same seed gives the same figures', () => {
    fc.assert(
      fc.property(fc.nat(1000), fc.integer({ min: 1, max: 6 }), (seed, n) => {
        const d = day(
          Array.from({ length: n }, (_, i) => shot(`s${i}`, { keeperRate: 0.6, takes: 2 })),
          { packSpread: 0.05, airSpread: 0.08, setupSpread: 0.3 },
        );
        const shares: number[] = [];
        const reported = simulate(d, 250, seeded(seed), (share) => shares.push(share));
        expect(reported).toEqual(simulate(d, 250, seeded(seed)));
        expect(shares).toEqual([0, 0.4, 0.8]);
      }),
      { numRuns: 20 },
    );
  });
  it('every run is in the histogram, percentiles are in order, chances are chances', () => {
    fc.assert(
      fc.property(
        fc.nat(1000),
        fc.array(numberIn(0.05, 1), { minLength: 1, maxLength: 8 }),
        (seed, rates) => {
          const d = day(
            rates.map((keeperRate, i) =>
              shot(`s${i}`, { keeperRate, takes: 3, must: i % 2 === 0, takeWh: 2 }),
            ),
            {
              packSpread: 0.1,
              airSpread: 0.1,
              setupSpread: 0.4,
              spares: [{ kind: 'A', usableWh: 10, heldWh: 20, takeoffS: 30, takeoffWh: 0.7 }],
            },
          );
          const a = simulate(d, 120, seeded(seed));
          expect(a.histogram.reduce((sum, b) => sum + b.runs, 0)).toBe(120);
          for (const p of [a.minutes, a.minutesLeft, a.flights]) {
            expect(p.p10).toBeLessThanOrEqual(p.p50);
            expect(p.p50).toBeLessThanOrEqual(p.p90);
          }
          expect(a.all).toBeLessThanOrEqual(a.allMusts);
          for (const m of a.missing) {
            expect(m.chance).toBeGreaterThan(0);
            expect(m.chance).toBeLessThanOrEqual(1);
          }
          expect([...a.missing].sort((x, y) => Number(y.must) - Number(x.must)).map((m) => m.id)).toEqual(
            a.missing.map((m) => m.id),
          );
        },
      ),
      { numRuns: 30 },
    );
  });
  it('a pack that cannot carry it, light that is gone, and a must nobody planned are missing always', () => {
    expect(simulate(day([shot('a', { takeWh: 40 })]), 30, seeded(1))).toMatchObject({
      allMusts: 0,
      missing: [{ id: 'a', chance: 1 }],
    });
    expect(simulate(day([shot('a', { latestS: 60 })]), 30, seeded(1)).allMusts).toBe(0);
    expect(simulate(day([shot('a')], { unplanned: [{ id: 'z', must: true }] }), 30, seeded(1))).toMatchObject(
      { allMusts: 0, missing: [{ id: 'z', must: true, chance: 1 }] },
    );
  });
  it('a spare pack never lowers the chance, and flies what fell out', () => {
    const shots = [
      shot('a', { takes: 3, takeWh: 6, keeperRate: 0.5 }),
      shot('b', { takes: 3, takeWh: 6, keeperRate: 0.5 }),
    ];
    const spare = { kind: 'A', usableWh: 30, heldWh: 40, takeoffS: 30, takeoffWh: 0.7 };
    const [without, with1, with2] = [0, 1, 2].map(
      (n) =>
        simulate(day(shots, { spares: Array.from({ length: n }, () => spare) }), 3000, seeded(8)).allMusts,
    );
    expect(with1!).toBeGreaterThan(without! + 0.05);
    expect(with2!).toBeGreaterThanOrEqual(with1! - 0.03);
  });
});

describe('what was missed', () => {
  const spare = { kind: 'A', usableWh: 30, heldWh: 40, takeoffS: 30, takeoffWh: 0.7 };
  const never = shot('lost', { keeperRate: 0, must: false });
  const again = (latestS: number) =>
    simulate(day([never, shot('b', { latestS })], { spares: [spare] }), 1, seeded(1));
  it('is tried again on a spare pack only after the flight has landed and the pack is changed', () => {
    // Take-off, two legs with set-up and take, home, change of packs, take-off: 30 + 2 x 60 + 30 + 180 + 30 s.
    const late = day([shot('a', { keeperRate: 0, must: false, latestS: 449 })], { spares: [spare] });
    const flights = (d: RiskDay) => simulate(d, 1, seeded(2)).flights.p50;
    expect(flights(late)).toBe(2);
    expect(flights({ ...late, swapS: 400 })).toBe(1);
    expect(again(9999).missing.map((m) => m.id)).toEqual(['lost']);
  });
  it('is missed to the second: light is not waited for and not stretched', () => {
    // Take-off 30 s, leg 10 s, set-up 30 s, take 20 s.
    const chance = (latestS: number) => simulate(day([shot('a', { latestS })]), 20, seeded(3)).allMusts;
    expect([chance(90), chance(89)]).toEqual([1, 0]);
  });
});
