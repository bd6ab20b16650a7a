import type { CutStyle, TakeStyle } from '../footage';
import type { ProfileSchool } from '../kit';

/** What good people do differently, chosen once for a film. SI, shares 0–1. */
export interface Preferences {
  readonly reserveShare: number;
  readonly packUse: 'several' | 'one-shot';
  readonly holdBackSpare: boolean;
  readonly takeStyle: TakeStyle;
  readonly cutStyle: CutStyle;
  readonly cardPolicy: 'one' | 'fresh' | 'fresh-away';
  readonly minimumHoldS: number;
  readonly preRollS: number;
  readonly postRollS: number;
  readonly settleS: number;
  readonly easeAccelMs2: number;
  readonly repositionMs: number;
  readonly swapMinutes: number;
  readonly shutterLowDeg: number;
  readonly shutterHighDeg: number;
  readonly highlightBiasStops: number;
  readonly practisedInputs: number;
  readonly handleS: number;
  /** Free air kept from what stands there, and from the ground, m. */
  readonly clearanceM: number;
  readonly groundM: number;
  /** Seconds until a gust is held against. */
  readonly reactionS: number;
  /** Half the width of a way home that is looked at, and what is added to the tallest thing in it, m. */
  readonly corridorM: number;
  readonly returnMarginM: number;
  /** Sun heights that bound golden light, and where blue light ends, deg. */
  readonly goldenTopDeg: number;
  readonly goldenBottomDeg: number;
  readonly civilDeg: number;
  /** Minutes after sunset at which lamps come on. */
  readonly lampsDelayMin: number;
  /** Stops the ISO may be raised by day before a filter counts as used up. */
  readonly cleanIsoStops: number;
  readonly profile: ProfileSchool;
  readonly flatAtNight: boolean;
  readonly whiteBalance: 'locked' | 'automatic';
  /** Take-off masses at which rules tend to change, kg. */
  readonly weightLinesKg: readonly number[];
  /** Two people fly at the same time, each aircraft with its own packs. */
  readonly flyAtOnce: boolean;
  /** Logged flights correct the plan. */
  readonly learn: boolean;
  /** Packs are charged again during the day, on the chargers that come along. */
  readonly chargeBetween: boolean;
  /** Minutes a pack cools after landing before it is charged. */
  readonly coolMinutes: number;
  /** Copies footage has before its card may be formatted. */
  readonly copiesWanted: number;
  /** Distance from the launch point from which a flight is far from help, m. */
  readonly awayM: number;
  /** Minutes of an evening there are for copying. */
  readonly eveningMinutes: number;
  readonly clipTemplate: string;
}
