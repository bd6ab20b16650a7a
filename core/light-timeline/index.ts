export { settingsAround } from './around';
export { bestDate, type DateWeighed, weighDates } from './days';
export { filterHours } from './hour';
export { type LightJob, lightJob } from './job';
export {
  type ExposureInputs,
  exposurePlan,
  exposureSteps,
  type FilterPart,
  flightExposure,
  type FlightExposure,
  type SettingAt,
} from './plan';
export { setupSheet, type SetupValue, type SheetLine } from './setup';
export { type ShotWindow, shotWindow, type SunMinutes, sunMinutes, wishedIn } from './window';
