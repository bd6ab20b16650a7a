import { message, type Message } from '../messages';
import type { CutSegment } from '../model';
import { found, none, type Result } from '../units';

/** Mean speed of a stretch: what a ramp comes to. */
export const meanFactor = (s: CutSegment): number => (s.speedFactor + (s.endFactor ?? s.speedFactor)) / 2;

/** Beats of music in seconds: n·60/bpm. */
export const beatsToSeconds = (beats: number, bpm: number): Result<number, Message> => {
  if (!(bpm > 0)) return none(message('path.tempo-above-zero-beats'));
  if (!(beats >= 0)) return none(message('path.beats-cannot-negative'));
  return found((beats * 60) / bpm);
};

/**
 * Seconds that must be captured for a cut: Σ(c·k), k the mean of a ramp, whatever the capture rate.
 * @param segments stretches of the cut; speed factor against real time: 16 plays sixteen times faster, 0.5 at half speed
 */
export const capturedSeconds = (segments: readonly CutSegment[]): number =>
  segments.reduce((sum, s) => sum + s.timelineS * meanFactor(s), 0);

/** Slowest speed factor that plays without doubled frames: timeline fps / capture fps. */
export const slowestCleanFactor = (timelineFps: number, captureFps: number): number =>
  timelineFps / captureFps;

/** Captured frames for one frame of the timeline at a speed factor: 1 plays frame for frame, under 1 doubles frames. */
export const framesPerFrame = (speedFactor: number, timelineFps: number, captureFps: number): number =>
  (speedFactor * captureFps) / timelineFps;

/** Steady seconds a take must offer: what the cut needs and a handle at both ends, but never under the minimum hold. */
export const steadySecondsWanted = (capturedS: number, minimumHoldS: number, handleS = 0): number =>
  Math.max(capturedS + 2 * handleS, minimumHoldS);
