export {
  type FlownFlight,
  flownFlights,
  type ForecastError,
  forecastError,
  type PackFlown,
  packsFlown,
} from './flights';
export {
  HEIGHT_BANDS,
  movesToPractise,
  type SecondDay,
  secondDay,
  type ShotFlown,
  shotsFlown,
  triesBy,
  type TryBy,
  type TryGroup,
  WIND_BANDS,
} from './takes';
