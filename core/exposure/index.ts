export { filterStops, shutterAngle } from './equation';
export { shortfallOf } from './missing';
export { equivalents, type Exposure, type Knob, shutterOfAngle, solveKnob, stackOf } from './quick';
export type { ExposureAnswer, ExposureChoice, ExposureTask, FilterChoice, ShutterAim } from './regret';
export { isoSteps, SHUTTERS } from './series';
export { prepareExposure, runnerUpOf, solveExposure, whyFor } from './solve';
export { exposureSpan, type ExposureSpan, spanHolds } from './span';
export { bracketPlan, lapseShutter, LOCK_RULES, stillShutter } from './stills';
export { reasonsFor } from './tell';
