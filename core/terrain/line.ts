import { EARTH_M, vec, type Vec3 } from '../geometry';
import { stepOver, type Ground } from './ground';

/** Radius of the earth over 1 less the usual bending of light, m: a line of sight rises by d²/(2R) over the ground. */
const SIGHT_RADIUS_M = EARTH_M / (1 - 0.13);

/** How far the ground has sunk under a level line of sight, m. Radius and refraction 0.13 as in levelling. */
export const sunkM = (distanceM: number): number => (distanceM * distanceM) / (2 * SIGHT_RADIUS_M);

/**
 * First place where the ground stands above a straight line, or null when the line is free. Places of unknown height do not
 * hide anything.
 * @param fromM how near to its start a line is not looked at, m: the ground one stands on
 */
export const groundHides = (ground: Ground, eye: Vec3, target: Vec3, fromM = 1): Vec3 | null => {
  const run = Math.hypot(target.x - eye.x, target.y - eye.y);
  const step = stepOver(ground);
  const parts = Math.ceil(run / step);
  for (let i = 1; i < parts; i += 1) {
    const u = i / parts;
    const away = run * u;
    if (away < fromM) continue;
    const [x, y] = [eye.x + (target.x - eye.x) * u, eye.y + (target.y - eye.y) * u];
    const z = ground.at(x, y);
    // Not-a-number is never above.
    if (z - sunkM(away) > eye.z + (target.z - sunkM(run) - eye.z) * u) return vec(x, y, z);
  }
  return null;
};

/** Ground along a way over the map, seen from its beginning. */
export interface ProfilePoint {
  readonly distanceM: number;
  readonly xM: number;
  readonly yM: number;
  /** Ground above the origin, m; NaN where unknown. */
  readonly groundM: number;
}

/** Ground under a line of places, sampled at half a cell, with the places themselves. */
export const profileOf = (
  ground: Ground,
  way: readonly { readonly x: number; readonly y: number }[],
  most = 2000,
): ProfilePoint[] => {
  const points: ProfilePoint[] = [];
  let gone = 0;
  const total = way.reduce((sum, p, i) => {
    const b = way[i - 1];
    return b ? sum + Math.hypot(p.x - b.x, p.y - b.y) : 0;
  }, 0);
  const step = Math.max(stepOver(ground), total / most);
  way.forEach((p, i) => {
    const before = way[i - 1];
    if (before) {
      const length = Math.hypot(p.x - before.x, p.y - before.y);
      const parts = Math.max(1, Math.ceil(length / step));
      for (let k = 1; k < parts; k += 1) {
        const [x, y] = [before.x + ((p.x - before.x) * k) / parts, before.y + ((p.y - before.y) * k) / parts];
        points.push({ distanceM: gone + (length * k) / parts, xM: x, yM: y, groundM: ground.at(x, y) });
      }
      gone += length;
    }
    points.push({ distanceM: gone, xM: p.x, yM: p.y, groundM: ground.at(p.x, p.y) });
  });
  return points;
};
