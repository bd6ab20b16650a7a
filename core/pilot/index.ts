export { practiceFrom, rehearsedOf } from './practice-from-takes';
export {
  SIMULATOR_WEIGHT,
  EXPECTED_RATE,
  keeperRate,
  LEVEL_WORDS,
  levelOf,
  recordOf,
  takesFor,
} from './level';
