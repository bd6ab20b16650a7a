import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { FLAT_AIR, problemOf, type WorkedProblem } from '../../core/scheduler/fixtures';
import { FilmDeriver } from '@core/film';
import { moveShot } from '@core/day';
import { withChanges } from '@core/scheduler';
import type { FilmInput } from '@core/model';
import { planExactly } from '../../core/scheduler/exact';
import { searchPlan } from '../../core/scheduler/search';
import type { DayPlan } from '../../core/scheduler/day';
import { simulate } from '@core/risk';
import { byTrial, milp } from './milp';
import { ms, report, spread } from './figures';

const seeded = (seed: number): (() => number) => {
  const rng = xoroshiro128plus(seed);
  return () => (rng.next() >>> 0) / 2 ** 32;
};

const worked = (
  random: () => number,
  shots: number,
  packs: readonly number[],
  windows: boolean,
): WorkedProblem => {
  const between = (low: number, high: number): number => low + random() * (high - low);
  const point = (): number[] => [between(-200, 200), between(-200, 200), between(4, 80)];
  return {
    ...FLAT_AIR,
    packs: packs.map((usableWh, i) => ({ id: `P${i}`, usableWh })),
    shots: Array.from({ length: shots }, (_, i) => {
      const start = point();
      const performSeconds = between(45, 140);
      const earliestSeconds = windows ? Math.floor(between(0, 1500)) : 0;
      return {
        id: `S${i}`,
        weight: [1, 100, 10_000][Math.floor(random() * 3)] ?? 1,
        start,
        end: start.map((x) => x + between(-40, 40)),
        reversible: random() < 0.5,
        performSeconds,
        performWh: (performSeconds * between(88, 125)) / 3600,
        filters: random() < 0.6 ? [4, 8] : [random() < 0.5 ? 4 : 8],
        earliestSeconds,
        latestSeconds: windows ? earliestSeconds + Math.floor(between(900, 3000)) : 36_000,
      };
    }),
  };
};

const took = <T>(act: () => T): { answer: T; ms: number } => {
  const began = performance.now();
  return { answer: act(), ms: performance.now() - began };
};

interface Optimum {
  readonly weight: number;
  readonly flights: number;
  readonly airborneS: number;
}
const same = (a: Optimum, b: Optimum): boolean =>
  a.weight === b.weight && a.flights === b.flights && Math.abs(a.airborneS - b.airborneS) < 0.01;
/** The solver takes half a minute for each: BENCH_MILP=30 asks it all of them. */
const SOLVED = Number(process.env['BENCH_MILP'] ?? 1);

/** Small days proven, against every flight by trial with branch and bound, and against a mixed-integer solver. */
const againstOracles = async (random: () => number): Promise<void> => {
  const oracle = await milp();
  const runs = Array.from({ length: 30 }, (_, i) => {
    const problem = problemOf(worked(random, 8, [16, 12.5, 9.5], true));
    const own = took(() => {
      const { plan } = planExactly(problem);
      return { weight: plan.weight, flights: plan.flights.length, airborneS: plan.airborneS };
    });
    const trial = took(() => byTrial(problem));
    const solved = i < SOLVED ? took(() => oracle(problem)) : null;
    return {
      own: own.ms,
      trial: trial.ms,
      solved: solved?.ms ?? null,
      trialSame: same(own.answer, trial.answer),
      solvedSame: solved === null || same(own.answer, solved.answer),
    };
  });
  const [s, t] = [spread(runs.map((r) => r.own)), spread(runs.map((r) => r.trial))];
  report(
    '8 shots, 3 packs, windows and filters: proven',
    `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)}`,
  );
  report(
    'the same by every flight tried, days by branch and bound',
    `median ${ms(t.median)}, worst ${ms(t.max)}; the same optimum in ${runs.filter((r) => r.trialSame).length} of ${runs.length}`,
  );
  const asked = runs.filter((r) => r.solved !== null);
  const o = spread(asked.map((r) => r.solved ?? 0));
  report(
    'the same as a mixed-integer program',
    `median ${ms(o.median)}, ${(o.median / s.median).toFixed(0)} times slower; the same optimum in ${asked.filter((r) => r.solvedSame).length} of ${asked.length}`,
  );
};

