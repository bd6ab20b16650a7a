import { distance, vec, type Vec3 } from '../geometry';

/** Keeps a centripetal knot interval from vanishing. */
const LEAST = 1e-4;

/**
 * Smooth curve through points: centripetal Catmull–Rom (Yuksel, Schaefer & Keyser, "On the parameterization of Catmull–Rom
 * curves", 2009), which makes no loops or cusps within a piece. Ends are carried on straight.
 */
export class CatmullRomCurve {
  private readonly points: readonly Vec3[];

  /** @throws RangeError for fewer than two points */
  constructor(through: readonly Vec3[]) {
    const [first, second] = through;
    const last = through.at(-1);
    const before = through.at(-2);
    if (!first || !second || !last || !before)
      throw new RangeError('a curve goes through two points or more');
    const beyond = (end: Vec3, inner: Vec3): Vec3 =>
      vec(2 * end.x - inner.x, 2 * end.y - inner.y, 2 * end.z - inner.z);
    this.points = [beyond(first, second), ...through, beyond(last, before)];
  }

  /** Place at a parameter 0 to 1; the points come at equal steps of it. */
  at(parameter: number): Vec3 {
    const pieces = this.points.length - 3;
    const u = Math.min(1, Math.max(0, parameter)) * pieces;
    const i = Math.min(pieces - 1, Math.floor(u));
    const [p0, p1, p2, p3] = [this.points[i], this.points[i + 1], this.points[i + 2], this.points[i + 3]];
    if (!p0 || !p1 || !p2 || !p3) throw new RangeError('no such piece');
    const t1 = Math.max(LEAST, Math.sqrt(distance(p0, p1)));
    const t2 = t1 + Math.max(LEAST, Math.sqrt(distance(p1, p2)));
    const t3 = t2 + Math.max(LEAST, Math.sqrt(distance(p2, p3)));
    const t = t1 + (u - i) * (t2 - t1);
    const mix = (a: Vec3, b: Vec3, from: number, to: number): Vec3 => {
      const w = (t - from) / (to - from);
      return vec(a.x + (b.x - a.x) * w, a.y + (b.y - a.y) * w, a.z + (b.z - a.z) * w);
    };
    const [a1, a2, a3] = [mix(p0, p1, 0, t1), mix(p1, p2, t1, t2), mix(p2, p3, t2, t3)];
    return mix(mix(a1, a2, 0, t2), mix(a2, a3, t1, t3), t1, t2);
  }

  /** Radius of the bend over the ground at a parameter, m; Infinity where it goes straight. Circle through three near places. */
  radiusAt(parameter: number): number {
    const h = 0.01 / (this.points.length - 3);
    const middle = Math.min(1 - h, Math.max(h, parameter));
    const [a, b, c] = [this.at(middle - h), this.at(middle), this.at(middle + h)];
    const area = Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)) / 2;
    const sides =
      Math.hypot(b.x - a.x, b.y - a.y) * Math.hypot(c.x - b.x, c.y - b.y) * Math.hypot(c.x - a.x, c.y - a.y);
    return area > 1e-9 ? sides / (4 * area) : Infinity;
  }
}
