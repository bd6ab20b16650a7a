import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { comparePlans, type Plan, type PlanProblem } from './types';
import { faultsOfPlan } from './check';
import { planExactly } from './exact';
import { searchPlan } from './search';
import { problemOf, type WorkedProblem } from './fixtures';

const point = fc.tuple(
  fc.integer({ min: -160, max: 160 }),
  fc.integer({ min: -160, max: 160 }),
  fc.integer({ min: 3, max: 80 }),
);
const shotOf = (windows: boolean) =>
  fc.record({
    weight: fc.constantFrom(1, 10, 100),
    start: point,
    end: point,
    reversible: fc.boolean(),
    performSeconds: fc.integer({ min: 40, max: 180 }),
    perWatt: fc.integer({ min: 85, max: 130 }),
    filters: fc.constantFrom([4], [8], [4, 8], [4, 8, 16]),
    window: windows
      ? fc.tuple(fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 400, max: 2500 }))
      : fc.constant([0, 36_000] as const),
  });
const problems = (most: number, windows = true): fc.Arbitrary<WorkedProblem> =>
  fc
    .record({
      shots: fc.array(shotOf(windows), { minLength: 1, maxLength: most }),
      packs: fc.array(fc.constantFrom(7, 9.5, 12.5, 16), { minLength: 0, maxLength: 3 }),
    })
    .map(({ shots, packs }) => ({
      launch: [0, 0, 0],
      repositionSpeedMs: 9,
      repositionWatts: 95,
      settleSeconds: 4,
      hoverWatts: 89,
      takeoffSeconds: 30,
      landingSeconds: 40,
      swapSeconds: 180,
      packs: packs.map((usableWh, i) => ({ id: `P${i + 1}`, usableWh })),
      shots: shots.map((s, i) => ({
        id: `S${i + 1}`,
        weight: s.weight,
        start: s.start,
        end: s.end,
        reversible: s.reversible,
        performSeconds: s.performSeconds,
        performWh: (s.performSeconds * s.perWatt) / 3600,
        filters: s.filters,
        earliestSeconds: s.window[0],
        latestSeconds: s.window[0] === 0 && s.window[1] === 36_000 ? 36_000 : s.window[0] + s.window[1],
      })),
    }));

/** Every plan there is, by trying each next stop, each landing and each pack: no dominance, no cleverness. */
const exhaustive = (p: PlanProblem): { weight: number; flights: number; airborneS: number } => {
  let best = { weight: 0, flights: 0, airborneS: 0 };
  const consider = (weight: number, flights: number, airborneS: number): void => {
    if (
      weight > best.weight + 1e-9 ||
      (Math.abs(weight - best.weight) < 1e-9 &&
        (flights < best.flights || (flights === best.flights && airborneS < best.airborneS)))
    )
      best = { weight, flights, airborneS };
  };
  interface Open {
    at: PlanProblem['shots'][number]['ways'][number]['to'] | null;
    seconds: number;
    wattHours: number;
    from: number;
    to: number;
    settings: readonly string[];
  }
  const fly = (
    flown: ReadonlySet<number>,
    packs: readonly number[],
    weight: number,
    flights: number,
    airborneS: number,
    readyS: number,
  ): void => {
    consider(weight, flights, airborneS);
    const grow = (open: Open, now: ReadonlySet<number>, worth: number): void => {
      if (open.at) {
        const home = p.home(open.at);
        const seconds = open.seconds + home.seconds + p.landing.seconds;
        const wattHours = open.wattHours + home.wattHours + p.landing.wattHours;
        for (const k of packs) {
          const pack = p.packs[k]!;
          const launch = Math.max(readyS, pack.readyS ?? 0, open.from);
          if (wattHours <= pack.usableWh + 1e-9 && launch <= open.to + 1e-9)
            fly(
              now,
              packs.filter((x) => x !== k),
              worth,
              flights + 1,
              airborneS + seconds,
              launch + seconds + p.swapS,
            );
        }
      }
      p.shots.forEach((shot, i) => {
        const settings = open.settings.filter((s) => shot.settings.includes(s));
        if (now.has(i) || settings.length === 0) return;
        for (const way of shot.ways) {
          const leg = p.leg(open.at, way.from);
          const start = open.seconds + leg.seconds;
          const seconds = start + shot.performS;
          const wattHours = open.wattHours + leg.wattHours + shot.performWh;
          if (wattHours > Math.max(0, ...packs.map((k) => p.packs[k]!.usableWh))) continue;
          grow(
            {
              at: way.to,
              seconds,
              wattHours,
              settings,
              from: Math.max(open.from, shot.earliestS - start),
              to: Math.min(open.to, shot.latestS - seconds),
            },
            new Set([...now, i]),
            worth + shot.weight,
          );
        }
      });
    };
    if (packs.length > 0)
      grow(
        {
          at: null,
          ...p.takeoff,
          from: 0,
          to: Infinity,
          settings: [...new Set(p.shots.flatMap((s) => s.settings))],
        },
        flown,
        weight,
      );
  };
  fly(
    new Set(),
    p.packs.map((_, i) => i),
    0,
    0,
    0,
    0,
  );
  return best;
};

const told = (plan: Plan) => ({
  weight: plan.weight,
  flights: plan.flights.length,
  airborneS: plan.airborneS,
});
const seeded = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 2 ** 32;
};
const searched = (p: PlanProblem, seed: number, batches: number): Plan => {
  const search = searchPlan(p, seeded(seed));
  let answer = search.next().value;
  for (let i = 0; i < batches; i += 1) answer = search.next().value;
  return answer.plan;
};

