import { dayOf, type DayAnswer, type DayPlan, type DayProblem } from './day';
import { planExactly, EXACT_SHOTS } from './exact';
import { weightBoundOf } from './bound';
import { routeOf, type Route } from './route';
import { settingOf, stopsOf, type Tables } from './tables';
import { allowed, dayTables, timeline, type DayTables, type DraftFlight, type Flights } from './timeline';
import { comparePlans, type PlanAnswer, type PlanProblem } from './types';

/** A shot of the day: its group and its number there. */
interface Where {
  readonly group: number;
  readonly shot: number;
}
interface Draft {
  readonly flights: Flights;
  readonly left: readonly Where[];
}

const shotAt = (t: DayTables, w: Where) => t.groups[w.group]?.problem.shots[w.shot];
const worth = (t: DayTables, w: Where): number => shotAt(t, w)?.weight ?? 0;
const weightOf = (t: DayTables, flights: Flights): number =>
  flights.reduce(
    (sum, f) => sum + f.route.shots.reduce((w, shot) => w + worth(t, { group: f.group, shot }), 0),
    0,
  );
const scored = (t: DayTables, flights: Flights) => ({
  weight: weightOf(t, flights),
  flights: flights as unknown as PlanAnswer['plan']['flights'],
  airborneS: flights.reduce((sum, f) => sum + f.route.seconds, 0),
});

const valid = (t: DayTables, flights: Flights): boolean =>
  allowed(t, flights) && timeline(t, flights) !== null;

const planOf = (t: DayTables, { flights, left }: Draft): DayPlan => {
  const at = timeline(t, flights) ?? [];
  const { weight, airborneS } = scored(t, flights);
  return {
    weight,
    airborneS,
    left: left.map((w) => shotAt(t, w)?.id ?? ''),
    flights: flights.map(({ group, pack, route, fixed }, i) => {
      const own = t.groups[group] as Tables;
      const { launchS, span } = at[i] ?? { launchS: 0, span: { setting: -1 } };
      return {
        groupId: t.problem.groups[group]?.id ?? '',
        packId: t.problem.packs[pack]?.id ?? '',
        setting: span.setting < 0 ? settingOf(own, route.bits) : (own.settings[span.setting] ?? ''),
        launchS,
        airborneS: route.seconds,
        wattHours: route.wattHours,
        stops: stopsOf(own, route.ways, launchS),
        fixed,
      };
    }),
  };
};

const replaced = <T>(list: readonly T[], i: number, value: T): T[] =>
  list.map((v, n) => (n === i ? value : v));
const inserted = <T>(list: readonly T[], i: number, value: T): T[] => [
  ...list.slice(0, i),
  value,
  ...list.slice(i),
];

/** A flight with one shot more, at each place in its order that its setting and its pack allow. */
const longer = (t: DayTables, f: DraftFlight, shot: number, blink: () => boolean): Route[] => {
  const own = t.groups[f.group];
  const usableWh = t.problem.packs[f.pack]?.usableWh[f.group] ?? 0;
  const pinned = own?.packOf[shot] ?? -1;
  if (
    !own ||
    f.fixed ||
    f.route.shots.length >= (own.problem.mostStops ?? Infinity) ||
    (f.route.bits & (own.settingBits[shot] ?? 0)) === 0 ||
    (pinned !== -1 && pinned !== f.pack)
  )
    return [];
  return Array.from({ length: f.route.shots.length + 1 }, (_, at) =>
    blink() ? null : routeOf(own, inserted(f.route.shots, at, shot)),
  ).filter((made): made is Route => made !== null && made.wattHours <= usableWh + 1e-9);
};

/** Puts a shot where it adds least: into a flight there is, else into a new one on the pack that suits it best. */
const placed = (
  t: DayTables,
  flights: Flights,
  { group, shot }: Where,
  blink: () => boolean,
): Flights | null => {
  const options = flights
    .flatMap((f, i) =>
      f.group === group
        ? longer(t, f, shot, blink).map((route) => ({ i, route, more: route.seconds - f.route.seconds }))
        : [],
    )
    .sort((a, b) => a.more - b.more);
  for (const { i, route } of options) {
    const f = flights[i];
    const next = f && replaced(flights, i, { ...f, route });
    if (next && valid(t, next)) return next;
  }
  return onNewPack(t, flights, { group, shot });
};

