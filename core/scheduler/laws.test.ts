import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { comparePlans, type Plan, type PlanProblem } from './types';
import { faultsOfPlan } from './check';
import { planExactly } from './exact';
import { searchPlan } from './search';
import { FLAT_AIR, problemOf, type WorkedProblem } from './fixtures';
import { numberIn, Reached } from '../testing';

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
type DrawnShot = ReturnType<typeof shotOf> extends fc.Arbitrary<infer T> ? T : never;
const workedOf = (shots: readonly DrawnShot[], packs: readonly number[]): WorkedProblem => ({
  ...FLAT_AIR,
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
});
const problems = (most: number, windows = true): fc.Arbitrary<WorkedProblem> =>
  fc
    .record({
      shots: fc.array(shotOf(windows), { minLength: 1, maxLength: most }),
      packs: fc.array(fc.constantFrom(7, 9.5, 12.5, 16), { minLength: 0, maxLength: 3 }),
    })
    .map(({ shots, packs }) => workedOf(shots, packs));

/** Seconds at which a launch meets no break, looked for one break after another until none is met. */
const clearOf = (p: PlanProblem, fromS: number, seconds: number): number => {
  let launchS = fromS;
  for (;;) {
    const met = (p.breaks ?? []).filter((b) => launchS < b.latestS && launchS + seconds > b.earliestS);
    if (met.length === 0) return launchS;
    launchS = Math.max(...met.map((b) => b.latestS));
  }
};

/** Every plan there is, by trying each setting, next stop, landing and pack: no dominance, no cleverness. */
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
    stops: number;
    pinned: readonly string[];
  }
  interface Day {
    flown: readonly string[];
    packs: readonly PlanProblem['packs'][number][];
    weight: number;
    flights: number;
    airborneS: number;
    readyS: number;
  }
  const mayFollow = (flown: readonly string[], id: string): boolean =>
    !(p.before ?? []).some(([first, second]) => first === id && flown.includes(second));
  const land = (day: Day, open: Open): void => {
    if (!open.at) return;
    const home = p.home(open.at);
    const seconds = open.seconds + home.seconds + p.landing.seconds;
    const wattHours = open.wattHours + home.wattHours + p.landing.wattHours;
    for (const pack of day.packs) {
      if (open.pinned.some((id) => id !== pack.id) || wattHours > pack.usableWh + 1e-9) continue;
      const launch = clearOf(p, Math.max(day.readyS, pack.readyS ?? 0, open.from), seconds);
      if (launch <= open.to + 1e-9)
        fly({
          ...day,
          packs: day.packs.filter((x) => x !== pack),
          flights: day.flights + 1,
          airborneS: day.airborneS + seconds,
          readyS: launch + seconds + p.swapS,
        });
    }
  };
  const grow = (day: Day, open: Open, setting: string): void => {
    land(day, open);
    if (open.stops === (p.mostStops ?? Infinity)) return;
    for (const shot of p.shots) {
      if (day.flown.includes(shot.id) || !shot.settings.includes(setting) || !mayFollow(day.flown, shot.id))
        continue;
      const own = shot.windows?.[setting];
      for (const way of shot.ways) {
        const leg = p.leg(open.at, way.from);
        const start = open.seconds + leg.seconds;
        const seconds = start + shot.performS;
        const wattHours = open.wattHours + leg.wattHours + shot.performWh;
        if (wattHours > Math.max(0, ...day.packs.map((k) => k.usableWh))) continue;
        grow(
          { ...day, flown: [...day.flown, shot.id], weight: day.weight + shot.weight },
          {
            at: way.to,
            seconds,
            wattHours,
            from: Math.max(open.from, shot.earliestS - start, (own?.earliestS ?? 0) - start),
            to: Math.min(open.to, shot.latestS - seconds, (own?.latestS ?? Infinity) - seconds),
            stops: open.stops + 1,
            pinned: [...open.pinned, ...(shot.packId === undefined ? [] : [shot.packId])],
          },
          setting,
        );
      }
    }
  };
  const fly = (day: Day): void => {
    consider(day.weight, day.flights, day.airborneS);
    if (day.packs.length > 0)
      for (const setting of new Set(p.shots.flatMap((s) => s.settings)))
        grow(day, { at: null, ...p.takeoff, from: 0, to: Infinity, stops: 0, pinned: [] }, setting);
  };
  fly({ flown: [], packs: p.packs, weight: 0, flights: 0, airborneS: 0, readyS: 0 });
  return best;
};

