import { radians } from '../geometry';

/**
 * Share of the height of a second camera's picture that the first one sees too, both fixed to one airframe at different tilts;
 * 1 where it lies wholly inside, 0 where nothing does. Rays: a direction δ off the second camera's axis stands at tan δ / tan(v/2)
 * of half its height.
 * @param firstDeg and secondDeg vertical fields of view, deg @param apartDeg tilt of the first less that of the second, deg
 */
export const heightShared = (firstDeg: number, secondDeg: number, apartDeg: number): number => {
  const half = Math.tan(radians(secondDeg) / 2);
  // Within ±90° of the axis; beyond it nothing of the picture is left anyway.
  const place = (deg: number): number =>
    deg >= 90 ? 1 : deg <= -90 ? -1 : Math.min(1, Math.max(-1, Math.tan(radians(deg)) / half));
  return Math.max(0, (place(apartDeg + firstDeg / 2) - place(apartDeg - firstDeg / 2)) / 2);
};
