import { LAMPS_DELAY_MIN, LIGHT_DEFINITIONS } from '../light';
import { REACTION_S } from '../reach';
import type { Preferences } from './preferences';

/** Where good people disagree: what a new film starts with. */
export const DEFAULT_PREFERENCES: Preferences = {
  reserveShare: 0.3,
  packUse: 'several',
  holdBackSpare: false,
  takeStyle: 'there-and-back',
  cutStyle: 'in-motion',
  cardPolicy: 'fresh-away',
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
  goldenTopDeg: LIGHT_DEFINITIONS.goldenTopDeg,
  goldenBottomDeg: LIGHT_DEFINITIONS.goldenBottomDeg,
  civilDeg: LIGHT_DEFINITIONS.civilDeg,
  lampsDelayMin: LAMPS_DELAY_MIN,
  cleanIsoStops: 2,
  profile: 'standard',
  flatAtNight: false,
  whiteBalance: 'locked',
  weightLinesKg: [0.249, 0.899, 3.999],
  flyAtOnce: false,
  learn: true,
  chargeBetween: true,
  coolMinutes: 20,
  copiesWanted: 2,
  awayM: 400,
  eveningMinutes: 120,
  clipTemplate: '{film}_{place}_{shot}_t{take}',
};

/** Mean angular acceleration of a gentle turn, °/s². */
export const TURN_ACCEL_DEG_S2 = 8;

/** Shares of an aircraft's wind limit up to which footage is usable, and up to which it is flown at all. */
export const WIND_SHARES = { usable: 0.5, flyable: 0.7 } as const;
