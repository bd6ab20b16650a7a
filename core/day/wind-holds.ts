import { gustsOn, type ShotFacts } from '../shot';
import type { Aircraft, Film } from '../model';
import { locationAt, WEATHER_STEP_MS } from '../weather';
import type { LocationPlan, TimedFlight } from './location-flights';

/**
 * Instant until which the wind holds for what a flight still has to fly, looked at by the steps of the weather from its start
 * to the end of the window; null where it holds to the end, or the location has no hours.
 */
export const windHoldsUntil = (
  place: LocationPlan,
  flight: TimedFlight,
  shots: readonly ShotFacts[],
  aircraft: Aircraft | undefined,
  preferences: Film['preferences'],
): number | null => {
  if (place.location.hours.length === 0 || !aircraft) return null;
  const heights = shots.map((f) => f.overGround.highestM).filter(Number.isFinite);
  const highestM = Math.max(0, ...heights);
  const first = Math.floor(flight.startMs / WEATHER_STEP_MS) * WEATHER_STEP_MS;
  for (let ms = first; ms <= place.windowToMs; ms += WEATHER_STEP_MS)
    if (gustsOn(aircraft, locationAt(place.location, ms), highestM, preferences).weight === 'stop') return ms;
  return null;
};
