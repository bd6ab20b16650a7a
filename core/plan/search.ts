import { weightBoundOf } from './bound';
import { routeOf, type Route } from './route';
import { settingOf, stopsOf, tablesOf, type Tables } from './tables';
import { comparePlans, type Plan, type PlanAnswer, type PlanProblem } from './types';

/** Flights in the order they are launched, each with the number of its pack. */
interface Draft {
  readonly flights: readonly { readonly route: Route; readonly pack: number }[];
  readonly left: readonly number[];
}

const EMPTY: Draft['flights'] = [];

/** Launch of each flight, as early as its pack, its shots and the landing before it allow; null where one comes too late. */
const launches = (t: Tables, flights: Draft['flights']): number[] | null => {
  let ready = 0;
  const at: number[] = [];
  for (const { route, pack } of flights) {
    const launch = Math.max(ready, t.problem.packs[pack]?.readyS ?? 0, route.from);
    if (launch > route.to + 1e-9) return null;
    at.push(launch);
    ready = launch + route.seconds + t.problem.swapS;
  }
  return at;
};

const weightOf = (t: Tables, { flights }: Draft): number => flights.reduce((sum, f) => sum + f.route.shots.reduce((w, s) => w + (t.problem.shots[s]?.weight ?? 0), 0), 0);
const airborneOf = ({ flights }: Draft): number => flights.reduce((sum, f) => sum + f.route.seconds, 0);
const scored = (t: Tables, d: Draft) => ({ weight: weightOf(t, d), flights: d.flights as unknown as Plan['flights'], airborneS: airborneOf(d) });

const planOf = (t: Tables, draft: Draft): Plan => {
  const at = launches(t, draft.flights) ?? [];
  return {
    weight: weightOf(t, draft), airborneS: airborneOf(draft), left: draft.left.map((s) => t.problem.shots[s]?.id ?? ''),
    flights: draft.flights.map(({ route, pack }, i) => ({
      packId: t.problem.packs[pack]?.id ?? '', setting: settingOf(t, route.bits), launchS: at[i] ?? 0, airborneS: route.seconds, wattHours: route.wattHours,
      stops: stopsOf(t, route.ways, at[i] ?? 0),
    })),
  };
};

const replaced = <T>(list: readonly T[], i: number, value: T): T[] => list.map((v, n) => (n === i ? value : v));
const inserted = <T>(list: readonly T[], i: number, value: T): T[] => [...list.slice(0, i), value, ...list.slice(i)];

/** A flight with one shot more, at each place in its order that its setting and its pack allow. */
const longer = (t: Tables, route: Route, shot: number, usableWh: number, blink: () => boolean): Route[] => {
  if ((route.bits & (t.settingBits[shot] ?? 0)) === 0) return [];
  return Array.from({ length: route.shots.length + 1 }, (_, at) => (blink() ? null : routeOf(t, inserted(route.shots, at, shot))))
    .filter((made): made is Route => made !== null && made.wattHours <= usableWh + 1e-9);
};

/** Puts a shot where it adds least: into a flight there is, else into a new one on the pack that suits it best. */
const placed = (t: Tables, flights: Draft['flights'], shot: number, blink: () => boolean): Draft['flights'] | null => {
  let best: { flights: Draft['flights']; more: number } | null = null;
  for (const [f, { route, pack }] of flights.entries()) {
    for (const made of longer(t, route, shot, t.problem.packs[pack]?.usableWh ?? 0, blink)) {
      const more = made.seconds - route.seconds;
      if (best && more >= best.more) continue;
      const next = replaced(flights, f, { route: made, pack });
      if (launches(t, next)) best = { flights: next, more };
    }
  }
  return best ? best.flights : onNewPack(t, flights, shot);
};

/** A flight of its own for a shot, on the biggest pack left, wherever in the day it goes. */
const onNewPack = (t: Tables, flights: Draft['flights'], shot: number): Draft['flights'] | null => {
  const alone = routeOf(t, [shot]);
  if (!alone) return null;
  const used = new Set(flights.map((f) => f.pack));
  const packs = t.problem.packs.map((p, i) => ({ p, i })).filter(({ p, i }) => !used.has(i) && p.usableWh + 1e-9 >= alone.wattHours).sort((a, b) => b.p.usableWh - a.p.usableWh);
  for (const { i } of packs) for (let at = 0; at <= flights.length; at += 1) { const next = inserted(flights, at, { route: alone, pack: i }); if (launches(t, next)) return next; }
  return null;
};

