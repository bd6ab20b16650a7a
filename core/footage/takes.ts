import type { TakeStyle } from '../model';

export interface TakePlan {
  readonly takes: number;
  readonly style: TakeStyle;
  readonly moveS: number;
  readonly preRollS: number;
  readonly postRollS: number;
  /** Margin before and after when someone moves through the frame, each, s. */
  readonly subjectMarginS: number;
  readonly setupS: number;
  /** Hover to settle before another go, s. */
  readonly settleS: number;
  /** Flight from the end of the path back to its start, s; unused there and back. */
  readonly resetLegS: number;
  /** Walk to the mark or back when the pilot is in the shot, s; the recording runs on. */
  readonly walkS?: number;
}

export interface TakeSeconds {
  /** In the air for one take, s. */
  readonly takeS: number;
  /** On the card for one take, s: the walks to the mark and back are recorded too. */
  readonly recordedTakeS: number;
  readonly betweenS: number;
  readonly airS: number;
  readonly recordedS: number;
}

/**
 * Seconds of one take, between takes, in the air and on the card.
 * Take = pre-roll + margin + move + margin + post-roll. Same way adds reset leg + settle between takes;
 * there and back only the settle. Everything from pre-roll to post-roll is recorded.
 */
export const takeSeconds = (plan: TakePlan): TakeSeconds => {
  const takeS = plan.preRollS + plan.moveS + plan.postRollS + 2 * plan.subjectMarginS;
  const walkS = plan.walkS ?? 0;
  const recordedTakeS = takeS + 2 * walkS;
  const betweenS = plan.settleS + (plan.style === 'same-way' ? plan.resetLegS : 0);
  return {
    takeS,
    recordedTakeS,
    betweenS,
    airS: plan.setupS + plan.takes * recordedTakeS + Math.max(0, plan.takes - 1) * betweenS,
    recordedS: plan.takes * recordedTakeS,
  };
};
