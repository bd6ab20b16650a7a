export { beforeNextFlight, type FlightSetup, flightSetup, type GroundStep } from './before-next';
export { practiceFrom } from './practice-from-takes';
export { nextClip } from './clip-names';
export { type LightLeft, lightLeft } from './light-left';
export { type EveningWork, eveningWork } from './evening';
export { missingAt, type MissingShot } from './leaving';
export { type AirState, inTheAir, type ShownCharge } from './in-the-air';
export { fieldOrder, type FieldStop, nextStop } from './order';
export { locationNow, memoryMinutes, PHONE_MINUTES_A_GB, type Readiness, readyNow } from './ready';
export { flyingSteps } from './steps';
export {
  type DayChange,
  dayDifference,
  type DayDifference,
  dayEdits,
  type RowEdit,
  withEdits,
} from './day-changes';
