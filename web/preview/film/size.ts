import type { Aspect } from '@core/model';

/**
 * Pixels of a film of a shape whose longer side is given: an upright film is as high as the others are wide. Even numbers, as
 * codecs take no others.
 * @param longPx longer side, px
 */
export const pictureSize = (aspect: Aspect, longPx: number): { width: number; height: number } => {
  const [wide = 16, high = 9] = aspect.split(':').map(Number);
  const even = (part: number): number => 2 * Math.round((part * longPx) / Math.max(wide, high) / 2);
  return { width: even(wide), height: even(high) };
};
