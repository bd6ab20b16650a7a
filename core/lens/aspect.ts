import type { Aspect } from '../model';

/** Frame shapes a film can be cut in, width : height. */
export const ASPECT_SIZES: Readonly<Record<Aspect, readonly [width: number, height: number]>> = {
  '16:9': [16, 9],
  '9:16': [9, 16],
  '4:3': [4, 3],
  '1:1': [1, 1],
  '2.39:1': [2.39, 1],
};

/** Width over height. */
export const aspectRatio = (aspect: Aspect): number => ASPECT_SIZES[aspect][0] / ASPECT_SIZES[aspect][1];
