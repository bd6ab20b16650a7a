import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { compareOrders, deriveFilm, inOrder, orderJobs, orderProblem, positionsFor, solveOrder, tryOrder, weighOrder, type FilmInput } from '..';
import { faultsOfPlan, planExactly } from '../../plan';

let film: FilmInput;
beforeAll(async () => { film = (await import('../../../demo')).demoFilm() as FilmInput; });
const seeded = (seed: number): (() => number) => { const rng = xoroshiro128plus(seed); return () => (rng.next() >>> 0) / 2 ** 32; };
const shuffled = (input: FilmInput, locationId: string, keys: readonly number[]): FilmInput => {
  const own = inOrder(input.shots.filter((s) => s.locationId === locationId));
  const order = own.map((s, i) => ({ id: s.id, key: keys[i] ?? 0 })).sort((a, b) => a.key - b.key).map((x) => x.id);
  const positions = positionsFor(input, locationId, order);
  return { ...input, shots: input.shots.map((s) => ({ ...s, position: positions.get(s.id) ?? s.position })) };
};
const found = (input: FilmInput, locationId: string) => { let rounds = 10; return solveOrder(orderJobs(input, deriveFilm(input), locationId), seeded(1), () => { rounds -= 1; return rounds > 0; }); };

describe('ordering a place', () => {
  it('asks once for each aircraft, with the costs the budget reckons', () => {
    const derived = deriveFilm(film);
    for (const location of film.locations) {
      const jobs = orderJobs(film, derived, location.id);
      const own = [...derived.shots.values()].filter((s) => s.facts.location.id === location.id);
      expect(jobs.flatMap((j) => j.shots.map((s) => s.id)).sort()).toEqual(own.map((s) => s.facts.shot.id).sort());
      for (const job of jobs) for (const s of job.shots) expect(s.wattHours).toBe(derived.shots.get(s.id)!.facts.energy!.totalWh);
      for (const job of jobs) { const problem = orderProblem(job, 0, new Set()); expect(faultsOfPlan(problem, planExactly(problem).plan)).toEqual([]); }
    }
  });
  it('a flight of the planner costs what the filler makes of the same flight', () => {
    const derived = deriveFilm(film);
    const { order } = found(film, film.locations[0]!.id);
    const weighed = tryOrder(film, film.locations[0]!.id, order);
    const [job] = orderJobs(film, derived, film.locations[0]!.id);
    const { plan } = planExactly(orderProblem(job!, 0, new Set()));
    expect(weighed.usedWh).toBeGreaterThanOrEqual(plan.flights.reduce((sum, f) => sum + f.wattHours, 0) - 1e-6);
  });
  it('turning the list over never finds more than the planner, and the planner finds a good order again from any', () => {
    fc.assert(fc.property(fc.constantFrom(0, 1, 2), fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }), (n, keys) => {
      const { id } = film.locations[n]!;
      const mixed = shuffled(film, id, keys);
      const now = weighOrder(deriveFilm(mixed), id);
      const better = tryOrder(mixed, id, found(mixed, id).order);
      // The list is filled as it comes, so an order is offered only after it was tried; musts are never lost by it here.
      expect(better.flown.must).toBeGreaterThanOrEqual(now.flown.must);
      expect(better.flown.must + better.flown.should + better.flown.could + better.unflown).toBe(now.flown.must + now.flown.should + now.flown.could + now.unflown);
    }), { numRuns: 12 });
  }, 60_000);
  it('deals out the keys there are: as many, each once, nothing of other places', () => {
    const { id } = film.locations[1]!;
    const own = inOrder(film.shots.filter((s) => s.locationId === id));
    const positions = positionsFor(film, id, [...own].reverse().map((s) => s.id));
    expect([...positions.values()].sort()).toEqual(own.map((s) => s.position).sort());
    expect(inOrder(film.shots.filter((s) => s.locationId === id).map((s) => ({ ...s, position: positions.get(s.id)! }))).map((s) => s.id)).toEqual([...own].reverse().map((s) => s.id));
    expect(positionsFor(film, id, []).size).toBe(own.length);
  });
  it('musts before shoulds before coulds, then the light, then flights, then time', () => {
    const base = weighOrder(deriveFilm(film), film.locations[0]!.id);
    expect(compareOrders(base, base)).toBe(0);
    expect(compareOrders({ ...base, flown: { ...base.flown, must: base.flown.must - 1, could: base.flown.could + 5 } }, base)).toBeGreaterThan(0);
    expect(compareOrders({ ...base, airborneS: base.airborneS - 60, flights: base.flights + 1 }, base)).toBeGreaterThan(0);
    expect(compareOrders({ ...base, airborneS: base.airborneS - 60 }, base)).toBeLessThan(0);
    expect(compareOrders({ ...base, late: base.late + 1, flights: base.flights - 1 }, base)).toBeGreaterThan(0);
  });
  it('a place without a zone, or gone, has nothing to order', () => {
    expect(orderJobs(film, deriveFilm(film), 'gone')).toEqual([]);
    const broken = { ...film, locations: film.locations.map((l) => ({ ...l, zone: 'Nowhere/Land' })) };
    expect(orderJobs(broken, deriveFilm(broken), film.locations[0]!.id)).toEqual([]);
  });
});
