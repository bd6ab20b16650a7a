export { EXPECTED_RATE, keeperRate, LEVEL_WORDS, levelOf, recordOf, takesFor } from './level';
