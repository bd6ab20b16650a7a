export { bearing, degrees, radians, turnBetween } from './angle';
export { type Box, boxGap, boxOf, gapTo, inBox } from './box';
export { EARTH_M, fromLocal, greatCircle, toLocal } from './local';
export { areaOf, crossesItself, crossing, inRing, nearestShare, type Spot, toSegment, toShape } from './ring';
export { bearingTo, between, distance, flatLength, lengthOf, minus, offset, vec, type Vec3 } from './vector';
