import { message, type Message } from '../messages';
import type { ShutterAim } from './regret';

/** Longest shutter of a sharp still from a hover: one over twice the equivalent focal length, s. The usual rule for a hand-held camera, halved for drift. */
export const stillShutter = (equivalentMm: number): ShutterAim => ({
  by: 'at-most',
  seconds: 1 / (2 * equivalentMm),
});

/** Share of an interval that must be left to write the frame. */
const WRITE_SHARE = 0.2;
/** Longest a hovering aircraft holds still, s. Usual practice. */
const LONGEST_HOVER_S = 1;

/** Shutter of a time-lapse: half the interval, as an angle of 180° would be, as far as a hover allows. */
export const lapseShutter = (intervalS: number): ShutterAim => {
  const mostS = Math.min(LONGEST_HOVER_S, intervalS * (1 - WRITE_SHARE));
  return { by: 'about', seconds: Math.min(intervalS / 2, mostS), mostS };
};

/** Steps of a bracket. */
export interface BracketPlan {
  readonly stepStops: number;
  /** What the bracket covers beyond a single frame, stops, both ways together. */
  readonly coversStops: number;
  readonly why: Message;
}

/** Range from shadow to light that a frame holds by itself, stops. Usual figure for small sensors. */
const FRAME_STOPS = 10;
const CONTRAST = { night: 18, sunInFrame: 20, low: 14, plain: 12 } as const;

/**
 * Steps of a bracket of so many stills: wide enough for the scene's range, no wider than two stops, so that they blend.
 * @param situation what makes the range: the sun in the frame, lamps against the dark, low sun, or none of these
 */
export const bracketPlan = (stills: number, situation: keyof typeof CONTRAST): BracketPlan => {
  const wanted = Math.max(0, CONTRAST[situation] - FRAME_STOPS);
  const step = Math.min(2, Math.max(2 / 3, Math.ceil((wanted / Math.max(1, stills - 1)) * 3) / 3));
  const covers = step * (stills - 1);
  return {
    stepStops: step,
    coversStops: covers,
    why:
      covers + 0.01 < wanted
        ? message('exposure.bracket.more', { stops: CONTRAST[situation] })
        : message('exposure.bracket.holds', { stops: CONTRAST[situation] }),
  };
};

/** What must not change while stills are taken, and why. */
export const lockRule = (kind: 'panorama' | 'bracket' | 'time-lapse'): Message =>
  message('exposure.locks', { kind: kind === 'time-lapse' ? 'lapse' : kind });
