import type { DayPlan } from './day';
import { routeOf } from './route';
import { settingOf, stopsOf, type Tables } from './tables';
import { allowed, timeline, type DayTables, type DraftFlight, type Flights } from './timeline';
import type { PlanAnswer } from './types';

/** A shot of the day: its group and its number there. */
export interface Where {
  readonly group: number;
  readonly shot: number;
}
/** Flights so far, and shots that are in none. */
export interface Draft {
  readonly flights: Flights;
  readonly left: readonly Where[];
}

export const shotAt = (t: DayTables, w: Where) => t.groups[w.group]?.problem.shots[w.shot];
export const worth = (t: DayTables, w: Where): number => shotAt(t, w)?.weight ?? 0;
const weightOf = (t: DayTables, flights: Flights): number =>
  flights.reduce(
    (sum, f) => sum + f.route.shots.reduce((w, shot) => w + worth(t, { group: f.group, shot }), 0),
    0,
  );
export const scored = (t: DayTables, flights: Flights) => ({
  weight: weightOf(t, flights),
  flights: flights as unknown as PlanAnswer['plan']['flights'],
  airborneS: flights.reduce((sum, f) => sum + f.route.seconds, 0),
});

export const valid = (t: DayTables, flights: Flights): boolean =>
  allowed(t, flights) && timeline(t, flights) !== null;

export const keyOf = (w: Where): number => w.group * 1_000_000 + w.shot;

/** Takes shots out of their flights; what is left of each keeps its order. */
export const without = (t: DayTables, flights: Flights, gone: ReadonlySet<number>): Flights =>
  flights.flatMap((f) => {
    const shots = f.route.shots.filter((shot) => f.fixed || !gone.has(keyOf({ group: f.group, shot })));
    if (shots.length === f.route.shots.length) return [f];
    const route = routeOf(t.groups[f.group] as Tables, shots);
    return route ? [{ ...f, route }] : [];
  });

export const whereOf = (f: DraftFlight | undefined): Where[] =>
  f?.route.shots.map((shot) => ({ group: f.group, shot })) ?? [];

/** A draft as the plan that is told: launches, settings and stops worked out. */
export const planOf = (t: DayTables, { flights, left }: Draft): DayPlan => {
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
