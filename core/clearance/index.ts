export { nearestAlong } from './clearance';
export { gustDrift } from './drift';
export { EYE_M, hiddenAlong, hides } from './hidden';
export { FIXED_RETURN_M, wayHomeOver } from './home';
export { detectionLimit, sightLimit } from './sight';
export { areaSolid, lineSolid, type Solid, topAt } from './solid';
