import { getPosition } from 'suncalc';

export interface SunPosition {
  /** Geometric altitude above the horizon, without refraction, deg. */
  readonly altitudeDeg: number;
  /** Clockwise from north, deg. */
  readonly azimuthDeg: number;
}

/** Refraction that suncalc adds (Meeus 16.4), held at its horizon value below the horizon, deg. */
const addedRefraction = (trueAltitudeDeg: number): number => {
  const h = (Math.max(0, trueAltitudeDeg) * Math.PI) / 180;
  return ((0.0002967 / Math.tan(h + 0.00312536 / (h + 0.08901179))) * 180) / Math.PI;
};

/** What is added at and below the horizon, deg. */
const HORIZON_REFRACTION_DEG = addedRefraction(0);

/**
 * Where the sun is. suncalc's altitude is apparent and keeps adding about 0.48° below the horizon, which is worth more
 * than a stop in twilight; it is taken off again here by fixed-point iteration (to 1e-4° in three rounds; below the horizon it is a constant).
 * @param utcMs instant, ms since 1970 UTC
 */
export const sunAt = (utcMs: number, latitude: number, longitude: number): SunPosition => {
  const { altitude, azimuth } = getPosition(new Date(utcMs), latitude, longitude);
  const belowHorizon = altitude - HORIZON_REFRACTION_DEG;
  if (belowHorizon <= 0) return { altitudeDeg: belowHorizon, azimuthDeg: azimuth };
  let geometric = altitude - addedRefraction(altitude);
  for (let i = 0; i < 3; i += 1) geometric = altitude - addedRefraction(geometric);
  return { altitudeDeg: geometric, azimuthDeg: azimuth };
};
