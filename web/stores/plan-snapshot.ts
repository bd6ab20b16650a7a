import { weighFlights, type FlightsWeighed } from '@core/proposals';
import type { FilmInput } from '@core/model';
import type { FlightChange } from '@core/day';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import { useFilm } from './film';
import { useFlightEdits } from './flight-edits';
import { useFlights } from './flights';
import { useSelection } from './selection';
import { useDerivedFilm } from './derived-film';
import { tr } from './messages';

/** A plan that was put aside to compare with: rows as they were. */
interface Aside {
  readonly flights: FilmInput['flights'];
  readonly shots: FilmInput['shots'];
  readonly weighed: FlightsWeighed;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** One plan kept beside the one that holds, until the film is left. */
export const usePlanSnapshot = defineStore('plan-snapshot', () => {
  const film = useFilm();
  const edits = useFlightEdits();
  const flights = useFlights();
  const selection = useSelection();
  const derivedFilm = useDerivedFilm();
  const kept = shallowRef<Aside | null>(null);

  const put = (date: string): void => {
    derivedFilm.settle();
    const { input } = film;
    const ids = flights.placeIds(date);
    if (!input || !derivedFilm.derived) return;
    kept.value = {
      flights: input.flights.filter((f) => ids.includes(f.locationId)),
      shots: input.shots.filter((s) => ids.includes(s.locationId)),
      weighed: weighFlights(derivedFilm.derived, ids),
    };
    selection.say(tr('thisPlanIsKeptChange'));
  };
  /** Brings back the flights that were put aside, and the direction each shot was flown in. */
  const bringBack = (): void => {
    const { input } = film;
    const aside = kept.value;
    if (!input || !aside) return;
    const places = new Set(aside.shots.map((s) => s.locationId));
    const now = input.flights.filter((f) => places.has(f.locationId));
    const before = new Map(aside.shots.map((s) => [s.id, s.move.reversed]));
    const turned = input.shots
      .filter((s) => (before.get(s.id) ?? s.move.reversed) !== s.move.reversed)
      .map((s): FlightChange => ({
        kind: 'shot',
        id: s.id,
        after: { ...s, move: { ...s.move, reversed: !s.move.reversed } },
      }));
    edits.apply(tr('keepPlan'), [
      ...now
        .filter((f) => !aside.flights.some((k) => k.id === f.id))
        .map((f): FlightChange => ({ kind: 'flight', id: f.id, after: null })),
      ...aside.flights
        .filter(
          (k) =>
            !same(
              now.find((f) => f.id === k.id),
              k,
            ),
        )
        .map((f): FlightChange => ({ kind: 'flight', id: f.id, after: f })),
      ...turned,
    ]);
    selection.say(tr('theKeptPlanIsBack'));
  };
  const forget = (): void => {
    kept.value = null;
  };
  watch(() => film.filmId, forget);
  return { kept, put, bringBack, forget };
});