const filled = (t: Tables, flights: Draft['flights'], waiting: readonly number[], blink: () => boolean): Draft => {
  const left: number[] = [];
  let now = flights;
  for (const shot of waiting) { const next = placed(t, now, shot, blink); if (next) now = next; else left.push(shot); }
  return { flights: now, left };
};

/** Takes shots out of their flights; what is left of each keeps its order. */
const without = (t: Tables, flights: Draft['flights'], gone: ReadonlySet<number>): Draft['flights'] => flights.flatMap((f) => {
  const shots = f.route.shots.filter((s) => !gone.has(s));
  if (shots.length === f.route.shots.length) return [f];
  const route = routeOf(t, shots);
  return route ? [{ route, pack: f.pack }] : [];
});

/** Shots to take out: some near each other, or a whole flight. */
const ruined = (t: Tables, draft: Draft, random: () => number): Set<number> => {
  const { flights } = draft;
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.35) {
    const flight = random() < 0.5 ? [...flights].sort((a, b) => a.route.shots.length - b.route.shots.length)[0] : pick(flights);
    return new Set([...flight?.route.shots ?? [], ...(random() < 0.5 ? pick(flights)?.route.shots ?? [] : [])]);
  }
  const all = flights.flatMap((f) => f.route.shots);
  const seed = pick(all);
  if (seed === undefined) return new Set();
  const way = t.waysOf[seed]?.[0] ?? 0;
  const near = all.map((s) => ({ s, d: (t.between[way]?.[t.waysOf[s]?.[0] ?? 0]?.seconds ?? 0) * (0.6 + random()) })).sort((a, b) => a.d - b.d);
  return new Set(near.slice(0, 2 + Math.floor(random() * Math.min(10, all.length))).map((n) => n.s));
};

const shuffledByWorth = (t: Tables, shots: readonly number[], random: () => number): number[] =>
  shots.map((s) => ({ s, key: (t.problem.shots[s]?.weight ?? 0) * (0.7 + 0.6 * random()) + random() })).sort((a, b) => b.key - a.key).map((x) => x.s);

const BATCH = 20;
const BLINK_SHARE = 0.02;
/** How much longer than the best a plan may be to be worked on, at the start. */
const SLACK_S = 45;

/**
 * Looks for a good plan where there are too many shots for a proof: greedy filling, then taking some shots out and putting them
 * back where they add least, over and over (ruin and recreate, after Schrimpf et al., J. Comput. Phys. 159, 2000). Yields the
 * best so far with every batch of tries, the first at once; it never ends by itself.
 * @param random numbers in [0, 1), seeded by the caller: the same give the same plan
 */
export function* searchPlan(problem: PlanProblem, random: () => number): Generator<PlanAnswer, never> {
  const t = tablesOf(problem);
  const never = (): boolean => false;
  const byWorth = problem.shots.map((s, i) => ({ i, w: s.weight, e: s.earliestS })).sort((a, b) => b.w - a.w || a.e - b.e).map((x) => x.i);
  let best = filled(t, EMPTY, byWorth, never);
  let now = best;
  const { weightBound } = weightBoundOf(t);
  let answer: PlanAnswer = { plan: planOf(t, best), proven: false, weightBound };
  yield answer;
  for (let tries = 1; ; tries += 1) {
    const gone = ruined(t, now, random);
    const rest = without(t, now.flights, gone);
    if (launches(t, rest)) {
      const made = filled(t, rest, shuffledByWorth(t, [...gone, ...now.left], random), () => random() < BLINK_SHARE);
      const [was, is, top] = [scored(t, now), scored(t, made), scored(t, best)];
      const slack = SLACK_S / (1 + tries / 200);
      if (comparePlans(is, { ...was, airborneS: was.airborneS + slack }) < 0) now = made;
      if (comparePlans(is, top) < -1e-9) { best = made; answer = { plan: planOf(t, best), proven: false, weightBound }; }
    }
    if (tries % 400 === 0) now = best;
    if (tries % BATCH === 0) yield answer;
  }
}
