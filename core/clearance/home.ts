import { stepOver, type Ground } from '../terrain';
import { boxGap, boxOf, type Vec3, toSegment } from '../geometry';
import { topAt, type Solid } from './solid';

/** Return heights people set without looking, m above launch: shown beside what the place asks for. */
export const FIXED_RETURN_M: readonly (readonly [lowM: number, highM: number])[] = [
  [60, 60],
  [80, 100],
];

/** What stands along a way home. Heights are local z. */
export interface WayHome {
  /** Tallest thing in the corridor, and what it is; null is the ground. */
  readonly tallestM: number;
  readonly by: Solid | null;
  readonly at: { readonly x: number; readonly y: number };
  /** Highest local z that stays under the ceiling all the way: the lowest ground below plus the ceiling. */
  readonly ceilingM: number;
  /** Some of the ground on the way is not known. */
  readonly unknown: boolean;
}

/** Half a step between two looks at an edge, m: added to the corridor, so that nothing slips through between them. */
const ASIDE_M = 1.5;

interface Tallest {
  z: number;
  by: Solid | null;
  at: { x: number; y: number };
}

/** Tops of a thing within a corridor about a straight way. */
const topInCorridor = (
  solid: Solid,
  from: Vec3,
  home: Vec3,
  halfM: number,
): { z: number; x: number; y: number } | null => {
  let best: { z: number; x: number; y: number } | null = null;
  const take = (x: number, y: number, z: number): void => {
    if (!best || z > best.z) best = { x, y, z };
  };
  for (const { a, b } of solid.edges) {
    const parts = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / (2 * ASIDE_M)));
    for (let i = 0; i <= parts; i += 1) {
      const [x, y] = [a.x + ((b.x - a.x) * i) / parts, a.y + ((b.y - a.y) * i) / parts];
      if (toSegment(from, home, x, y) <= halfM + solid.radiusM + ASIDE_M)
        take(x, y, a.z + ((b.z - a.z) * i) / parts);
    }
  }
  return best;
};

/**
 * Spots on a lattice over a corridor with round ends, in steps of its own length, one cell more on every side: ground that
 * rises evenly is never higher inside the corridor than at one of them.
 * @param take `under` is true right below the way
 */
const eachSpot = (
  from: Vec3,
  home: Vec3,
  halfM: number,
  stepM: number,
  take: (x: number, y: number, under: boolean) => void,
): void => {
  const run = Math.hypot(home.x - from.x, home.y - from.y);
  const [ux, uy] = run > 0 ? [(home.x - from.x) / run, (home.y - from.y) / run] : [1, 0];
  const [parts, beyond] = [Math.max(1, Math.ceil(run / stepM)), Math.ceil(halfM / stepM) + 1];
  const along = run / parts || stepM;
  const reach = (halfM + stepM * Math.SQRT2) ** 2;
  for (let i = -beyond; i <= parts + beyond; i += 1) {
    const past = Math.max(0, i < 0 ? -i * along : (i - parts) * along);
    for (let k = -beyond; k <= beyond; k += 1) {
      const across = k * stepM;
      if (past * past + across * across > reach) continue;
      take(
        from.x + ux * along * i + uy * across,
        from.y + uy * along * i - ux * across,
        k === 0 && past === 0,
      );
    }
  }
};

/**
 * What a straight way home meets: the tallest ground and thing within a corridor, and how high the ceiling lets one fly.
 * The ceiling counts from the ground *below*, so where the ground falls away the same height above launch can be too high.
 * @param halfM half the width of the corridor, m
 * @param ceilingAboveGroundM ceiling above the ground below, m
 */
export const wayHomeOver = (
  ground: Ground,
  solids: readonly Solid[],
  from: Vec3,
  home: Vec3,
  halfM: number,
  ceilingAboveGroundM: number,
): WayHome => {
  const tallest: Tallest = { z: -Infinity, by: null, at: { x: home.x, y: home.y } };
  let [lowest, unknown] = [Infinity, false];
  const way = boxOf([from, home]);
  const near = solids.filter((s) => boxGap(s.box, way) <= halfM + s.radiusM + ASIDE_M);
  eachSpot(from, home, halfM, Math.min(stepOver(ground), 5), (x, y, under) => {
    const z = ground.at(x, y);
    if (Number.isNaN(z)) {
      unknown = true;
      return;
    }
    if (under && z < lowest) lowest = z;
    if (z > tallest.z) {
      tallest.z = z;
      tallest.by = null;
      tallest.at = { x, y };
    }
    for (const s of near)
      if (s.ring) {
        const top = topAt(s, x, y);
        if (top > tallest.z) {
          tallest.z = top;
          tallest.by = s;
          tallest.at = { x, y };
        }
      }
  });
  for (const s of near) {
    const top = topInCorridor(s, from, home, halfM);
    if (top && top.z > tallest.z) {
      tallest.z = top.z;
      tallest.by = s;
      tallest.at = { x: top.x, y: top.y };
    }
  }
  return {
    tallestM: tallest.z,
    by: tallest.by,
    at: tallest.at,
    ceilingM: (lowest === Infinity ? home.z : lowest) + ceilingAboveGroundM,
    unknown,
  };
};
