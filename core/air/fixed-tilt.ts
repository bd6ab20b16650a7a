import { radians } from '../geometry';
import { GRAVITY } from './density';

/**
 * Level airspeed at which a camera fixed at a tilt looks along the horizon, m/s: v = √(2 m g tanθ / (ρ CdA)), from the
 * balance of drag and the forward part of thrust.
 * @param tiltDeg angle the camera is set up from the airframe, deg, 0 to under 90
 * @param dragAreaM2 drag area, m²; no speed (Infinity) without drag
 */
export const levelSpeed = (
  massKg: number,
  dragAreaM2: number,
  tiltDeg: number,
  densityKgM3: number,
): number => Math.sqrt((2 * massKg * GRAVITY * Math.tan(radians(tiltDeg))) / (densityKgM3 * dragAreaM2));

/** Tilt at which a level airspeed keeps the horizon in the middle, deg; inverse of `levelSpeed`. */
export const tiltForSpeed = (
  massKg: number,
  dragAreaM2: number,
  speedMs: number,
  densityKgM3: number,
): number =>
  (Math.atan((speedMs * speedMs * densityKgM3 * dragAreaM2) / (2 * massKg * GRAVITY)) * 180) / Math.PI;
