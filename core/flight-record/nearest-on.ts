import { distance, type Vec3 } from '../geometry';

/** Where a line comes nearest to a point: the place, how far off it is (m), and the stretch it lies on. */
export interface NearestOnLine {
  readonly at: Vec3;
  readonly offM: number;
  readonly from: Vec3;
  readonly to: Vec3;
}

/** Nearest place of a line through points; null where the line has none. A line of one point is that point. */
export const nearestOn = (p: Vec3, line: readonly Vec3[]): NearestOnLine | null => {
  let best: NearestOnLine | null = null;
  for (let i = 0; i < Math.max(1, line.length - 1); i += 1) {
    const a = line[i];
    const b = line[i + 1] ?? a;
    if (!a || !b) continue;
    const [dx, dy, dz] = [b.x - a.x, b.y - a.y, b.z - a.z];
    const length2 = dx * dx + dy * dy + dz * dz;
    const along = (p.x - a.x) * dx + (p.y - a.y) * dy + (p.z - a.z) * dz;
    const t = length2 > 0 ? Math.min(1, Math.max(0, along / length2)) : 0;
    const at = { x: a.x + t * dx, y: a.y + t * dy, z: a.z + t * dz };
    const offM = distance(p, at);
    if (!best || offM < best.offM) best = { at, offM, from: a, to: b };
  }
  return best;
};
