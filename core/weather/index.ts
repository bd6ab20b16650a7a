export {
  hardestWeather,
  hoursOf,
  locationAt,
  type SkyMix,
  skyMixAt,
  WEATHER_STEP_MS,
  weatherStates,
} from './hours';
export { type ForecastService, SIMULATED_SERVICE } from './simulated';
