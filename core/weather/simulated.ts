import type { HourWeather, Location, Sky } from '../model';
import { SKIES } from '../model';
import { drawsOf } from '../units';

/** A source of forecasts: what a real service and the simulated one have in common. */
export interface ForecastService {
  readonly name: string;
  /** Shown wherever its figures are. */
  readonly simulated: boolean;
  /** @param nowMs instant it is asked at: a forecast of the evening knows more than one of the morning */
  readonly fetch: (location: Location, nowMs: number) => Promise<readonly HourWeather[]>;
}

const HALF_DAY_MS = 43_200_000;
const round = (value: number, step: number): number => Math.round(value / step) * step;
const clampTo = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/**
 * A made-up day of weather about the figures of a location: wind that grows into the afternoon, gusts on it, a direction that
 * turns, air that warms until three, cloud that drifts. The same place, date and half-day it is asked in give the same hours;
 * the next half-day differs as forecasts do. Only for showing and testing.
 */
export const simulatedHours = (location: Location, nowMs: number): HourWeather[] => {
  const day = drawsOf(`${location.date}|${location.latitude.toFixed(2)}|${location.longitude.toFixed(2)}`);
  const [growth, turn, warm, drift] = [0.5 + day() * 1.1, (day() - 0.5) * 60, 4 + day() * 6, day()];
  const issue = drawsOf(
    `${location.date}|${Math.floor(nowMs / HALF_DAY_MS)}|${location.latitude.toFixed(2)}`,
  );
  const news = { wind: 0.85 + issue() * 0.3, warm: (issue() - 0.5) * 2, sky: issue() < 0.3 ? 1 : 0 };
  return Array.from({ length: 24 }, (_, hour) => {
    const sun = Math.sin((Math.PI * clampTo(hour - 6, 0, 16)) / 16);
    const windMs = location.windMs * news.wind * (0.75 + growth * 0.5 * sun);
    const gustiness = Math.max(1.2, location.gustMs / Math.max(0.5, location.windMs));
    const cloud =
      SKIES.indexOf(location.sky) + (drift > 0.6 && hour > 13 ? 1 : 0) + (hour > 16 ? news.sky : 0);
    return {
      at: `${String(hour).padStart(2, '0')}:00`,
      windMs: round(clampTo(windMs, 0, 60), 0.1),
      gustMs: round(clampTo(windMs * gustiness, 0, 80), 0.1),
      windFromDeg: Math.round((location.windFromDeg + turn * sun + 360) % 360),
      temperatureC: round(
        clampTo(
          location.temperatureC + news.warm + warm * (Math.sin((Math.PI * (hour - 9)) / 12) - 0.3),
          -50,
          60,
        ),
        0.5,
      ),
      sky: SKIES[clampTo(cloud, 0, SKIES.length - 1)] ?? ('clear' satisfies Sky),
      visibilityM: location.visibilityM,
      sure: round(clampTo(0.9 - Math.abs(hour - 12) * 0.02, 0.3, 0.95), 0.05),
    };
  });
};

/** The forecast service that ships with the application: made up, and said to be. */
export const SIMULATED_SERVICE: ForecastService = {
  name: 'Simulated forecast',
  simulated: true,
  fetch: (location, nowMs) => Promise.resolve(simulatedHours(location, nowMs)),
};
