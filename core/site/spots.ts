import { type Spot, vec, type Vec3 } from '../geometry';
import type { Ground } from '../terrain';

/** Places of a drawn thing. */
export const spotsOf = (feature: {
  readonly points: readonly { readonly xM: number; readonly yM: number }[];
}): Spot[] => feature.points.map((p) => ({ x: p.xM, y: p.yM }));

/** Ground taken as level with the origin where it is not known. */
const known = (z: number): number => (Number.isNaN(z) ? 0 : z);

export const groundAt = (ground: Ground, x: number, y: number): number => known(ground.at(x, y));

/** A point on the ground at a place. */
export const onGround = (ground: Ground, x: number, y: number): Vec3 => vec(x, y, groundAt(ground, x, y));
