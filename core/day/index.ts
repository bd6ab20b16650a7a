export {
  cardFacts,
  type CardFacts,
  type FlightLoad,
  INTERNAL_SHARE,
  isUsed,
  type ShotsById,
  shotsIn,
} from './cards-on-board';
export { type EnergyCurve, energyCurve, type EnergyStep } from './energy-curve';
export { type FlightPhase, type FlightSpan, flightSpans } from './flight-spans';
export { explainFlight, explainSupply } from './explain';
export type { FlightChange } from './flight-change';
export { type FilterFit, filterFitOf, type FlightFilter, flightFilters } from './flight-filters';
export {
  costOf,
  kitOnLocation,
  lightEndMs,
  packsToFly,
  pinnedMs,
  locationDay,
  type DayPlace,
  lightPreferences,
  type LightPreferences,
  type LocationDay,
  type LocationPlan,
  locationPlan,
  type TimedFlight,
} from './location-flights';
export { editFlight, type Goal, letGo, moveFlight, moveShot } from './manual-edits';
export { beforePairs, contradiction } from './order-of-flying';
export { endOfFlown, loggedOn, PackDay } from './pack-day';
export type { FilmPlan, PlannedShot } from './plan';
export { continuedIds, flightIds, listFlightId } from './flight-identity';
export { type TwinFlights, twinFlights, withoutTwin } from './twin-flights';
export { landedMs, logFlight, type FlightReport, plannedFigures, plannedShares } from './log-flight';
export { windHoldsUntil } from './wind-holds';
export { countTakes, shotsDone, type TakeCount } from './shots-done';