describe('the exact planner', () => {
  it('finds what trying every plan finds', () => {
    fc.assert(
      fc.property(problems(4), (w) => {
        const p = problemOf(w);
        const { plan } = planExactly(p);
        const best = exhaustive(p);
        expect(plan.weight).toBe(best.weight);
        expect(plan.flights.length).toBe(best.flights);
        expect(plan.airborneS).toBeCloseTo(best.airborneS, 6);
      }),
      { numRuns: 120 },
    );
  }, 60_000);
  it('breaks no limit', () => {
    fc.assert(
      fc.property(problems(7), (w) => {
        const p = problemOf(w);
        expect(faultsOfPlan(p, planExactly(p).plan)).toEqual([]);
      }),
      { numRuns: 60 },
    );
  }, 60_000);
  it('a pack more never worsens it', () => {
    fc.assert(
      fc.property(problems(6), fc.constantFrom(7, 12.5), (w, usableWh) => {
        const more = { ...w, packs: [...w.packs, { id: 'more', usableWh }] };
        expect(
          comparePlans(planExactly(problemOf(more)).plan, planExactly(problemOf(w)).plan),
        ).toBeLessThanOrEqual(1e-6);
      }),
      { numRuns: 40 },
    );
  }, 60_000);
  it('the order of the list changes nothing', () => {
    fc.assert(
      fc.property(problems(6), (w) => {
        const [a, b] = [w, { ...w, shots: [...w.shots].reverse(), packs: [...w.packs].reverse() }].map((x) =>
          told(planExactly(problemOf(x)).plan),
        );
        expect(b!.weight).toBe(a!.weight);
        expect(b!.flights).toBe(a!.flights);
        expect(b!.airborneS).toBeCloseTo(a!.airborneS, 6);
      }),
      { numRuns: 40 },
    );
  }, 60_000);
  it('a pack that comes from the charger later is not flown before', () => {
    fc.assert(
      fc.property(problems(5, false), (w) => {
        const p = { ...problemOf(w), packs: w.packs.map((x) => ({ ...x, readyS: 900 })) };
        const { plan } = planExactly(p);
        for (const f of plan.flights) expect(f.launchS).toBeGreaterThanOrEqual(900);
        expect(faultsOfPlan(p, plan)).toEqual([]);
      }),
      { numRuns: 30 },
    );
  });
  it('has no plan without packs, and refuses what it cannot prove', () => {
    const one = fc.sample(problems(3, false), { numRuns: 1, seed: 5 })[0]!;
    expect(planExactly(problemOf({ ...one, packs: [] })).plan).toMatchObject({ flights: [], weight: 0 });
    const many = { ...one, shots: Array.from({ length: 11 }, (_, i) => ({ ...one.shots[0]!, id: `x${i}` })) };
    expect(() => planExactly(problemOf(many))).toThrow(RangeError);
  });
});

describe('the search', () => {
  it('breaks no limit, never beats the proof nor its bound, and comes near it', () => {
    let [met, tried] = [0, 0];
    fc.assert(
      fc.property(problems(7), fc.nat(1000), (w, seed) => {
        const p = problemOf(w);
        const plan = searched(p, seed, 12);
        const exact = planExactly(p).plan;
        expect(faultsOfPlan(p, plan)).toEqual([]);
        expect(comparePlans(exact, plan)).toBeLessThanOrEqual(1e-6);
        expect(exact.weight).toBeLessThanOrEqual(searchPlan(p, seeded(1)).next().value.weightBound + 1e-6);
        tried += 1;
        if (Math.abs(comparePlans(exact, plan)) < 1e-3) met += 1;
      }),
      { numRuns: 60, seed: 7, endOnFailure: true },
    );
    expect(met / tried).toBeGreaterThan(0.8);
  }, 60_000);
  it('the same seed gives the same plan, and it never gets worse', () => {
    fc.assert(
      fc.property(problems(9), fc.nat(1000), (w, seed) => {
        const p = problemOf(w);
        expect(searched(p, seed, 6)).toEqual(searched(p, seed, 6));
        const search = searchPlan(p, seeded(seed));
        let before = search.next().value.plan;
        for (let i = 0; i < 8; i += 1) {
          const now = search.next().value.plan;
          expect(comparePlans(now, before)).toBeLessThanOrEqual(0);
          before = now;
        }
      }),
      { numRuns: 20 },
    );
  }, 60_000);
});

describe('checking a plan', () => {
  it('notices what was changed behind its back', () => {
    const w = fc
      .sample(
        problems(6, false).filter((x) => x.packs.length > 1),
        { numRuns: 20, seed: 3 },
      )
      .find((x) => planExactly(problemOf(x)).plan.flights.length > 0)!;
    const p = problemOf(w);
    const { plan } = planExactly(p);
    const [first] = plan.flights;
    const broken: Plan[] = [
      { ...plan, weight: plan.weight + 1 },
      { ...plan, flights: [...plan.flights, first!] },
      { ...plan, flights: [{ ...first!, packId: 'none' }] },
      { ...plan, flights: [{ ...first!, setting: '99' }] },
      { ...plan, flights: [{ ...first!, launchS: first!.launchS + 5 }] },
      { ...plan, flights: [{ ...first!, airborneS: 1 }] },
      { ...plan, flights: [{ ...first!, stops: [] }] },
      { ...plan, left: [...plan.left, 'more'] },
    ];
    for (const b of broken) expect(faultsOfPlan(p, b)).not.toEqual([]);
  });
});
