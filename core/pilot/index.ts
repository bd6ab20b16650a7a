export { rehearsedOf } from './rehearsed';
export {
  SIMULATOR_WEIGHT,
  EXPECTED_RATE,
  keeperRate,
  LEVEL_WORDS,
  levelOf,
  recordOf,
  takesFor,
} from './level';
export { rehearsedSetUp, type SetUpTime, setUpTimes } from './set-up-time';
