/** What an aircraft whose camera is screwed on is built for. */
export const TILT_CLASSES = ['small-indoor', 'guarded', 'open', 'racing', 'long-range', 'wing'] as const;
export type TiltClass = (typeof TILT_CLASSES)[number];

/** Usual tilts of a class, deg up from the airframe. */
export interface UsualTilt {
  readonly lowDeg: number;
  readonly highDeg: number;
  /** Outdoors, where it is flown faster there than inside; null where it makes no difference. */
  readonly outdoorsDeg: number | null;
}

/** Usual practice; rounded, meant as where to begin. */
const USUAL: Readonly<Record<TiltClass, UsualTilt>> = {
  'small-indoor': { lowDeg: 0, highDeg: 10, outdoorsDeg: null },
  guarded: { lowDeg: 0, highDeg: 15, outdoorsDeg: 30 },
  open: { lowDeg: 20, highDeg: 35, outdoorsDeg: null },
  racing: { lowDeg: 25, highDeg: 40, outdoorsDeg: null },
  'long-range': { lowDeg: 25, highDeg: 35, outdoorsDeg: null },
  wing: { lowDeg: -10, highDeg: 0, outdoorsDeg: null },
};

/**
 * Tilts to set a fixed camera to. Who begins takes the lower third: less tilt is slower.
 * @returns from and to, deg
 */
export const suggestedTilt = (
  of: TiltClass,
  { outdoors, beginner }: { readonly outdoors: boolean; readonly beginner: boolean },
): { readonly fromDeg: number; readonly toDeg: number } => {
  const { lowDeg, highDeg, outdoorsDeg } = USUAL[of];
  const most = outdoors ? (outdoorsDeg ?? highDeg) : highDeg;
  return { fromDeg: lowDeg, toDeg: beginner ? Math.round(lowDeg + (most - lowDeg) / 3) : most };
};
