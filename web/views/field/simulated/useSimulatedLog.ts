import type { LocationPlan } from '@core/day';
import { recordGpx, recordOfFlight } from '@core/flight-record';
import { natureOf, rowsOfFlight, simulateDay, type SimulatedDay } from '@core/simulated-flight';
import { drawsOf } from '@core/units';
import { computed } from 'vue';
import { v4 as uuid } from 'uuid';
import { fileNameOf, saveFile } from '../../../composables/save-file';
import { recordCsv } from '../../../exchange/record-csv';
import { useDerivedFilm } from '../../../stores/derived-film';
import { useFilm } from '../../../stores/film';
import { useSelection } from '../../../stores/selection';
import { tr } from '../messages';
import type { Flying } from './useSimulatedFlight';

/** What simulated flights leave behind: takes and log entries, marked; files as a controller would write them. */
export const useSimulatedLog = () => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const selection = useSelection();

  const add = ({ takes, flights }: SimulatedDay): void => {
    const [fault] = store.commit(tr('simulatedFlights'), [
      ...takes.map((t) => ({ kind: 'take' as const, id: t.id, after: t })),
      ...flights.map((f) => ({ kind: 'flightLogEntry' as const, id: f.id, after: f })),
    ]);
    selection.say(fault?.say ?? tr('simulatedAdded', { takes: takes.length, flights: flights.length }));
  };
  const placeOf = ({ flight }: Flying): LocationPlan | null =>
    derivedFilm.derived?.places.get(flight.locationId) ?? null;
  const addFlight = (own: Flying): void => {
    const { derived } = derivedFilm;
    const place = placeOf(own);
    const pack = store.get('pack', own.flight.packId ?? '');
    if (!derived || !place || !pack) return;
    const { aircraft } = derivedFilm.along;
    const random = drawsOf(uuid());
    add(
      rowsOfFlight(own.flown, own.flight, {
        derived,
        place,
        pack,
        aircraft,
        air: own.air,
        filmId: store.filmId,
        random,
        newId: uuid,
      }),
    );
  };
  const addDay = (places: readonly LocationPlan[]): void => {
    if (!derivedFilm.derived || !store.film) return;
    const nature = natureOf(store.filmId);
    add(
      simulateDay(derivedFilm.derived, places, derivedFilm.along, store.film, nature, drawsOf(uuid()), uuid),
    );
  };

  const rows = computed(() => ({
    takes: store.list('take').filter((t) => t.simulated),
    flights: store.list('flightLogEntry').filter((f) => f.simulated && f.filmId === store.filmId),
  }));
  const clear = (): void => {
    const takes = new Set(rows.value.takes.map((t) => t.id));
    const said = store.list('voiceNote').filter((v) => takes.has(v.takeId));
    store.remove(tr('removeSimulated'), [
      ...said.map((v) => ({ kind: 'voiceNote' as const, id: v.id })),
      ...[...takes].map((id) => ({ kind: 'take' as const, id })),
      ...rows.value.flights.map((f) => ({ kind: 'flightLogEntry' as const, id: f.id })),
    ]);
  };

  const save = (own: Flying, ending: 'gpx' | 'csv'): void => {
    const place = placeOf(own);
    if (!place) return;
    const { location } = place;
    const { samples } = own.flown;
    const name = `${fileNameOf(location.name, 'flight')} ${location.date}`;
    const record = recordOfFlight(samples, location, own.flight.startMs);
    const text =
      ending === 'csv'
        ? recordCsv(record)
        : recordGpx(record, name, location.elevationM + (samples[0]?.at.z ?? 0));
    saveFile(
      `${name}.${ending}`,
      new Blob([text], { type: ending === 'csv' ? 'text/csv' : 'application/gpx+xml' }),
    );
  };
  return { addFlight, addDay, rows, clear, save };
};