/** Where in a row of flights one of a group may come: places keep their order. */
const gaps = (t: DayTables, flights: Flights, group: number): number[] => {
  const placeOf = (g: number): number => t.problem.groups[g]?.place ?? 0;
  const place = placeOf(group);
  return Array.from({ length: flights.length + 1 }, (_, at) => at).filter(
    (at) =>
      (at === 0 || placeOf(flights[at - 1]?.group ?? 0) <= place) &&
      (at === flights.length || placeOf(flights[at]?.group ?? 0) >= place),
  );
};

/** A flight of its own for a shot: on the biggest pack left, else on one that flew and has enough left, or comes back from the charger. */
const onNewPack = (t: DayTables, flights: Flights, { group, shot }: Where): Flights | null => {
  const own = t.groups[group];
  const alone = own && routeOf(own, [shot]);
  if (!alone || !own) return null;
  const used = new Set(flights.map((f) => f.pack));
  const pinned = own.packOf[shot] ?? -1;
  const usable = (i: number): number => t.problem.packs[i]?.usableWh[group] ?? 0;
  const packs = t.problem.packs
    .map((p, i) => ({ p, i }))
    .filter(
      ({ p, i }) =>
        (!used.has(i) || p.again || p.fullWh) &&
        usable(i) + 1e-9 >= alone.wattHours &&
        (pinned === -1 || pinned === i),
    )
    .sort((a, b) => Number(used.has(a.i)) - Number(used.has(b.i)) || usable(b.i) - usable(a.i));
  for (const { i } of packs)
    for (const at of gaps(t, flights, group)) {
      const next = inserted(flights, at, { route: alone, pack: i, group, fixed: false, notBeforeS: 0 });
      if (valid(t, next)) return next;
    }
  return null;
};

const filled = (t: DayTables, flights: Flights, waiting: readonly Where[], blink: () => boolean): Draft => {
  const left: Where[] = [];
  let now = flights;
  for (const w of waiting) {
    const next = placed(t, now, w, blink);
    if (next) now = next;
    else left.push(w);
  }
  return { flights: now, left };
};

const keyOf = (w: Where): number => w.group * 1000 + w.shot;

/** Takes shots out of their flights; what is left of each keeps its order. */
const without = (t: DayTables, flights: Flights, gone: ReadonlySet<number>): Flights =>
  flights.flatMap((f) => {
    const shots = f.route.shots.filter((shot) => f.fixed || !gone.has(keyOf({ group: f.group, shot })));
    if (shots.length === f.route.shots.length) return [f];
    const route = routeOf(t.groups[f.group] as Tables, shots);
    return route ? [{ ...f, route }] : [];
  });

const whereOf = (f: DraftFlight | undefined): Where[] =>
  f?.route.shots.map((shot) => ({ group: f.group, shot })) ?? [];

/** Shots to take out: some near each other, or a whole flight. */
const ruined = (t: DayTables, draft: Draft, random: () => number): Where[] => {
  const flights = draft.flights.filter((f) => !f.fixed);
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.35) {
    const flight =
      random() < 0.5
        ? [...flights].sort((a, b) => a.route.shots.length - b.route.shots.length)[0]
        : pick(flights);
    const other = random() < 0.5 ? pick(flights) : undefined;
    return [...whereOf(flight), ...(other === flight ? [] : whereOf(other))];
  }
  const seed = pick(flights.flatMap(whereOf));
  if (!seed) return [];
  const own = t.groups[seed.group];
  const mates = flights.filter((f) => f.group === seed.group).flatMap(whereOf);
  const way = own?.waysOf[seed.shot]?.[0] ?? 0;
  const near = mates
    .map((w) => ({
      w,
      d: (own?.between[way]?.[own.waysOf[w.shot]?.[0] ?? 0]?.seconds ?? 0) * (0.6 + random()),
    }))
    .sort((a, b) => a.d - b.d);
  return near.slice(0, 2 + Math.floor(random() * Math.min(10, mates.length))).map((n) => n.w);
};

const shuffledByWorth = (t: DayTables, shots: readonly Where[], random: () => number): Where[] =>
  shots
    .map((w) => ({ w, key: worth(t, w) * (0.7 + 0.6 * random()) + random() }))
    .sort((a, b) => b.key - a.key)
    .map((x) => x.w);

