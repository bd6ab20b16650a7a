export { featureName, solidOf } from './feature';
export { FEATURE_KINDS, featureWords, isFeatureKind } from './kinds';
export { newFeature } from './new-feature';
export { lengthAlong, measureOf } from './measure';
export { type Pin, pinned } from './pins';
export { groundAt, onGround, spotsOf } from './spots';
export { type SurfaceAt, surfaceOver } from './surface';
export { driftOf, isAboard, isUnderWay, launchFeature } from './under-way';
