import { areaOf, type Spot, bearingTo, vec } from '../geometry';
import type { Ground } from '../terrain';
import { groundAt } from './spots';

/** What is measured on the plan: length of the way, area inside it when it closes, bearing and rise from first to last. */
export interface Measured {
  readonly lengthM: number;
  readonly areaM2: number;
  readonly bearingDeg: number;
  readonly riseM: number;
}

/** Length along places one after another, m. */
export const lengthAlong = (spots: readonly Spot[]): number =>
  spots.reduce((sum, p, i) => {
    const b = spots[i - 1];
    return b ? sum + Math.hypot(p.x - b.x, p.y - b.y) : 0;
  }, 0);

/** Measures a way over the ground; null with fewer than two places. */
export const measureOf = (spots: readonly Spot[], ground: Ground): Measured | null => {
  const [first, last] = [spots[0], spots.at(-1)];
  if (!first || !last || spots.length < 2) return null;
  return {
    lengthM: lengthAlong(spots),
    areaM2: areaOf(spots),
    bearingDeg: bearingTo(vec(first.x, first.y, 0), vec(last.x, last.y, 0)),
    riseM: groundAt(ground, last.x, last.y) - groundAt(ground, first.x, first.y),
  };
};