/** Flights a person fixed, and what is left to place. */
const begun = (t: DayTables): { flights: Flights; waiting: Where[] } => {
  const flights = t.problem.fixed.flatMap((f): DraftFlight[] => {
    const group = t.problem.groups.findIndex((g) => g.id === f.groupId);
    const pack = t.problem.packs.findIndex((p) => p.id === f.packId);
    const own = t.groups[group];
    const shots = f.shotIds.flatMap((id) => {
      const w = t.at.get(id);
      return w?.group === group ? [w.shot] : [];
    });
    const route = own && pack >= 0 ? routeOf(own, shots, true) : null;
    return route ? [{ route, pack, group, fixed: true, notBeforeS: f.notBeforeS }] : [];
  });
  const taken = new Set(flights.flatMap(whereOf).map(keyOf));
  const all = [...t.at.values()].filter((w) => !taken.has(keyOf(w)));
  return {
    flights,
    waiting: all.sort(
      (a, b) => worth(t, b) - worth(t, a) || (shotAt(t, a)?.earliestS ?? 0) - (shotAt(t, b)?.earliestS ?? 0),
    ),
  };
};

/** A group by itself, as the exact planner takes it. */
const alone = (
  t: DayTables,
  group: number,
  packs: ReadonlySet<number>,
  openS: number,
): PlanProblem | null => {
  const own = t.groups[group];
  const g = t.problem.groups[group];
  if (!own || !g || g.shots.length > EXACT_SHOTS || t.problem.fixed.some((f) => f.groupId === g.id))
    return null;
  const fit = t.problem.packs
    .filter((p, i) => packs.has(i) && (p.usableWh[group] ?? 0) > 0)
    .sort((a, b) => (b.usableWh[group] ?? 0) - (a.usableWh[group] ?? 0))
    .slice(0, 12);
  return {
    ...own.problem,
    breaks: g.breaks,
    packs: fit.map((p) => ({
      id: p.id,
      usableWh: p.usableWh[group] ?? 0,
      readyS: Math.max(p.readyS ?? 0, openS),
    })),
  };
};

/** Group after group, each solved with proof where it is small, on the packs the ones before left. */
const chained = (t: DayTables): Draft => {
  let draft: Draft = { flights: begun(t).flights, left: [] };
  const waiting = begun(t).waiting;
  t.problem.groups.forEach((g, group) => {
    const used = new Set(draft.flights.map((f) => f.pack));
    const mine = waiting.filter((w) => w.group === group);
    const last = timeline(t, draft.flights)?.at(-1);
    const small = alone(
      t,
      group,
      new Set(t.problem.packs.map((_, i) => i).filter((i) => !used.has(i))),
      Math.max(g.openS, (last?.launchS ?? 0) + (draft.flights.at(-1)?.route.seconds ?? 0) + t.problem.swapS),
    );
    const solved = small
      ? planExactly(small).plan.flights.flatMap((f): DraftFlight[] => {
          const own = t.groups[group] as Tables;
          const shots = f.stops.map((s) => t.at.get(s.shotId)?.shot ?? 0);
          // The very ways that were proven: the quickest may ask more energy than the pack has.
          const ways = f.stops.map(
            (s, i) =>
              own.waysOf[shots[i] ?? -1]?.find(
                (_, n) => g.shots[shots[i] ?? -1]?.ways[n]?.reversed === s.reversed,
              ) ?? -1,
          );
          const route = routeOf(own, shots, false, ways);
          return route
            ? [
                {
                  route,
                  group,
                  pack: t.problem.packs.findIndex((p) => p.id === f.packId),
                  fixed: false,
                  notBeforeS: 0,
                },
              ]
            : [];
        })
      : [];
    const flights = [...draft.flights, ...solved];
    const flown = new Set((valid(t, flights) ? solved : []).flatMap(whereOf).map(keyOf));
    const next = filled(
      t,
      valid(t, flights) ? flights : draft.flights,
      mine.filter((w) => !flown.has(keyOf(w))),
      () => false,
    );
    draft = { flights: next.flights, left: [...draft.left, ...next.left] };
  });
  return filled(t, draft.flights, draft.left, () => false);
};

/** As if each flight could be on the biggest pack there is, full: a pack that is flown twice can do no better. */
const allLike = (p: PlanProblem): PlanProblem => {
  const biggest = Math.max(0, ...p.packs.map((x) => x.usableWh));
  const soonest = Math.min(...p.packs.map((x) => x.readyS ?? 0));
  return {
    ...p,
    packs:
      biggest > 0
        ? Array.from({ length: Math.min(12, p.shots.length) }, (_, i) => ({
            id: `${i}`,
            usableWh: biggest,
            readyS: soonest,
          }))
        : [],
  };
};

