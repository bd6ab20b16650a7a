import { degrees, radians } from '../geometry';

/**
 * Share of the picture's width that something so wide fills at a distance, square on: w / (2 d tan(h/2)). A mark of that width on
 * the screen passes where the gap at that distance is wider than it.
 * @param widthM and distanceM in m, above 0 @param horizontalDeg horizontal field of view of what the screen shows, deg
 */
export const shareOfWidth = (widthM: number, distanceM: number, horizontalDeg: number): number =>
  widthM / (2 * distanceM * Math.tan(radians(horizontalDeg) / 2));

/**
 * Horizontal field of view a screen shows, from something measured in front of which the aircraft hovered, deg; inverse of
 * `shareOfWidth`. It holds whatever the screen cuts off.
 * @param share of the screen's width it filled, above 0
 */
export const fieldFromMeasured = (widthM: number, distanceM: number, share: number): number =>
  2 * degrees(Math.atan(widthM / (2 * distanceM * share)));