/** A day of 40 shots thrown 2,000 times. */
const runRisk = (): void => {
  const random = seeded(3);
  const shot = (i: number) => ({
    id: `s${i}`,
    must: i % 3 === 0,
    takes: 2 + (i % 2),
    keeperRate: 0.45 + 0.4 * random(),
    legS: 8,
    legWh: 0.2,
    setupS: 30,
    setupWh: 0.7,
    setUpShare: 1,
    takeS: 20 + 10 * random(),
    takeWh: 0.6,
    betweenS: 8,
    betweenWh: 0.2,
    homeS: 40,
    homeWh: 1,
    latestS: 9000,
  });
  const flights = Array.from({ length: 8 }, (_, f) => ({
    crew: '',
    kind: 'A',
    usableWh: 24,
    heldWh: 38,
    launchS: f * 900,
    takeoffS: 30,
    takeoffWh: 0.7,
    stops: Array.from({ length: 5 }, (_, k) => shot(f * 5 + k)),
  }));
  const day = {
    flights,
    spares: [],
    unplanned: [],
    swapS: 180,
    packSpread: 0.04,
    airSpread: 0.08,
    setupSpread: 0.35,
    meanW: 90,
  };
  const times = Array.from({ length: 9 }, () => took(() => simulate(day, 2000, seeded(1))).ms);
  report(
    '2,000 days of 40 shots thrown',
    `median ${ms(spread(times).median)}, worst ${ms(spread(times).max)}`,
  );
};

/** Moving a shot between flights of a film, tried as while it is dragged; only such moves as can be made. */
export const runRail = (film: FilmInput, count: number): void => {
  const reckoner = new FilmDeriver();
  const derived = reckoner.derive(film);
  const place = [...derived.places.values()].sort((a, b) => b.flights.length - a.flights.length)[0];
  const own = place?.flights.flatMap((f) => f.stops.map((s) => s.shotId)) ?? [];
  let n = 0;
  const times = Array.from({ length: 400 }, (_, i) => {
    const began = performance.now();
    const changes = moveShot(
      film,
      derived,
      own[i % own.length] ?? '',
      { to: 'flight', index: Math.floor(i / own.length) % (place?.flights.length ?? 1), at: i % 3 },
      () => {
        n += 1;
        return `t${n}`;
      },
    );
    if (!changes) return null;
    reckoner.flights(withChanges(film, changes));
    return performance.now() - began;
  }).filter((t) => t !== null);
  const s = spread(times.slice(20));
  report(
    `a shot tried in another flight, ${count} shots`,
    `median ${ms(s.median)}, p95 ${ms(s.p95)}, worst ${ms(s.max)} of ${times.length} tries`,
  );
};

/** The planners: small ones with proof, large ones for two seconds; the dice; the rail while dragging. */
export const runPlan = async (film: FilmInput, count: number, demo: FilmInput): Promise<void> => {
  console.log('\nFlight planner, one thread (in the pages it runs in a worker)');
  const random = seeded(11);
  await againstOracles(random);
  const large = problemOf(worked(random, 40, [16, 16, 16, 16, 12.5, 12.5, 12.5, 9.5], false));
  const best = (seed: number, forMs: number): { plan: DayPlan; first: number; bound: number } => {
    const began = performance.now();
    const search = searchPlan(large, seeded(seed));
    let answer = search.next().value;
    const first = performance.now() - began;
    while (performance.now() - began < forMs) answer = search.next().value;
    return { plan: answer.plan, first, bound: answer.weightBound };
  };
  const short = best(1, 2000);
  const long = [2, 3, 4]
    .map((seed) => best(seed, 5000).plan)
    .sort(
      (a, b) => b.weight - a.weight || a.flights.length - b.flights.length || a.airborneS - b.airborneS,
    )[0];
  if (!long) return;
  report('40 shots, 8 packs: first plan', ms(short.first));
  report(
    '40 shots, 8 packs: after 2 s against the best of 15 s',
    `worth ${short.plan.weight} of ${long.weight} (bound ${short.bound.toFixed(0)}), flights ${short.plan.flights.length} and ${long.flights.length}, airborne ${(100 * (short.plan.airborneS / long.airborneS - 1)).toFixed(1)} % more`,
  );
  runRisk();
  runRail(demo, demo.shots.length);
  runRail(film, count);
};
