import { degrees, radians, turnBetween } from '../units';
import type { SunPosition } from './sun';

export type SunSide = 'front' | 'side' | 'back' | 'none';

/** Angle between a camera's axis and the sun, deg: cos = sin·sin + cos·cos·cos(Δ). */
export const angleToSun = (headingDeg: number, tiltDeg: number, sun: SunPosition): number => {
  const a = radians(tiltDeg);
  const s = radians(sun.altitudeDeg);
  const cosine = Math.sin(a) * Math.sin(s) + Math.cos(a) * Math.cos(s) * Math.cos(radians(sun.azimuthDeg - headingDeg));
  return degrees(Math.acos(Math.min(1, Math.max(-1, cosine))));
};

/** Which side of the subject the sun lights, seen from the camera: front when it is behind the camera. */
export const sunSide = (headingDeg: number, sun: SunPosition): SunSide => {
  if (sun.altitudeDeg < -0.833) return 'none';
  const turn = Math.abs(turnBetween(headingDeg, sun.azimuthDeg));
  return turn < 60 ? 'back' : turn > 120 ? 'front' : 'side';
};
