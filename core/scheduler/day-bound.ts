import { weightBoundOf } from './bound';
import { planExactly } from './exact';
import { alone } from './first-plan';
import type { Tables } from './tables';
import type { DayTables } from './timeline';
import type { PlanProblem } from './types';

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

const fullWorth = (t: DayTables, group: number): number =>
  (t.groups[group]?.problem.shots ?? []).reduce((sum, s) => sum + s.weight, 0);

/** No plan of a group is worth more than this: with packs that come back full, all of it, else what the energy of all packs buys. */
const worthOfGroup = (t: DayTables, group: number): number =>
  t.problem.packs.some((p) => p.again)
    ? fullWorth(t, group)
    : weightBoundOf(t.groups[group] as Tables).weightBound;

/** No plan of a day is worth more than this. */
export const mostWorth = (t: DayTables): number =>
  t.groups.reduce((sum, _, group) => sum + worthOfGroup(t, group), 0);

interface Bound {
  readonly weight: number;
  readonly flights: number;
  readonly airborneS: number;
  readonly sure: boolean;
}

/** What each group could come to with all packs to itself, added up: nothing on the day is better. */
export const boundOf = (t: DayTables): Bound =>
  t.problem.groups.reduce<Bound>(
    (sum, g, group) => {
      const all = new Set(t.problem.packs.map((_, i) => i));
      const flyOn = t.problem.packs.some((p) => p.fullWh);
      const own = alone(t, group, all, g.openS);
      const small = own && flyOn ? allLike(own) : own;
      const full = fullWorth(t, group);
      const most = Math.min(full, worthOfGroup(t, group));
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
