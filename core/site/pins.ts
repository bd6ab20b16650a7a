import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';

/** A place on a picture (pixels from its upper left) and where it lies on the ground (local metres). */
export interface Pin {
  readonly px: number;
  readonly py: number;
  readonly xM: number;
  readonly yM: number;
}

/** x = a·px + b·py + c, y = d·px + e·py + f. */
export interface Affine {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
}

/**
 * How a picture lies on the ground. Two pins turn and scale it, three also skew it; rows of a picture run down, north is up.
 * @returns no answer when the pins do not tell: too few, or on one another, or on one line
 */
export const pinned = (pins: readonly Pin[]): Result<Affine, Message> => {
  const [p, q, r] = pins;
  if (!p || !q) return none(message('pins.two-or-three'));
  const [u, v] = [q.px - p.px, q.py - p.py];
  const [x, y] = [q.xM - p.xM, q.yM - p.yM];
  if (!r) {
    const square = u * u + v * v;
    if (square < 1) return none(message('pins.same-picture'));
    if (Math.hypot(x, y) < 0.1) return none(message('pins.same-ground'));
    // A turn and a scale of (px, −py).
    const a = (x * u - y * v) / square;
    const b = (x * v + y * u) / square;
    return found({ a, b, c: p.xM - a * p.px - b * p.py, d: b, e: -a, f: p.yM - b * p.px + a * p.py });
  }
  const [s, t] = [r.px - p.px, r.py - p.py];
  const bottom = u * t - v * s;
  if (Math.abs(bottom) < 1) return none(message('pins.line-picture'));
  const [x2, y2] = [r.xM - p.xM, r.yM - p.yM];
  const a = (x * t - x2 * v) / bottom;
  const b = (x2 * u - x * s) / bottom;
  const d = (y * t - y2 * v) / bottom;
  const e = (y2 * u - y * s) / bottom;
  if (Math.abs(a * e - b * d) < 1e-12) return none(message('pins.line-ground'));
  return found({ a, b, c: p.xM - a * p.px - b * p.py, d, e, f: p.yM - d * p.px - e * p.py });
};
