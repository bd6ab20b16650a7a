import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { problemOf, type WorkedProblem } from '../../core/plan/fixtures';
import { planExactly, searchPlan, type Plan } from '../../core/plan';
import { ms, report, spread } from './figures';

const seeded = (seed: number): (() => number) => { const rng = xoroshiro128plus(seed); return () => (rng.next() >>> 0) / 2 ** 32; };

const worked = (random: () => number, shots: number, packs: readonly number[], windows: boolean): WorkedProblem => {
  const between = (low: number, high: number): number => low + random() * (high - low);
  const point = (): number[] => [between(-200, 200), between(-200, 200), between(4, 80)];
  return {
    launch: [0, 0, 0], repositionSpeedMs: 9, repositionWatts: 95, settleSeconds: 4, hoverWatts: 89, takeoffSeconds: 30, landingSeconds: 40, swapSeconds: 180,
    packs: packs.map((usableWh, i) => ({ id: `P${i}`, usableWh })),
    shots: Array.from({ length: shots }, (_, i) => {
      const start = point();
      const performSeconds = between(45, 140);
      const earliestSeconds = windows ? Math.floor(between(0, 1500)) : 0;
      return {
        id: `S${i}`, weight: [1, 100, 10_000][Math.floor(random() * 3)] ?? 1, start, end: start.map((x) => x + between(-40, 40)), reversible: random() < 0.5, performSeconds, performWh: (performSeconds * between(88, 125)) / 3600,
        filters: random() < 0.6 ? [4, 8] : [random() < 0.5 ? 4 : 8], earliestSeconds, latestSeconds: windows ? earliestSeconds + Math.floor(between(900, 3000)) : 36_000,
      };
    }),
  };
};

/** The planners: small ones with proof, large ones for two seconds. */
export const runPlan = (): void => {
  console.log('\nFlight planner, one thread (in the pages it runs in a worker)');
  const random = seeded(11);
  const times = Array.from({ length: 30 }, () => {
    const problem = problemOf(worked(random, 8, [16, 12.5, 9.5], true));
    const began = performance.now();
    planExactly(problem);
    return performance.now() - began;
  });
  const s = spread(times);
  report('8 shots, 3 packs, windows and filters: proven', `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`);
  const large = problemOf(worked(random, 40, [16, 16, 16, 16, 12.5, 12.5, 12.5, 9.5], false));
  const best = (seed: number, forMs: number): { plan: Plan; first: number; bound: number } => {
    const began = performance.now();
    const search = searchPlan(large, seeded(seed));
    let answer = search.next().value;
    const first = performance.now() - began;
    while (performance.now() - began < forMs) answer = search.next().value;
    return { plan: answer.plan, first, bound: answer.weightBound };
  };
  const short = best(1, 2000);
  const long = [2, 3, 4].map((seed) => best(seed, 5000).plan).sort((a, b) => b.weight - a.weight || a.flights.length - b.flights.length || a.airborneS - b.airborneS)[0];
  if (!long) return;
  report('40 shots, 8 packs: first plan', ms(short.first));
  report('40 shots, 8 packs: after 2 s against the best of 15 s', `worth ${short.plan.weight} of ${long.weight} (bound ${short.bound.toFixed(0)}), flights ${short.plan.flights.length} and ${long.flights.length}, airborne ${(100 * (short.plan.airborneS / long.airborneS - 1)).toFixed(1)} % more`);
};
