import { energyCurve, type EnergyCurve, type LocationPlan, type TimedFlight } from '@core/day';
import type { useDerivedFilm } from '../stores/derived-film';
import type { useFilm } from '../stores/film';

/** Energy along a flight by the plan; null where its pack is not along. */
export const flightCurve = (
  film: ReturnType<typeof useFilm>,
  { derived, along }: ReturnType<typeof useDerivedFilm>,
  place: LocationPlan,
  flight: TimedFlight,
): EnergyCurve | null =>
  derived && film.film && flight.supply.fullWh > 0
    ? energyCurve(
        derived,
        film.film,
        along,
        place,
        flight,
        film.get('pack', flight.packId ?? '')?.ratedWh ?? flight.supply.fullWh,
      )
    : null;
