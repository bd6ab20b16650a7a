import { between, boxGap, boxOf, distance, flatLength, type Vec3 } from '../geometry';
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
 * Nearest a way comes to one thing, if nearer than a limit. The free air changes by at most a metre for each metre flown, so a
 * stretch is passed over, or half of it is, as soon as its ends leave no room for anything nearer than what is known.
 */
const nearestTo = (way: readonly Vec3[], solid: Solid, limitM: number): Nearest | null => {
  let best: Nearest | null = null;
  let bestM = limitM;
  const stretches = Math.max(1, way.length - 1);
  const look = (at: Vec3, along: number): number => {
    const freeM = freeAir(solid, at);
    if (freeM < bestM) {
      best = { solid, freeM, at, share: along / stretches };
      bestM = freeM;
    }
    return freeM;
  };
  const search = (a: Vec3, b: Vec3, freeA: number, freeB: number, from: number, to: number): void => {
    const lengthM = distance(a, b);
    const leastM = Math.max(0, (freeA + freeB - lengthM) / 2);
    if (lengthM <= FINE_M || leastM >= bestM - FINE_M / 4) return;
    const at = between(a, b, 0.5);
    const middle = (from + to) / 2;
    const freeM = look(at, middle);
    search(a, at, freeA, freeM, from, middle);
    search(at, b, freeM, freeB, middle, to);
  };
  let freeBefore: number | null = null;
  for (const [i, here] of way.entries()) {
    const before = way[i - 1];
    const stretchM = before ? distance(before, here) : 0;
    const matters = atLeast(solid, here) - stretchM < bestM;
    const freeM = matters ? look(here, i) : null;
    if (before && freeM !== null) search(before, here, freeBefore ?? freeAir(solid, before), freeM, i - 1, i);
    freeBefore = freeM;
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
  const box = boxOf(way);
  const lowM = Math.min(...way.map((p) => p.z));
  // Never more than the free air between anything on the way and the thing.
  const atLeastM = ({ box: other, topM }: Solid): number =>
    flatLength(boxGap(box, other), Math.max(0, lowM - topM));
  const near = solids
    .map((solid) => ({ solid, bound: atLeastM(solid) }))
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
