import type { CutSegment } from '../model';
import { found, none, type Result } from '../units';

/** Mean speed of a stretch: what a ramp comes to. */
export const meanFactor = (s: CutSegment): number => (s.speedFactor + (s.endFactor ?? s.speedFactor)) / 2;

/** Beats of music in seconds: n·60/bpm. */
export const beatsToSeconds = (beats: number, bpm: number): Result<number> => {
  if (!(bpm > 0)) return none('The tempo must be above zero beats a minute.');
  if (!(beats >= 0)) return none('The beats cannot be negative.');
  return found((beats * 60) / bpm);
};

/**
 * Seconds that must be captured for a cut: Σ(c·k)·timelineFps/captureFps, k the mean of a ramp.
 * @param segments stretches of the cut; speed factor 16 plays sixteen times faster than real
 */
export const capturedSeconds = (
  segments: readonly CutSegment[],
  timelineFps: number,
  captureFps: number,
): number => (segments.reduce((sum, s) => sum + s.timelineS * meanFactor(s), 0) * timelineFps) / captureFps;

/** Steady seconds a take must offer: what the cut needs and a handle at both ends, but never under the minimum hold. */
export const steadySecondsWanted = (capturedS: number, minimumHoldS: number, handleS = 0): number =>
  Math.max(capturedS + 2 * handleS, minimumHoldS);
