export { FAILING_FACTOR, learned, packFaults, usedOf } from './calibrate';
export { calibrationOf, flyable } from './learn';
export {
  hoverCost,
  legCost,
  type LegCost,
  legFlyer,
  type LegFlyer,
  NO_LEG,
  wayHome,
  type WindTooStrong,
} from './leg';
export { chargeMinutes, CRITICAL_SHARE, packEnergy, selfDischarged, temperatureFactor } from './pack';
export { pathEnergy, type PathEnergy } from './path';
export { type PowerModel, powerModel, usualDragArea } from './power';
export { airframeFaults, dragNote } from './plausible';
