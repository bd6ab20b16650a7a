export {
  fillFlights,
  type FillResult,
  type DecidedFlight,
  type Recharge,
  type Unfit,
  type UnfitReason,
} from './fill';
export {
  type Flight,
  type FlightRules,
  LANDING_S,
  type Launch,
  LOW_HOVER_M,
  type PackSupply,
  type ShotCost,
  TAKEOFF_S,
} from './flight';
