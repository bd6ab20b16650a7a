/** Frame shapes a film can be cut in, width : height. */
export const ASPECTS = {
  '16:9': [16, 9],
  '9:16': [9, 16],
  '4:3': [4, 3],
  '1:1': [1, 1],
  '2.39:1': [2.39, 1],
} as const;

export type Aspect = keyof typeof ASPECTS;

/** Width over height. */
export const aspectRatio = (aspect: Aspect): number => ASPECTS[aspect][0] / ASPECTS[aspect][1];
