import type { Aspect } from '../model';

/** Width and height of a frame, in any one unit. */
export type FrameShape = readonly [width: number, height: number];

const SIZES: Readonly<Record<Aspect, FrameShape>> = {
  '16:9': [16, 9],
  '9:16': [9, 16],
  '4:3': [4, 3],
  '3:2': [3, 2],
  '1:1': [1, 1],
  '4:5': [4, 5],
  '2.39:1': [2.39, 1],
};

/** Shape of a frame by the name of its aspect. */
export const frameShape = (aspect: Aspect): FrameShape => SIZES[aspect];
