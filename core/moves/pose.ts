import { bearing, bearingTo, degrees, flatLength, type Vec3 } from '../geometry';

/** Where the camera is and where it looks. Heading is a compass bearing; tilt is 0 level, −90 straight down. */
export interface Pose {
  readonly at: Vec3;
  readonly headingDeg: number;
  readonly tiltDeg: number;
  /** Right side down; level where left out. */
  readonly rollDeg?: number;
}

/** Tilt that puts a point in the middle of the frame, deg. */
export const tiltTo = (from: Vec3, point: Vec3): number =>
  degrees(Math.atan2(point.z - from.z, flatLength(point.x - from.x, point.y - from.y)));

/** Pose at a place, looking at a point. */
export const lookAt = (at: Vec3, point: Vec3): Pose => ({
  at,
  headingDeg: bearingTo(at, point),
  tiltDeg: tiltTo(at, point),
});

/** Pose at a place with heading and tilt given. */
export const lookAlong = (at: Vec3, headingDeg: number, tiltDeg: number): Pose => ({
  at,
  headingDeg: bearing(headingDeg),
  tiltDeg,
});
