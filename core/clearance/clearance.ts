import { between, distance, type Vec3 } from '../geometry';
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
const along = (
  solid: Solid,
  a: Vec3,
  b: Vec3,
  freeA: number,
  freeB: number,
  best: number,
): { freeM: number; u: number } => {
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

/** The box about a way. */
const boxAbout = (way: readonly Vec3[]) => {
  const box = { west: Infinity, east: -Infinity, south: Infinity, north: -Infinity, low: Infinity };
  for (const p of way) {
    box.west = Math.min(box.west, p.x);
    box.east = Math.max(box.east, p.x);
    box.south = Math.min(box.south, p.y);
    box.north = Math.max(box.north, p.y);
    box.low = Math.min(box.low, p.z);
  }
  return box;
};

/** Never more than the free air between anything on a way and a solid: from the boxes about both, radius included. */
const boxesApart = (box: ReturnType<typeof boxAbout>, { box: other, topM }: Solid): number => {
  const dx = Math.max(0, other.west - box.east, box.west - other.east);
  const dy = Math.max(0, other.south - box.north, box.south - other.north);
  const dz = Math.max(0, box.low - topM);
  return Math.sqrt(dx * dx + dy * dy + dz * dz);
};

/** Nearest a way comes to one thing, if nearer than a limit. */
const nearestTo = (way: readonly Vec3[], solid: Solid, limit: number): Nearest | null => {
  let best: Nearest | null = null;
  let bestM = limit;
  const last = Math.max(1, way.length - 1);
  let beforeAt: Vec3 | undefined;
  let before = Infinity;
  for (let i = 0; i < way.length && bestM > 0; i += 1) {
    const here = way[i];
    if (!here) continue;
    const bound = atLeast(solid, here);
    // Beyond this nothing on the stretches to either side can matter.
    const far = bound > bestM + (beforeAt ? distance(beforeAt, here) : 0);
    const free = far ? bound : freeAir(solid, here);
    if (!beforeAt) {
      if (!far && free < bestM) {
        best = { solid, freeM: free, at: here, share: 0 };
        bestM = free;
      }
    } else if (Math.max(0, (before + free - distance(beforeAt, here)) / 2) < bestM) {
      const { freeM, u } = along(
        solid,
        beforeAt,
        here,
        freeAir(solid, beforeAt),
        far ? freeAir(solid, here) : free,
        bestM,
      );
      if (freeM < bestM) {
        best = { solid, freeM, at: between(beforeAt, here, u), share: (i - 1 + u) / last };
        bestM = freeM;
      }
    }
    beforeAt = here;
    before = free;
  }
  return best;
};

/**
 * The thing a way comes nearest to, to a quarter of a metre; null when nothing stands within the distance cared about.
 * Things are looked at in the order of how near they could be, until none left could be nearer.
 * @param withinM what is farther than this is not looked for, m
 */
export const nearestAlong = (
  way: readonly Vec3[],
  solids: readonly Solid[],
  withinM = 60,
): Nearest | null => {
  const box = boxAbout(way);
  const near = solids
    .map((solid) => ({ solid, bound: boxesApart(box, solid) }))
    .filter((s) => s.bound < withinM)
    .sort((a, b) => a.bound - b.bound);
  let best: Nearest | null = null;
  for (const { solid, bound } of near) {
    const limit: number = best?.freeM ?? withinM;
    if (bound >= limit) break;
    best = nearestTo(way, solid, limit) ?? best;
  }
  return best;
};
