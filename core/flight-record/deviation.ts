import { distance, type Vec3 } from '../geometry';

/** How a path that was flown lies against the one that was planned. */
export interface PathDeviation {
  /** Farthest it was from the planned path, m, and where in the flown one. */
  readonly farthestM: number;
  readonly at: number;
  readonly meanM: number;
}

/** How far a point is from a line through points, m. */
const fromPath = (p: Vec3, path: readonly Vec3[]): number => {
  let least = Infinity;
  for (let i = 0; i < path.length; i += 1) {
    const a = path[i];
    const b = path[i + 1] ?? a;
    if (!a || !b) continue;
    const [dx, dy, dz] = [b.x - a.x, b.y - a.y, b.z - a.z];
    const length2 = dx * dx + dy * dy + dz * dz;
    const t =
      length2 > 0
        ? Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy + (p.z - a.z) * dz) / length2))
        : 0;
    least = Math.min(least, distance(p, { x: a.x + t * dx, y: a.y + t * dy, z: a.z + t * dz }));
  }
  return least;
};

/** How far a flown path strays from the planned one; null where either has no points. */
export const pathDeviation = (flown: readonly Vec3[], planned: readonly Vec3[]): PathDeviation | null => {
  if (flown.length === 0 || planned.length === 0) return null;
  const off = flown.map((p) => fromPath(p, planned));
  const farthestM = off.reduce((most, d) => Math.max(most, d), 0);
  return { farthestM, at: off.indexOf(farthestM), meanM: off.reduce((a, b) => a + b, 0) / off.length };
};
