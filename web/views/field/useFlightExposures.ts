import type { LocationPlan, TimedFlight } from '@core/day';
import { flightExposure, type FlightExposure } from '@core/light-timeline';
import { locationLight } from '@core/shot';
import { computed } from 'vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';

/** Exposure of a flight; null where its location has no light of its own. */
export type ExposureOf = (place: LocationPlan, flight: TimedFlight) => FlightExposure | null;

/** Exposures of flights, each worked out once for as long as what it follows from stays: the dial asks for it at every shot. */
export const useFlightExposures = (): ExposureOf => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const current = computed<ExposureOf>(() => {
    const { derived, along } = derivedFilm;
    const preferences = store.film?.preferences;
    const readings = store.list('reading');
    const made = new WeakMap<TimedFlight, FlightExposure>();
    return (place, flight) => {
      if (!derived || !preferences || !place.light || !Number.isFinite(place.windowFromMs)) return null;
      const known = made.get(flight);
      if (known) return known;
      const lit = locationLight(place.location, place.light, readings, preferences);
      const exposure = flightExposure(place, flight, { shots: derived.shots, kit: along, lit });
      made.set(flight, exposure);
      return exposure;
    };
  });
  return (place, flight) => current.value(place, flight);
};
