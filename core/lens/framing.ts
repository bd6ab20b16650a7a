import { degrees, radians } from '../geometry';

/** Width (or height) of the frame at a range: 2 R tan(fov/2). Metres. */
export const frameSpan = (rangeM: number, fovDeg: number): number =>
  2 * rangeM * Math.tan(radians(fovDeg) / 2);

/** Share of the frame that a subject of a size fills at a range; above 1 it spills over. */
export const frameFill = (sizeM: number, rangeM: number, fovDeg: number): number =>
  sizeM / frameSpan(rangeM, fovDeg);

/** Range at which a subject fills a wanted share of the frame, m. Inverse of `frameFill`. */
export const rangeForFill = (sizeM: number, fill: number, fovDeg: number): number =>
  sizeM / (2 * fill * Math.tan(radians(fovDeg) / 2));

/** Splits a slant range into horizontal radius and height for a camera depression. Metres. */
export const radiusAndHeight = (
  rangeM: number,
  depressionDeg: number,
): { radiusM: number; heightM: number } => ({
  radiusM: rangeM * Math.cos(radians(depressionDeg)),
  heightM: rangeM * Math.sin(radians(depressionDeg)),
});

/** Depression of a camera that looks from a height over its aim at a horizontal radius: atan2(h, r), deg. */
export const depression = (radiusM: number, heightM: number): number => degrees(Math.atan2(heightM, radiusM));

export type DistanceClass = 'near' | 'medium' | 'far';

/** Shares of the frame's height that part near from medium from far. */
export const DISTANCE_LIMITS = { near: 0.5, medium: 0.15 } as const;

export const distanceClass = (fill: number): DistanceClass =>
  fill >= DISTANCE_LIMITS.near ? 'near' : fill >= DISTANCE_LIMITS.medium ? 'medium' : 'far';
