export { callAt, type CallOut, callOuts } from './call-outs';
export { type Beat, beatAt, beatInTheAirS } from './counter';
export { ghostControls, plannedAt, profileGives } from './ghost';
export {
  type FlownState,
  hovering,
  levelAccel,
  poseOf,
  type RehearsedCraft,
  type RehearsedPlace,
  STEP_S,
  stepFlight,
} from './flight';
export { CALM, type Gust, nextGust, turbulence } from './gusts';
export { correctionsIn, jerkAlong } from './hands';
export { type CurvePoint, type ErrorSample, type Mark, type MarkKind, markTry, type TryMarks } from './marks';
export { marginsOf, type NearestThing, type TryMargins } from './margins';
export {
  type Controls,
  controlsFrom,
  HANDS_OFF,
  MODE_AXES,
  STICK_MODES,
  type StickMode,
  type Thumbs,
} from './sticks';
export { posedAt } from './posed';
export { leavesAmong, overLeaves } from './leaves';
export { rehearsalOf, type RehearsedAs, type RehearsedShot } from './of-shot';
export { type Recorded, replay, stepsIn, Try, type TrySample } from './try';
