import fc from 'fast-check';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { describe, expect, it } from 'vitest';
import { comparePlans, type PlanShot } from './types';
import { dayOf, type DayAnswer, type DayGroup, type DayProblem } from './day';
import { faultsOfDay } from './check';
import { planExactly } from './exact';
import { searchDay } from './search';
import { FLAT_AIR, problemOf, type WorkedProblem } from './fixtures';

const seeded = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 2 ** 32;
};
const found = (p: DayProblem, seed = 1, batches = 6): DayAnswer => {
  const search = searchDay(p, seeded(seed));
  let answer = search.next().value;
  for (let i = 0; i < batches; i += 1) answer = search.next().value;
  return answer;
};

const point = fc.tuple(
  fc.integer({ min: -160, max: 160 }),
  fc.integer({ min: -160, max: 160 }),
  fc.integer({ min: 3, max: 80 }),
);
const shots = (tag: string, most: number) =>
  fc
    .array(
      fc.record({
        weight: fc.constantFrom(1, 10, 100),
        start: point,
        end: point,
        reversible: fc.boolean(),
        performSeconds: fc.integer({ min: 40, max: 180 }),
        earliest: fc.integer({ min: 0, max: 1500 }),
        lasts: fc.integer({ min: 600, max: 4000 }),
        filters: fc.constantFrom([4], [8], [4, 8]),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list): WorkedProblem['shots'] =>
      list.map((s, i) => ({
        id: `${tag}${i}`,
        weight: s.weight,
        start: s.start,
        end: s.end,
        reversible: s.reversible,
        performSeconds: s.performSeconds,
        performWh: s.performSeconds * 0.029,
        filters: s.filters,
        earliestSeconds: s.earliest,
        latestSeconds: s.earliest + s.lasts,
      })),
    );

const worked = (list: WorkedProblem['shots']) =>
  problemOf({
    ...FLAT_AIR,
    packs: [],
    shots: list,
  });
const group = (
  id: string,
  place: number,
  crew: string,
  list: WorkedProblem['shots'],
  more: (s: PlanShot, i: number) => Partial<PlanShot> = () => ({}),
): DayGroup => {
  const p = worked(list);
  return {
    id,
    place,
    crew,
    openS: 0,
    breaks: [],
    shots: p.shots.map((s, i) => ({ ...s, ...more(s, i) })),
    takeoff: p.takeoff,
    landing: p.landing,
    leg: p.leg,
    home: p.home,
  };
};
const AGAIN = { slots: [0], coolS: 600, chargeS: (wh: number) => wh * 150 };

const days: fc.Arbitrary<DayProblem> = fc
  .record({
    a: shots('a', 6),
    b: shots('b', 5),
    c: shots('c', 4),
    packs: fc.array(
      fc.record({
        wh: fc.constantFrom(9, 12.5, 16),
        fits: fc.constantFrom('both', 'ab', 'c'),
        again: fc.boolean(),
        flyOn: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    atOnce: fc.boolean(),
    late: fc.integer({ min: 0, max: 3000 }),
    rest: fc.integer({ min: 0, max: 4000 }),
    pairs: fc.boolean(),
    rooms: fc.constantFrom(null, [40, 40], [100], [25, 25, 25, 25]),
    fresh: fc.boolean(),
    most: fc.constantFrom(undefined, 1, 3),
  })
  .map(({ a, b, c, packs, atOnce, late, rest, pairs, rooms, fresh, most }) => {
    const bytes = (_: PlanShot, i: number) => ({ bytes: 6 + i });
    const filtered = (s: PlanShot, i: number) => ({
      ...bytes(s, i),
      windows: Object.fromEntries(
        s.settings.map((key, k) => [key, { earliestS: s.earliestS, latestS: s.latestS - k * 200 }]),
      ),
    });
    const withMost = (g: DayGroup): DayGroup => (most === undefined ? g : { ...g, mostStops: most });
    return {
      groups: [
        withMost({
          ...group('a', 0, atOnce ? 'A' : '', a, filtered),
          breaks: [{ earliestS: rest, latestS: rest + 900 }],
        }),
        withMost(group('b', 0, atOnce ? 'B' : '', b, bytes)),
        withMost({ ...group('c', 1, '', c, bytes), openS: late }),
      ],
      packs: packs.map((p, i) => ({
        id: `P${i}`,
        usableWh: [p.fits === 'c' ? 0 : p.wh, p.fits === 'c' ? 0 : p.wh, p.fits === 'ab' ? 0 : p.wh],
        again: p.again ? AGAIN : null,
        ...(p.flyOn ? { fullWh: [p.wh * 1.4, p.wh * 1.4, p.wh * 1.6] } : {}),
      })),
      swapS: 180,
      travelS: [0, 1200],
      before: pairs && a.length > 1 ? [['a1', 'a0'] as const] : [],
      cards: rooms ? { roomBytes: rooms, fresh } : null,
      chargerSlots: 1,
      fixed: [],
    };
  });

describe('a day of places, pilots, packs and cards', () => {
  it('breaks no limit, and is never worth more than its bound', () => {
    fc.assert(
      fc.property(days, fc.nat(100), (p, seed) => {
        const { plan, weightBound } = found(p, seed, 4);
        expect(faultsOfDay(p, plan)).toEqual([]);
        expect(plan.weight).toBeLessThanOrEqual(weightBound + 1e-6);
      }),
      { numRuns: 60, endOnFailure: true },
    );
  }, 60_000);
  it('the same seed gives the same day', () => {
    fc.assert(
      fc.property(days, fc.nat(100), (p, seed) => {
        expect(found(p, seed, 3)).toEqual(found(p, seed, 3));
      }),
      { numRuns: 15, endOnFailure: true },
    );
  }, 60_000);
  it('one launch point with few shots is proven, and is what the exact planner finds', () => {
    fc.assert(
      fc.property(shots('s', 6), fc.array(fc.constantFrom(9, 12.5, 16), { maxLength: 3 }), (list, packs) => {
        const p = { ...worked(list), packs: packs.map((usableWh, i) => ({ id: `P${i}`, usableWh })) };
        const exact = planExactly(p).plan;
        const { plan, proven } = found(dayOf(p), 1, 2);
        expect(proven).toBe(true);
        expect(Math.abs(comparePlans({ ...plan, flights: plan.flights as never }, exact))).toBeLessThan(1e-6);
      }),
      { numRuns: 40, endOnFailure: true },
    );
  }, 60_000);
  it('what is proven for the whole day is no worse than any long search', () => {
    fc.assert(
      fc.property(days, (p) => {
        const short = found(p, 1, 2);
        if (!short.proven) return;
        const long = found(p, 5, 25).plan;
        expect(
          comparePlans(
            { ...short.plan, flights: short.plan.flights as never },
            { ...long, flights: long.flights as never },
          ),
        ).toBeLessThanOrEqual(1e-6);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  }, 60_000);
  it('two pilots who need no common pack are done no later than one who flies both aircraft', () => {
    const list = (tag: string) =>
      fc
        .sample(shots(tag, 5), { seed: 3, numRuns: 1 })[0]!
        .map((s) => ({ ...s, earliestSeconds: 0, latestSeconds: 20_000 }));
    const day = (once: boolean): DayProblem => ({
      groups: [group('a', 0, once ? 'A' : '', list('a')), group('b', 0, once ? 'B' : '', list('b'))],
      packs: [16, 16, 16, 16].map((wh, i) => ({
        id: `P${i}`,
        usableWh: [i < 2 ? wh : 0, i < 2 ? 0 : wh],
        again: null,
      })),
      swapS: 180,
      travelS: [0],
      before: [],
      cards: null,
      chargerSlots: 0,
      fixed: [],
    });
    const end = (p: DayProblem): number =>
      Math.max(...found(p).plan.flights.map((f) => f.launchS + f.airborneS));
    expect(end(day(true))).toBeLessThan(end(day(false)));
  });
  it('a pack that comes back from the charger flies what one pack alone could not', () => {
    const list = fc
      .sample(shots('a', 8), { seed: 9, numRuns: 20 })
      .find((l) => l.length > 6)!
      .map((s) => ({ ...s, earliestSeconds: 0, latestSeconds: 40_000 }));
    const day = (again: boolean): DayProblem => ({
      groups: [group('a', 0, '', list)],
      packs: [{ id: 'P', usableWh: [12], again: again ? AGAIN : null }],
      swapS: 180,
      travelS: [0],
      before: [],
      cards: null,
      chargerSlots: 1,
      fixed: [],
    });
    const [once, twice] = [found(day(false)).plan, found(day(true)).plan];
    expect(once.flights.length).toBe(1);
    expect(twice.flights.length).toBeGreaterThan(1);
    expect(twice.weight).toBeGreaterThan(once.weight);
    expect(faultsOfDay(day(true), twice)).toEqual([]);
  });
  it('a pack with enough left flies again at once, and no further than what it held', () => {
    const list = fc
      .sample(shots('a', 8), { seed: 9, numRuns: 20 })
      .find((l) => l.length > 6)!
      .map((s, i) => ({ ...s, earliestSeconds: 0, latestSeconds: 40_000, filters: [i % 2 === 0 ? 4 : 8] }));
    const day = (flyOn: boolean): DayProblem => ({
      groups: [group('a', 0, '', list)],
      packs: [{ id: 'P', usableWh: [30], again: null, ...(flyOn ? { fullWh: [44] } : {}) }],
      swapS: 180,
      travelS: [0],
      before: [],
      cards: null,
      chargerSlots: 0,
      fixed: [],
    });
    const [once, twice] = [found(day(false)).plan, found(day(true)).plan];
    // One filter a flight: the shots of the other wait for a second one.
    expect([once.flights.length, new Set(twice.flights.map((f) => f.setting)).size]).toEqual([1, 2]);
    expect(twice.weight).toBeGreaterThan(once.weight);
    expect(twice.flights.reduce((sum, f) => sum + f.wattHours, 0)).toBeLessThanOrEqual(30 + 1e-9);
    expect(faultsOfDay(day(true), twice)).toEqual([]);
    // The check knows: without the rest the same plan breaks a limit.
    expect(faultsOfDay(day(false), twice)).toContainEqual(expect.stringContaining('flown twice'));
  });
  it('what is proven where packs fly on is what a full pack for each flight could not do better', () => {
    fc.assert(
      fc.property(
        shots('s', 5),
        fc.array(fc.constantFrom(12.5, 16, 30), { minLength: 1, maxLength: 2 }),
        (list, packs) => {
          const p = worked(list);
          const day: DayProblem = {
            ...dayOf({ ...p, packs: [] }),
            packs: packs.map((wh, i) => ({ id: `P${i}`, usableWh: [wh], fullWh: [wh * 1.4], again: null })),
          };
          const answer = found(day, 1, 3);
          if (!answer.proven) return;
          const dream = planExactly({
            ...p,
            packs: list.map((_, i) => ({ id: `D${i}`, usableWh: Math.max(...packs) })),
          }).plan;
          expect(
            comparePlans({ ...answer.plan, flights: answer.plan.flights as never }, dream),
          ).toBeLessThanOrEqual(1e-6);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  }, 60_000);
  it('a locked flight is flown as it is, and what is pinned stays on its pack', () => {
    const list = fc
      .sample(shots('a', 6), { seed: 4, numRuns: 20 })
      .find((l) => l.length === 6)!
      .map((s) => ({ ...s, earliestSeconds: 0, latestSeconds: 40_000 }));
    const p: DayProblem = {
      groups: [group('a', 0, '', list, (s) => (s.id === 'a5' ? { packId: 'P2' } : {}))],
      packs: ['P0', 'P1', 'P2'].map((id) => ({ id, usableWh: [14], again: null })),
      swapS: 180,
      travelS: [0],
      before: [],
      cards: null,
      chargerSlots: 0,
      fixed: [{ groupId: 'a', packId: 'P1', shotIds: ['a3', 'a0'], notBeforeS: 700 }],
    };
    const { plan } = found(p);
    expect(faultsOfDay(p, plan)).toEqual([]);
    const locked = plan.flights.find((f) => f.fixed)!;
    expect(locked).toMatchObject({ packId: 'P1' });
    expect(locked.stops.map((s) => s.shotId)).toEqual(['a3', 'a0']);
    expect(locked.launchS).toBeGreaterThanOrEqual(700);
    expect(plan.flights.find((f) => f.stops.some((s) => s.shotId === 'a5'))?.packId).toBe('P2');
  });
});
