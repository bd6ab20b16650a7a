import { vec } from '../geometry';
import { dayOf, type DayGroup, type DayProblem } from './day';
import { routeOf } from './route';
import { dayTables, timeline, type DraftFlight } from './timeline';
import type { PlanProblem, PlanShot } from './types';

/*
 * A world on a line, for sums in the head: a metre takes a second and 0.1 Wh, a take-off 10 s and 1 Wh, a landing 20 s and 2 Wh,
 * a shot 30 s and 3 Wh, a change of packs 100 s.
 */
export const metres = (m: number) => ({ seconds: m, wattHours: m / 10 });
export const shot = (id: string, from: number, to: number, more: Partial<PlanShot> = {}): PlanShot => ({
  id,
  weight: 1,
  ways: [{ from: vec(from, 0, 0), to: vec(to, 0, 0), reversed: false }],
  performS: 30,
  performWh: 3,
  settings: ['clear'],
  earliestS: 0,
  latestS: 10_000,
  ...more,
});
/** Both ways round. */
export const turning = (id: string, from: number, to: number, more: Partial<PlanShot> = {}): PlanShot => ({
  ...shot(id, from, to, more),
  ways: [
    { from: vec(from, 0, 0), to: vec(to, 0, 0), reversed: false },
    { from: vec(to, 0, 0), to: vec(from, 0, 0), reversed: true },
  ],
});
export const line = (
  shots: readonly PlanShot[],
  usableWh: readonly number[],
  more: Partial<PlanProblem> = {},
): PlanProblem => ({
  shots,
  packs: usableWh.map((wh, i) => ({ id: `P${i}`, usableWh: wh })),
  takeoff: { seconds: 10, wattHours: 1 },
  landing: { seconds: 20, wattHours: 2 },
  leg: (from, to) => metres(Math.abs((from?.x ?? 0) - to.x)),
  home: (from) => metres(Math.abs(from.x)),
  swapS: 100,
  ...more,
});

/** A day of one group on the line, with what is to be tried changed. */
export const dayWith = (
  shots: readonly PlanShot[],
  usableWh: readonly number[],
  more: Partial<DayProblem> = {},
  group: Partial<DayGroup> = {},
): DayProblem => {
  const day = dayOf(line(shots, usableWh));
  return { ...day, groups: day.groups.map((g) => ({ ...g, ...group })), ...more };
};
export const draft = (
  p: DayProblem,
  group: number,
  pack: number,
  shots: readonly number[],
  more: Partial<DraftFlight> = {},
): DraftFlight => {
  const own = dayTables(p).groups[group];
  const route = own && routeOf(own, shots);
  if (!route) throw new RangeError('this flight cannot be flown');
  return { group, pack, route, fixed: false, notBeforeS: 0, ...more };
};
export const launches = (p: DayProblem, flights: readonly DraftFlight[]): number[] | null =>
  timeline(dayTables(p), flights)?.map((l) => l.launchS) ?? null;
