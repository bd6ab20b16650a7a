import type { Name } from '../messages';
import { nearestAlong, type Solid } from '../clearance';
import type { Trajectory } from '../moves';
import type { TrySample } from './try';

/** What a flown line came nearest to. */
export interface NearestThing {
  readonly name: Name;
  /** Free air between, m; 0 and less went through it. */
  readonly freeM: number;
  readonly tS: number;
}

/** What a try left free, and what it took, beside its plan. */
export interface TryMargins {
  /** null where nothing stands within sixty metres. */
  readonly nearest: NearestThing | null;
  /** Free air the plan leaves, m; null where nothing is near it. */
  readonly plannedFreeM: number | null;
  /** It came closer to something than the film wants. */
  readonly tooNear: boolean;
  /** Lowest height above the ground, m; NaN where the ground is not known. */
  readonly lowestM: number;
  readonly usedWh: number;
  /** Energy of the same part of the plan's one take, Wh. */
  readonly plannedWh: number;
}

/** What is farther than this is not named, m. */
const WITHIN_M = 60;

/**
 * Clearance and energy of a try. Things are as the site map has them; the subject is not among them.
 * @param solids what stands at the location @param groundAt height of the ground, m
 * @param leastM clearance the film wants, m
 * @param usedWh energy the try took @param plannedWh energy of one take as planned
 */
export const marginsOf = (
  samples: readonly TrySample[],
  trajectory: Trajectory,
  solids: readonly Solid[],
  groundAt: (x: number, y: number) => number,
  leastM: number,
  usedWh: number,
  plannedWh: number,
): TryMargins => {
  const way = samples.map((s) => s.pose.at);
  const near = nearestAlong(way, solids, WITHIN_M);
  const endS = samples.at(-1)?.tS ?? 0;
  const plan = trajectory.samples.map((s) => s.pose.at);
  const heights = way.map((p) => p.z - groundAt(p.x, p.y));
  return {
    nearest: near && { name: near.solid.name, freeM: near.freeM, tS: near.share * endS },
    plannedFreeM: nearestAlong(plan, solids, WITHIN_M)?.freeM ?? null,
    tooNear: near !== null && near.freeM < leastM,
    lowestM: heights.some(Number.isNaN) || heights.length === 0 ? NaN : Math.min(...heights),
    usedWh,
    plannedWh,
  };
};
