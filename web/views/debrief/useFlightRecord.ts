import { flightSpans, logFlight, plannedFigures, plannedShares } from '@core/day';
import {
  flownTake,
  matchRecord,
  pathDeviation,
  recordInMetres,
  type FlightRecord,
  type FlownTake,
} from '@core/flight-record';
import { clockText, dateIn } from '@core/time';
import { computed, ref, shallowRef } from 'vue';
import { v4 as uuid } from 'uuid';
import {
  guessColumns,
  isGpx,
  readTable,
  recordFromGpx,
  recordFromTable,
  type RecordColumns,
  type RecordField,
  type RecordTable,
} from '../../exchange/flight-records';
import { readTextFile } from '../../exchange/text-file';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** A take that was noted during a flight, as its record tells it. */
export interface TakeOfRecord extends FlownTake {
  readonly id: string;
  readonly shotId: string;
  readonly endMs: number;
}

const keyOf = (headings: readonly string[]): string => `dusk-record-columns:${headings.join('|')}`;
const columnsKnown = (headings: readonly string[]): RecordColumns => {
  try {
    const kept = localStorage.getItem(keyOf(headings));
    return kept ? (JSON.parse(kept) as RecordColumns) : guessColumns(headings);
  } catch {
    return guessColumns(headings);
  }
};
/** Points of a line that are drawn and compared; a record has one for each second or more. */
const MOST_POINTS = 600;

/** A flight as a track or a table tells it: which flight it was, what it says, how far it was off the plan. */
export const useFlightRecord = () => {
  const store = useFilm();
  const derivedFilm = useDerivedFilm();
  const selection = useSelection();
  const fault = ref('');
  const file = ref('');
  const record = shallowRef<FlightRecord | null>(null);
  /** A table whose columns somebody has to name. */
  const table = shallowRef<RecordTable | null>(null);
  const columns = shallowRef<RecordColumns | null>(null);
  const zone = computed(() => derivedFilm.locations[0]?.zone ?? 'UTC');

  const take = (result: ReturnType<typeof recordFromTable>): void => {
    record.value = result.ok ? result.value : null;
    fault.value = result.ok ? '' : tr('fileReason', { file: file.value, reason: result.reason });
  };
  const reread = (): void => {
    if (table.value && columns.value) take(recordFromTable(table.value, columns.value, zone.value));
  };
  const read = async (chosen: File): Promise<void> => {
    file.value = chosen.name;
    [table.value, columns.value, record.value] = [null, null, null];
    const text = await readTextFile(chosen);
    if (isGpx(text)) {
      take(recordFromGpx(text));
      return;
    }
    const read = readTable(text);
    if (!read.ok) {
      take(read);
      return;
    }
    table.value = read.value;
    columns.value = columnsKnown(read.value.headings);
    reread();
  };
  const column = (field: RecordField, heading: string | null): void => {
    if (!table.value || !columns.value) return;
    columns.value = { ...columns.value, [field]: heading };
    localStorage.setItem(keyOf(table.value.headings), JSON.stringify(columns.value));
    reread();
  };

  const match = computed(() =>
    record.value && derivedFilm.derived
      ? matchRecord(record.value, {
          locations: derivedFilm.locations,
          flights: [...derivedFilm.derived.places.values()].flatMap((p) => [...p.flights]),
          log: store.list('flightLogEntry'),
        })
      : null,
  );
  /** The planned flight it is, also where it was logged before. */
  const flight = computed(() => {
    const m = match.value;
    if (!m || !derivedFilm.derived) return null;
    if (m.flight) return m.flight;
    const planned = [...derivedFilm.derived.places.values()].flatMap((p) => [...p.flights]);
    return planned.find((f) => f.id !== null && f.id === m.entry?.flightId) ?? null;
  });
  const flown = computed(() => {
    const location = match.value?.location;
    return location && record.value
      ? recordInMetres(record.value, location, flight.value?.launch.at.z ?? 0)
      : [];
  });
  const lines = computed(() => {
    if (flown.value.length === 0 || !derivedFilm.derived) return null;
    const every = Math.max(1, Math.floor(flown.value.length / MOST_POINTS));
    const thin = flown.value.filter((_, i) => i % every === 0);
    const spans = flight.value ? flightSpans(flight.value, derivedFilm.derived) : [];
    const planned = spans.flatMap((s) => s.path ?? [s.from, s.to]);
    return { flown: thin, planned, off: pathDeviation(thin, planned) };
  });
  /** Takes noted while it flew, each within the record beside its planned line. */
  const takes = computed<TakeOfRecord[]>(() => {
    const points = record.value?.points ?? [];
    const [from, to] = [points[0]?.utcMs ?? Infinity, points.at(-1)?.utcMs ?? -Infinity];
    const spots = points.flatMap((p, i) => {
      const at = flown.value[i];
      return at ? [{ utcMs: p.utcMs, at }] : [];
    });
    return store
      .list('take')
      .filter((t) => t.utcMs >= from && t.utcMs <= to)
      .sort((a, b) => a.utcMs - b.utcMs)
      .flatMap((t) => {
        const facts = derivedFilm.derived?.shots.get(t.shotId)?.facts;
        const planned = facts?.trajectory?.samples.map((s) => s.pose.at) ?? [];
        const own = facts && flownTake(spots, { endMs: t.utcMs, lengthS: facts.seconds.takeS }, planned);
        return own ? [{ ...own, id: t.id, shotId: t.shotId, endMs: t.utcMs }] : [];
      });
  });
  const add = (): void => {
    const m = match.value;
    const flight = m?.flight;
    const location = m?.location;
    const pack = store.get('pack', flight?.packId ?? '');
    if (!m || !flight || !location || !pack) return;
    const planned = plannedShares(flight);
    const [fault0] = store.commit(
      tr('flightRecord'),
      logFlight(
        {
          filmId: store.filmId,
          flightId: flight.id,
          aircraftId: flight.aircraftId,
          takeOff: clockText(m.figures.takeOffMs, location.zone),
          minutes: Math.max(0.1, Math.round(m.figures.minutes * 10) / 10),
          ...plannedFigures(flight, derivedFilm.along.aircraft, derivedFilm.derived?.shots),
          windMs: null,
          startShare: m.figures.startShare ?? planned.startShare,
          endShare: m.figures.endShare ?? planned.endShare,
          temperatureC: location.temperatureC,
          outcome: 'as-planned',
          condition: 'sound',
          shotIds: flight.stops.map((s) => s.shotId).filter((id) => derivedFilm.derived?.done.has(id)),
          notes: tr('fromFile', { file: file.value }).slice(0, 200),
        },
        pack,
        { date: dateIn(m.figures.takeOffMs, location.zone), zone: location.zone },
        null,
        uuid(),
      ),
    );
    selection.say(fault0?.say ?? tr('loggedFromFileUndoTakes', { file: file.value }));
  };
  return { fault, file, record, table, columns, column, zone, read, match, lines, takes, add };
};