interface Bound {
  readonly weight: number;
  readonly flights: number;
  readonly airborneS: number;
  readonly sure: boolean;
}

/** What each group could come to with all packs to itself, added up: nothing on the day is better. */
const boundOf = (t: DayTables): Bound =>
  t.problem.groups.reduce<Bound>(
    (sum, g, group) => {
      const all = new Set(t.problem.packs.map((_, i) => i));
      const flyOn = t.problem.packs.some((p) => p.fullWh);
      const own = alone(t, group, all, g.openS);
      const small = own && flyOn ? allLike(own) : own;
      const full = g.shots.reduce((w, s) => w + s.weight, 0);
      const most = t.problem.packs.some((p) => p.again)
        ? full
        : Math.min(full, weightBoundOf(t.groups[group] as Tables).weightBound);
      if (!small) return { ...sum, weight: sum.weight + most, sure: false };
      const { plan } = planExactly(small);
      const more = (flyOn || t.problem.packs.some((p) => p.again)) && plan.weight < full - 1e-9;
      return {
        weight: sum.weight + (more ? most : Math.min(most, plan.weight)),
        flights: sum.flights + plan.flights.length,
        airborneS: sum.airborneS + plan.airborneS,
        sure: sum.sure && !more,
      };
    },
    { weight: 0, flights: 0, airborneS: 0, sure: true },
  );

const BATCH = 20;
const BLINK_SHARE = 0.02;
/** How much longer than the best a plan may be to be worked on, at the start. */
const SLACK_S = 45;

/**
 * Looks for a good day: greedy filling first, then group after group with proof where they are small, then taking some shots out
 * and putting them back where they add least, over and over (ruin and recreate, after Schrimpf et al., J. Comput. Phys. 159, 2000).
 * Yields the best so far, the first at once; it never ends by itself. Proven where no group could do better with all packs and
 * the whole day to itself.
 * @param random numbers in [0, 1), seeded by the caller: the same give the same plan
 */
export function* searchDay(problem: DayProblem, random: () => number): Generator<DayAnswer, never> {
  const t = dayTables(problem);
  const start = begun(t);
  let best = filled(t, start.flights, start.waiting, () => false);
  const fractional = t.groups.reduce(
    (sum, g) =>
      sum +
      (problem.packs.some((p) => p.again)
        ? g.problem.shots.reduce((w, s) => w + s.weight, 0)
        : weightBoundOf(g).weightBound),
    0,
  );
  let answer: DayAnswer = { plan: planOf(t, best), proven: false, weightBound: fractional };
  yield answer;
  const bound = boundOf(t);
  const tell = (): DayAnswer => {
    const plan = planOf(t, best);
    return {
      plan,
      weightBound: Math.min(bound.weight, fractional),
      proven:
        bound.sure &&
        plan.weight >= bound.weight - 1e-9 &&
        plan.flights.length <= bound.flights &&
        plan.airborneS <= bound.airborneS + 1e-6,
    };
  };
  const chain = chained(t);
  if (comparePlans(scored(t, chain.flights), scored(t, best.flights)) < 0) best = chain;
  answer = tell();
  yield answer;
  let now = best;
  for (let tries = 1; ; tries += 1) {
    if (answer.proven) {
      yield answer;
      continue;
    }
    const gone = ruined(t, now, random);
    const rest = without(t, now.flights, new Set(gone.map(keyOf)));
    if (valid(t, rest)) {
      const made = filled(
        t,
        rest,
        shuffledByWorth(t, [...gone, ...now.left], random),
        () => random() < BLINK_SHARE,
      );
      const [was, is, top] = [scored(t, now.flights), scored(t, made.flights), scored(t, best.flights)];
      const slack = SLACK_S / (1 + tries / 200);
      if (comparePlans(is, { ...was, airborneS: was.airborneS + slack }) < 0) now = made;
      if (comparePlans(is, top) < -1e-9) {
        best = made;
        answer = tell();
      }
    }
    if (tries % 400 === 0) now = best;
    if (tries % BATCH === 0) yield answer;
  }
}

/** The same for the shots of one launch point. */
export const searchPlan = (problem: PlanProblem, random: () => number): Generator<DayAnswer, never> =>
  searchDay(dayOf(problem), random);
