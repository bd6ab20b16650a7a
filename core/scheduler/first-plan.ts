import { keyOf, shotAt, valid, whereOf, worth, type Draft, type Where } from './draft';
import { EXACT_SHOTS, planExactly } from './exact';
import { filled } from './fill';
import { routeOf } from './route';
import type { Tables } from './tables';
import { timeline, type DayTables, type DraftFlight, type Flights } from './timeline';
import type { PlanProblem } from './types';

/** Flights a person fixed, and what is left to place. */
export const begun = (t: DayTables): { flights: Flights; waiting: Where[] } => {
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
export const alone = (
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
export const chained = (t: DayTables): Draft => {
  const { flights: fixed, waiting } = begun(t);
  let draft: Draft = { flights: fixed, left: [] };
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
