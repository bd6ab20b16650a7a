export { coverageSet, type CoverageShot } from './coverage';
export { locationVariety } from './location-variety';
export { simplerMove } from './simpler';
export { boardOf, type BoardPlace, type GroundPlace } from './storyboard';
export { onlyUse, USE_WORDS, useOf } from './usage';
export type { Lack } from './variety';
