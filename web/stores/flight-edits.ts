import { FilmDeriver, type DerivedFilm } from '@core/film';
import { letGo, type FlightChange, type LocationPlan } from '@core/day';
import { withChanges } from '@core/scheduler';
import { defineStore } from 'pinia';
import { useFilm } from './film';
import { useSelection } from './selection';
import { tr } from './messages';

/** Changes to flights: tried before they are made, made as one step. */
export const useFlightEdits = defineStore('flightEdits', () => {
  const film = useFilm();
  const selection = useSelection();
  /** Remembers what does not change between tries. */
  const reckoner = new FilmDeriver();

  /** What the film would come to with some changes, worked out as it would be shown. */
  const tried = (some: readonly FlightChange[]): DerivedFilm | null =>
    film.input ? reckoner.derive(withChanges(film.input, some)) : null;

  /** The flights some changes would make, without their light: quick enough to be asked while something is dragged. */
  const flightsWith = (some: readonly FlightChange[]): ReadonlyMap<string, LocationPlan> | null =>
    film.input ? reckoner.flights(withChanges(film.input, some)) : null;

  /** Makes changes. @returns whether anything was changed; what kept it from being made is said */
  const apply = (label: string, some: readonly FlightChange[] | null): boolean => {
    if (!some || some.length === 0) return false;
    const faults = film.commit(label, some);
    if (faults[0]) selection.say(faults[0].say);
    return faults.length === 0;
  };

  /** Lets flights of some places fall out of the list again. */
  const release = (locationIds: readonly string[]): void => {
    const { input } = film;
    if (
      input &&
      apply(
        tr('letFlightsGo'),
        locationIds.flatMap((id) => letGo(input, id)),
      )
    )
      selection.say(tr('backToListOrderLocked'));
  };
  return { tried, flightsWith, apply, release };
});
