export {
  beatsToSeconds,
  capturedSeconds,
  framesPerFrame,
  meanFactor,
  slowestCleanFactor,
  steadySecondsWanted,
} from './captured';
export {
  lengthForSeconds,
  rampProgress,
  rampTimeAt,
  rampTiming,
  type RampTiming,
  speedForSeconds,
} from './ramp';
export { panoramaColumns, STILL_S, timelapse } from './still';
export { takeSeconds, type TakeSeconds } from './takes';
