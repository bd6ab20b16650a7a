import { REACTION_S } from '../reach';
import type { Preferences } from './types';

/** Where good people disagree: what a new film starts with. */
export const DEFAULT_PREFERENCES: Preferences = {
  reserveShare: 0.3,
  packUse: 'several',
  holdBackSpare: false,
  takeStyle: 'there-and-back',
  cutStyle: 'in-motion',
  cardPolicy: 'one',
  minimumHoldS: 5,
  preRollS: 2,
  postRollS: 2,
  settleS: 4,
  easeAccelMs2: 1,
  repositionMs: 8,
  swapMinutes: 3,
  shutterLowDeg: 150,
  shutterHighDeg: 216,
  highlightBiasStops: -0.3,
  practisedInputs: 2,
  handleS: 0.5,
  clearanceM: 5,
  groundM: 1.5,
  reactionS: REACTION_S,
  corridorM: 10,
  returnMarginM: 20,
};

/** Mean angular acceleration of a gentle turn, °/s². */
export const TURN_ACCEL_DEG_S2 = 8;

/** Shares of an aircraft's wind limit up to which footage is usable, and up to which it is flown at all. */
export const WIND_SHARES = { usable: 0.5, flyable: 0.7 } as const;