/** What a person may ask for besides: breaks, an order, a pin, few shots a flight, packs that come late, filters that bear the light for a while. */
const conditions = fc.record({
  breaks: fc.array(fc.record({ from: numberIn(0, 2500), lasts: numberIn(100, 900) }), { maxLength: 2 }),
  /** The shot whose window opens last comes before the one whose window opens first. */
  order: fc.boolean(),
  pinned: fc.constantFrom(null, 0, 1),
  mostStops: fc.constantFrom(undefined, 1, 2),
  readyS: fc.array(numberIn(0, 1500), { minLength: 3, maxLength: 3 }),
  narrowS: fc.option(fc.array(numberIn(0, 900), { minLength: 3, maxLength: 3 }), { nil: null }),
});
type Conditions = typeof conditions extends fc.Arbitrary<infer T> ? T : never;
const asked = (p: PlanProblem, c: Conditions): PlanProblem => {
  const opening = [...p.shots].sort((a, b) => a.earliestS - b.earliestS);
  return {
    ...p,
    breaks: c.breaks
      .map((b) => ({ earliestS: b.from, latestS: b.from + b.lasts }))
      .sort((a, b) => a.earliestS - b.earliestS),
    before: c.order && opening.length > 1 ? [[opening.at(-1)!.id, opening[0]!.id]] : [],
    ...(c.mostStops === undefined ? {} : { mostStops: c.mostStops }),
    packs: p.packs.map((pack, i) => ({ ...pack, readyS: c.readyS[i]! })),
    shots: p.shots.map((s, i) => ({
      ...s,
      ...(c.pinned === i && p.packs.length > 0 ? { packId: p.packs.at(-1)!.id } : {}),
      ...(c.narrowS
        ? {
            windows: Object.fromEntries(
              s.settings.map((key, k) => [
                key,
                {
                  earliestS: s.earliestS + k * c.narrowS![i % 3]!,
                  latestS: s.latestS - c.narrowS![(i + k) % 3]!,
                },
              ]),
            ),
          }
        : {}),
    })),
  };
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
  it('and with all a person may ask for besides', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(problems(4), conditions, (w, c) => {
        const free = problemOf(w);
        const p = asked(free, c);
        const { plan } = planExactly(p);
        const best = exhaustive(p);
        expect([plan.weight, plan.flights.length]).toEqual([best.weight, best.flights]);
        expect(plan.airborneS).toBeCloseTo(best.airborneS, 6);
        expect(faultsOfPlan(p, plan)).toEqual([]);
        reached.when('something is flown', plan.flights.length > 0);
        const without = (less: Partial<Conditions>): boolean =>
          comparePlans(planExactly(asked(free, { ...c, ...less })).plan, plan) < -1e-6;
        reached.when('a break costs', without({ breaks: [] }));
        reached.when('the order costs', without({ order: false }));
        reached.when('few shots a flight cost', without({ mostStops: undefined }));
        reached.when('a late pack costs', without({ readyS: [0, 0, 0] }));
        reached.when('a pin costs', without({ pinned: null }));
        reached.when('the light of a filter costs', without({ narrowS: null }));
      }),
      { numRuns: 240, endOnFailure: true },
    );
    reached.atLeast('something is flown', 100);
    reached.atLeast('a break costs', 8);
    reached.atLeast('the order costs', 3);
    reached.atLeast('few shots a flight cost', 12);
    reached.atLeast('a late pack costs', 12);
    reached.atLeast('a pin costs', 4);
    reached.atLeast('the light of a filter costs', 12);
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

describe('the search where no proof is made', () => {
  it('betters what it began with, by taking out and putting back', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        fc.array(shotOf(false), { minLength: 12, maxLength: 14 }),
        fc.array(fc.constantFrom(12.5, 16, 22), { minLength: 2, maxLength: 3 }),
        (list, packs) => {
          const p = problemOf(workedOf(list, packs));
          const search = searchPlan(p, seeded(3));
          const first = search.next().value.plan;
          // Then group by group, which here is the same filling again.
          const second = search.next().value.plan;
          const later = searched(p, 3, 14);
          expect(faultsOfPlan(p, later)).toEqual([]);
          expect(comparePlans(later, second)).toBeLessThanOrEqual(0);
          reached.when('later is better', comparePlans(later, second) < -1e-6);
          reached.when('worth more', later.weight > first.weight);
          reached.when('sooner down', later.weight === first.weight && later.airborneS < first.airborneS - 1);
        },
      ),
      { numRuns: 24, endOnFailure: true },
    );
    reached.atLeast('later is better', 12);
    reached.atLeast('worth more', 4);
    reached.atLeast('sooner down', 3);
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
