import type { Vec3 } from '../geometry';
import { nearestOn } from './nearest-on';

/** How a path that was flown lies against the one that was planned. */
export interface PathDeviation {
  /** Farthest it was from the planned path, m, and where in the flown one. */
  readonly farthestM: number;
  readonly at: number;
  readonly meanM: number;
}

/** How far a flown path strays from the planned one; null where either has no points. */
export const pathDeviation = (flown: readonly Vec3[], planned: readonly Vec3[]): PathDeviation | null => {
  if (flown.length === 0 || planned.length === 0) return null;
  const off = flown.map((p) => nearestOn(p, planned)?.offM ?? 0);
  const farthestM = off.reduce((most, d) => Math.max(most, d), 0);
  return { farthestM, at: off.indexOf(farthestM), meanM: off.reduce((a, b) => a + b, 0) / off.length };
};
