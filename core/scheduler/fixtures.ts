import { distance, vec, type Vec3 } from '../geometry';
import type { PlanProblem } from './types';

/** A problem as the worked cases are written down: flat air, one reposition speed. */
export interface WorkedProblem {
  readonly launch: readonly number[];
  readonly repositionSpeedMs: number;
  readonly repositionWatts: number;
  readonly settleSeconds: number;
  readonly hoverWatts: number;
  readonly takeoffSeconds: number;
  readonly landingSeconds: number;
  readonly swapSeconds: number;
  readonly packs: readonly { readonly id: string; readonly usableWh: number }[];
  readonly shots: readonly {
    readonly id: string;
    readonly weight: number;
    readonly start: readonly number[];
    readonly end: readonly number[];
    readonly reversible: boolean;
    readonly performSeconds: number;
    readonly performWh: number;
    readonly filters: readonly number[];
    readonly earliestSeconds: number;
    readonly latestSeconds: number;
  }[];
}

/** Flat air and one small aircraft, for problems that are drawn. */
export const FLAT_AIR: Omit<WorkedProblem, 'packs' | 'shots'> = {
  launch: [0, 0, 0],
  repositionSpeedMs: 9,
  repositionWatts: 95,
  settleSeconds: 4,
  hoverWatts: 89,
  takeoffSeconds: 30,
  landingSeconds: 40,
  swapSeconds: 180,
};

const at = (p: readonly number[]): Vec3 => vec(p[0] ?? 0, p[1] ?? 0, p[2] ?? 0);

/** A worked case as the planner takes it. */
export const problemOf = (w: WorkedProblem): PlanProblem => {
  const fly = (a: Vec3, b: Vec3) => {
    const s = distance(a, b) / w.repositionSpeedMs;
    return { seconds: s, wattHours: (s * w.repositionWatts) / 3600 };
  };
  const hover = (s: number) => ({ seconds: s, wattHours: (s * w.hoverWatts) / 3600 });
  return {
    packs: w.packs,
    takeoff: hover(w.takeoffSeconds),
    landing: hover(w.landingSeconds),
    swapS: w.swapSeconds,
    leg: (from, to) => {
      const way = fly(from ?? at(w.launch), to);
      const settle = hover(w.settleSeconds);
      return { seconds: way.seconds + settle.seconds, wattHours: way.wattHours + settle.wattHours };
    },
    home: (from) => fly(from, at(w.launch)),
    shots: w.shots.map((s) => ({
      id: s.id,
      weight: s.weight,
      performS: s.performSeconds,
      performWh: s.performWh,
      settings: s.filters.map(String),
      earliestS: s.earliestSeconds,
      latestS: s.latestSeconds,
      ways: [
        { from: at(s.start), to: at(s.end), reversed: false },
        ...(s.reversible ? [{ from: at(s.end), to: at(s.start), reversed: true }] : []),
      ],
    })),
  };
};
