export { airDensity, GRAVITY, SEA_LEVEL_DENSITY } from './density';
export { levelSpeed } from './fixed-tilt';
export { suggestedTilt, TILT_CLASSES, type TiltClass } from './tilt-classes';
export { gustedWind, legSeconds, SHEAR, type Wind, windSpeedAt, windVector, windVectors } from './wind';
