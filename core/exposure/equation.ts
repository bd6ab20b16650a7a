/** What a camera is set to. */
export interface Setting {
  readonly aperture: number;
  readonly shutterS: number;
  readonly iso: number;
  readonly ndStops: number;
}

/** Scene EV100 that a setting exposes correctly: log2(N²/t) − log2(ISO/100) + ND (ISO 2720 with K at EV100). */
export const settingEv = (s: Setting): number =>
  Math.log2((s.aperture * s.aperture) / s.shutterS) - Math.log2(s.iso / 100) + s.ndStops;

/** Stops over (+) or under (−): scene EV100 − setting EV100. */
export const exposureError = (sceneEv100: number, s: Setting): number => sceneEv100 - settingEv(s);

/** Shutter angle, deg: 360·t·fps. */
export const shutterAngle = (shutterS: number, fps: number): number => 360 * shutterS * fps;

/** Stops a filter takes: log2 of its factor. @throws RangeError for a factor under 1 */
export const filterStops = (factor: number): number => {
  if (!(factor >= 1)) throw new RangeError('a filter factor is 1 or more');
  return Math.log2(factor);
};

/** Optical density of a filter: log10 of its factor. */
export const opticalDensity = (factor: number): number => Math.log10(factor);

/** Whether a shutter catches whole lamp pulses: t·2·mains is a whole number. */
export const flickerSafe = (shutterS: number, mainsHz: number): boolean => {
  const pulses = shutterS * 2 * mainsHz;
  return pulses > 0.99 && Math.abs(pulses - Math.round(pulses)) < 0.01;
};
