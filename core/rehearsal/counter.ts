import type { CutSegment } from '../model';
import { capturedSeconds } from '../footage';

/** A beat as it is counted while flying, from 1. */
export interface Beat {
  /** Beats since the move began, the one that sounds now included. */
  readonly beat: number;
  /** Count it belongs to, and its place in that count. */
  readonly count: number;
  readonly inCount: number;
}

/**
 * Seconds in the air that one beat of the music lasts, s: 60/bpm of the cut times captured seconds per second of the cut; null
 * where there is no music. In slow motion the beats of the cut pass faster in the air.
 * @param bpm beats a minute; 0 is no music @param segments stretches of the cut with their speed factors
 */
export const beatInTheAirS = (bpm: number, segments: readonly CutSegment[]): number | null => {
  const timelineS = segments.reduce((sum, s) => sum + s.timelineS, 0);
  const perSecond = timelineS > 0 ? capturedSeconds(segments) / timelineS : 1;
  return bpm > 0 && perSecond > 0 ? (60 / bpm) * perSecond : null;
};

/** The beat at a second of the move. @param everyS seconds in the air of one beat @param perCount beats in one count, at least 1 */
export const beatAt = (tS: number, everyS: number, perCount: number): Beat => {
  // A beat that is due now is not missed by a rounding of the clock.
  const past = Math.max(0, Math.floor(tS / everyS + 1e-9));
  return { beat: past + 1, count: Math.floor(past / perCount) + 1, inCount: (past % perCount) + 1 };
};
