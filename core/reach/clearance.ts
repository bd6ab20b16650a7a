import { between, distance, type Vec3 } from '../units';
import { atLeast, freeAir, type Solid } from './solid';

/** Nearest a way comes to something. */
export interface Nearest {
  readonly solid: Solid;
  readonly freeM: number;
  readonly at: Vec3;
  /** Share of the way, 0 start to 1 end, counted in its stretches. */
  readonly share: number;
}

/** A way is looked at until the free air is known this closely, m. */
const FINE_M = 0.25;

/**
 * Least free air along a straight stretch, m. The free air changes by at most a metre for each metre flown, so half of a
 * stretch is passed over as soon as its ends leave no room for anything nearer than what is known.
 */
const along = (solid: Solid, a: Vec3, b: Vec3, freeA: number, freeB: number, best: number): { freeM: number; u: number } => {
  const length = distance(a, b);
  let found = { freeM: Math.min(freeA, freeB), u: freeA <= freeB ? 0 : 1 };
  const limit = Math.min(best, found.freeM);
  // With both ends known, nothing between them is nearer than this.
  const bound = (freeA + freeB - length) / 2;
  if (length <= FINE_M || Math.max(0, bound) >= limit - FINE_M / 4) return found;
  const middle = between(a, b, 0.5);
  const freeM = freeAir(solid, middle);
  if (freeM < found.freeM) found = { freeM, u: 0.5 };
  const first = along(solid, a, middle, freeA, freeM, Math.min(best, found.freeM));
  if (first.freeM < found.freeM) found = { freeM: first.freeM, u: first.u / 2 };
  const second = along(solid, middle, b, freeM, freeB, Math.min(best, found.freeM));
  return second.freeM < found.freeM ? { freeM: second.freeM, u: 0.5 + second.u / 2 } : found;
};

/**
 * The thing a way comes nearest to, to a quarter of a metre; null when nothing stands within the distance cared about.
 * @param withinM what is farther than this is not looked for, m
 */
export const nearestAlong = (way: readonly Vec3[], solids: readonly Solid[], withinM = 60): Nearest | null => {
  let best: Nearest | null = null;
  const last = Math.max(1, way.length - 1);
  for (const solid of solids) {
    let beforeAt: Vec3 | undefined;
    let before = Infinity;
    for (const [i, here] of way.entries()) {
      const limit: number = best?.freeM ?? withinM;
      const free = freeAirOr(solid, here, limit);
      if (!beforeAt) { if (free < limit && exact(solid, here, free) < limit) best = { solid, freeM: exact(solid, here, free), at: here, share: 0 }; }
      else if (Math.max(0, (before + free - distance(beforeAt, here)) / 2) < limit) {
        const { freeM, u } = along(solid, beforeAt, here, exact(solid, beforeAt, before), exact(solid, here, free), limit);
        if (freeM < limit) best = { solid, freeM, at: between(beforeAt, here, u), share: (i - 1 + u) / last };
      }
      [beforeAt, before] = [here, free];
    }
  }
  return best;
};

/** The free air where it could matter; else the cheap bound, which is never more. */
const freeAirOr = (solid: Solid, p: Vec3, limit: number): number => { const bound = atLeast(solid, p); return bound > limit + 20 ? bound : freeAir(solid, p); };
const exact = (solid: Solid, p: Vec3, known: number): number => (known === atLeast(solid, p) ? freeAir(solid, p) : known);

/** Everything a way comes within some distance of, each with its own nearest place. */
export const withinReach = (way: readonly Vec3[], solids: readonly Solid[], withinM: number): Nearest[] =>
  solids.flatMap((solid) => { const near = nearestAlong(way, [solid], withinM); return near ? [near] : []; });
