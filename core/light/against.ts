import { degrees, radians, turnBetween } from '../geometry';
import type { SunPosition } from './sun';

export type SunSide = 'front' | 'side' | 'back' | 'none';

/** Angle between a camera's axis and the sun, deg: cos = sin·sin + cos·cos·cos(Δ). */
export const angleToSun = (headingDeg: number, tiltDeg: number, sun: SunPosition): number => {
  const a = radians(tiltDeg);
  const s = radians(sun.altitudeDeg);
  const cosine =
    Math.sin(a) * Math.sin(s) + Math.cos(a) * Math.cos(s) * Math.cos(radians(sun.azimuthDeg - headingDeg));
  return degrees(Math.acos(Math.min(1, Math.max(-1, cosine))));
};

/** Which side of the subject the sun lights, seen from the camera: front when it is behind the camera. */
export const sunSide = (headingDeg: number, sun: SunPosition): SunSide => {
  if (sun.altitudeDeg < -0.833) return 'none';
  const turn = Math.abs(turnBetween(headingDeg, sun.azimuthDeg));
  return turn < 60 ? 'back' : turn > 120 ? 'front' : 'side';
};

/** A camera direction with the second it is held at. */
export interface Look {
  readonly timeS: number;
  readonly headingDeg: number;
  readonly tiltDeg: number;
}

/** How the sun stands to a move along its whole path. */
export interface SunAlong {
  /** Smallest angle between the camera's axis and the sun, deg, and when it comes. */
  readonly nearestDeg: number;
  readonly nearestAtS: number;
  /** Shares of the move in which the sun is in the lens, and in which it lights from each side, 0–1; looking down has no side. */
  readonly inLens: number;
  readonly shares: Readonly<Record<SunSide, number>>;
}

/** Added to half the field of view before the sun counts as out of the lens, deg. */
export const FLARE_MARGIN_DEG = 5;
/** Steeper than this the camera looks down: light has no side. */
export const DOWN_DEG = -75;

/** Where the sun stands to the camera over a move. @param horizontalFovDeg field of view across, deg */
export const sunAlong = (looks: readonly Look[], horizontalFovDeg: number, sun: SunPosition): SunAlong => {
  const limit = horizontalFovDeg / 2 + FLARE_MARGIN_DEG;
  const up = sun.altitudeDeg > -0.833;
  const counts: Record<SunSide, number> = { front: 0, side: 0, back: 0, none: 0 };
  let [nearestDeg, nearestAtS, inLens] = [180, 0, 0];
  for (const look of looks) {
    const angle = angleToSun(look.headingDeg, look.tiltDeg, sun);
    if (angle < nearestDeg) {
      nearestDeg = angle;
      nearestAtS = look.timeS;
    }
    if (up && angle < limit) inLens += 1;
    counts[look.tiltDeg > DOWN_DEG ? sunSide(look.headingDeg, sun) : 'none'] += 1;
  }
  const count = Math.max(1, looks.length);
  return {
    nearestDeg,
    nearestAtS,
    inLens: inLens / count,
    shares: {
      front: counts.front / count,
      side: counts.side / count,
      back: counts.back / count,
      none: counts.none / count,
    },
  };
};

/** A move's directions as unit vectors, east, north and up one after another. */
export const axesOf = (looks: readonly Look[]): Float64Array =>
  Float64Array.from(
    looks.flatMap(({ headingDeg, tiltDeg }) => {
      const [h, t] = [radians(headingDeg), radians(tiltDeg)];
      return [Math.sin(h) * Math.cos(t), Math.cos(h) * Math.cos(t), Math.sin(t)];
    }),
  );

/** Whether the sun comes into the lens anywhere along a move: `sunAlong` without its angles, for many minutes. @param axes from `axesOf` */
export const flares = (axes: Float64Array, horizontalFovDeg: number, sun: SunPosition): boolean => {
  if (sun.altitudeDeg <= -0.833) return false;
  const least = Math.cos(radians(horizontalFovDeg / 2 + FLARE_MARGIN_DEG));
  const [a, s] = [radians(sun.azimuthDeg), radians(sun.altitudeDeg)];
  const [x, y, z] = [Math.sin(a) * Math.cos(s), Math.cos(a) * Math.cos(s), Math.sin(s)];
  for (let i = 0; i < axes.length; i += 3)
    if ((axes[i] ?? 0) * x + (axes[i + 1] ?? 0) * y + (axes[i + 2] ?? 0) * z > least) return true;
  return false;
};
