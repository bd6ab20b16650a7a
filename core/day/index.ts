export {
  cardFacts,
  type CardFacts,
  type FlightLoad,
  isUsed,
  type ShotsById,
  shotsIn,
} from './cards-on-board';
export { type EnergyCurve, energyCurve } from './energy-curve';
export { explainFlight, explainSupply } from './explain';
export type { FlightChange } from './flight-change';
export { type Bearing, bearingOf, type FlightFilter, flightFilters } from './flight-filters';
export {
  costOf,
  kitAlong,
  lightEndMs,
  packsToFly,
  pinnedMs,
  placeDay,
  type PlaceDay,
  type PlaceFacts,
  placeFacts,
  type TimedFlight,
} from './location-flights';
export { editFlight, type Goal, letGo, moveFlight, moveShot } from './manual-edits';
export { beforePairs, contradiction } from './order-of-flying';
export { endOfFlown, loggedOn, PackDay } from './pack-day';
export type { FilmPlan, PlannedShot } from './plan';
