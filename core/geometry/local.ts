import { radians } from './angle';

/** Mean radius of the earth, m (IUGG). */
export const EARTH_M = 6_371_008.8;

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

/** Great-circle distance of two places, m; the haversine formula on a sphere of the mean radius. */
export const greatCircle = (
  a: { readonly latitude: number; readonly longitude: number },
  b: { readonly latitude: number; readonly longitude: number },
): number => {
  const h =
    Math.sin(radians(b.latitude - a.latitude) / 2) ** 2 +
    Math.cos(radians(a.latitude)) *
      Math.cos(radians(b.latitude)) *
      Math.sin(radians(b.longitude - a.longitude) / 2) ** 2;
  return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
};
