import type { ExposureTask } from './regret';

/** A camera for sums in the head: 25 frames a second, f/4, base ISO 100, no filter; 1/50 is 180°, 1/25 is 360°, 1/100 is 90°. */
export const simpleTask = (more: Partial<ExposureTask> = {}): ExposureTask => ({
  sceneEv100: 12,
  apertures: [4],
  isoBase: 100,
  isoCeiling: 1600,
  filters: [],
  captureFps: 25,
  bandLowDeg: 150,
  bandHighDeg: 216,
  biasStops: 0,
  mainsHz: null,
  still: false,
  fixed: {},
  ...more,
});
