export { airDensity, GRAVITY, SEA_LEVEL_DENSITY } from './density';
export { levelSpeed } from './fixed-tilt';
export { gustedWind, legSeconds, SHEAR, type Wind, windSpeedAt, windVector, windVectors } from './wind';
