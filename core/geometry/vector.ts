import { bearing, degrees, radians } from './angle';

/** A point or vector in local metres: x east, y north, z up from the launch point. */
export interface Vec3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const vec = (x: number, y: number, z: number): Vec3 => ({ x, y, z });

export const minus = (a: Vec3, b: Vec3): Vec3 => vec(a.x - b.x, a.y - b.y, a.z - b.z);

/** Length of a flat vector. Plain, since Math.hypot guards against overflow at ten times the cost. */
export const flatLength = (x: number, y: number): number => Math.sqrt(x * x + y * y);

export const lengthOf = ({ x, y, z }: Vec3): number => Math.sqrt(x * x + y * y + z * z);

export const distance = (a: Vec3, b: Vec3): number => {
  const [x, y, z] = [a.x - b.x, a.y - b.y, a.z - b.z];
  return Math.sqrt(x * x + y * y + z * z);
};

/** Point on the straight line from a to b at fraction u. */
export const between = (a: Vec3, b: Vec3, u: number): Vec3 =>
  vec(a.x + (b.x - a.x) * u, a.y + (b.y - a.y) * u, a.z + (b.z - a.z) * u);

/** Compass bearing in degrees (0 north, 90 east) of the horizontal part of b seen from a. */
export const bearingTo = (a: Vec3, b: Vec3): number => bearing(degrees(Math.atan2(b.x - a.x, b.y - a.y)));

/** Point at a horizontal distance (m) and compass bearing (deg) from a, at height z (m). */
export const offset = (a: Vec3, bearingDeg: number, distanceM: number, z: number): Vec3 =>
  vec(a.x + distanceM * Math.sin(radians(bearingDeg)), a.y + distanceM * Math.cos(radians(bearingDeg)), z);
