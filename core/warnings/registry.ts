import type { Warning } from './types';
import type { LocationPlan } from '../day';
import type { ShotFacts } from '../shot';
import { cruiseUnknown, doesNotFit, gusts, noAircraft, slowLegs } from './air';
import { secondAspect } from './crop';
import { exposureOff, filterChange, flicker, outsideWindow, skyClips, wrongLight } from './light';
import {
  aboveCeiling,
  noPath,
  noSubject,
  noTempo,
  subjectSpeed,
  tooClose,
  tooFast,
  tooShort,
  underGround,
  yawTooFast,
  zoomLoss,
} from './path';
import { beyondHandling, hastySticks, looksUp, outrun, tightGap } from './flight';
import { fewTakes, manyInputs } from './hands';
import { frantic } from './pace';
import { darkFlying, emptyWindow, lowVisibility, noSunrise, strangeZone, unusableZone } from './place';
import { misfitPacks, overPacks } from './packs';
import { sensingOff } from './sensing';
import { needsRelease, oneUseOnly, speedNote, wildSpeed } from './use';
import type { LocationRule, ShotContext, ShotRule } from './context';

/** Every rule that looks at a shot. A new one is a function and a line here. */
export const SHOT_RULES: readonly ShotRule[] = [
  noAircraft,
  noPath,
  underGround,
  tooClose,
  tightGap,
  aboveCeiling,
  outrun,
  tooFast,
  gusts,
  doesNotFit,
  tooShort,
  yawTooFast,
  looksUp,
  beyondHandling,
  hastySticks,
  subjectSpeed,
  wildSpeed,
  frantic,
  outsideWindow,
  wrongLight,
  exposureOff,
  filterChange,
  flicker,
  skyClips,
  noTempo,
  zoomLoss,
  secondAspect,
  manyInputs,
  sensingOff,
  fewTakes,
  speedNote,
  needsRelease,
  noSubject,
  cruiseUnknown,
];

/** Every rule that looks at a location. */
export const LOCATION_RULES: readonly LocationRule[] = [
  unusableZone,
  strangeZone,
  emptyWindow,
  lowVisibility,
  darkFlying,
  slowLegs,
  noSunrise,
  oneUseOnly,
  overPacks,
  misfitPacks,
];

export const shotWarnings = (context: ShotContext): Warning[] =>
  SHOT_RULES.map((rule) => rule(context)).filter((w): w is Warning => w !== null);

export const locationWarnings = (place: LocationPlan, shots: readonly ShotFacts[]): Warning[] =>
  LOCATION_RULES.map((rule) => rule(place, shots)).filter((w): w is Warning => w !== null);

export { type ShotContext } from './context';
