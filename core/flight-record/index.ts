export { type PathDeviation, pathDeviation } from './deviation';
export { type MatchCandidates, matchRecord, type RecordMatch } from './match';
export {
  type FlightRecord,
  recordFigures,
  type RecordFigures,
  recordInMetres,
  recordOfFlight,
  type RecordPoint,
} from './record';
export { recordGpx, recordRows } from './write';
export {
  type FlownCorrection,
  type FlownTake,
  flownTake,
  type RecordedSpot,
  type TakeInTime,
} from './flown-take';
