<script setup lang="ts">
import { flightSpans, logFlight, plannedFigures, plannedShares } from '@core/day';
import { matchRecord, pathDeviation, recordInMetres, type FlightRecord } from '@core/flight-record';
import { clockText, dateIn, dayText } from '@core/time';
import { computed, ref, shallowRef } from 'vue';
import { v4 as uuid } from 'uuid';
import {
  guessColumns,
  isGpx,
  readTable,
  RECORD_FIELDS,
  recordFromGpx,
  recordFromTable,
  type RecordColumns,
  type RecordField,
  type RecordTable,
} from '../../exchange/flight-records';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import LineMap from '../rehearse/LineMap.vue';
import { tr } from './messages';
import { fixed } from '../../format';
import { readTextFile } from '../../exchange/text-file';

/** A flight as a track or a table tells it: which flight it was, what it says, how far it was off the plan. */
const store = useFilm();
const derivedFilm = useDerivedFilm();
const selection = useSelection();
const fault = ref('');
const file = ref('');
const record = shallowRef<FlightRecord | null>(null);
/** A table whose columns somebody has to name. */
const table = shallowRef<RecordTable | null>(null);
const columns = shallowRef<RecordColumns | null>(null);
const FIELD_WORDS: Readonly<Record<RecordField, string>> = {
  get time() {
    return tr('time');
  },
  get latitude() {
    return tr('latitude');
  },
  get longitude() {
    return tr('longitude');
  },
  get height() {
    return tr('height');
  },
  get share() {
    return tr('charge');
  },
};
const zone = computed(() => derivedFilm.locations[0]?.zone ?? 'UTC');
const keyOf = (headings: readonly string[]): string => `dusk-record-columns:${headings.join('|')}`;
const columnsKnown = (headings: readonly string[]): RecordColumns => {
  try {
    const kept = localStorage.getItem(keyOf(headings));
    return kept ? (JSON.parse(kept) as RecordColumns) : guessColumns(headings);
  } catch {
    return guessColumns(headings);
  }
};

const take = (result: ReturnType<typeof recordFromTable>): void => {
  record.value = result.ok ? result.value : null;
  fault.value = result.ok ? '' : tr('fileReason', { file: file.value, reason: result.reason });
};
const reread = (): void => {
  if (table.value && columns.value) take(recordFromTable(table.value, columns.value, zone.value));
};
const bringIn = async (event: Event): Promise<void> => {
  const field = event.target as HTMLInputElement;
  const chosen = field.files?.[0];
  field.value = '';
  if (!chosen) return;
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
const headings = computed(() => [
  { value: null as string | null, label: tr('notInTheFile') },
  ...(table.value?.headings ?? []).map((h) => ({ value: h as string | null, label: h })),
]);

const match = computed(() =>
  record.value && derivedFilm.derived
    ? matchRecord(record.value, {
        locations: derivedFilm.locations,
        flights: [...derivedFilm.derived.places.values()].flatMap((p) => [...p.flights]),
        log: store.list('flightLogEntry'),
      })
    : null,
);
const lines = computed(() => {
  const m = match.value;
  if (!m?.location || !record.value || !derivedFilm.derived) return null;
  const flown = recordInMetres(record.value, m.location);
  const every = Math.max(1, Math.floor(flown.length / 600));
  const spans = m.flight ? flightSpans(m.flight, derivedFilm.derived) : [];
  const planned = spans.flatMap((s) => s.path ?? [s.from, s.to]);
  return {
    flown: flown.filter((_, i) => i % every === 0),
    planned,
    off: pathDeviation(
      flown.filter((_, i) => i % every === 0),
      planned,
    ),
  };
});
const percent = (share: number | null): string => (share === null ? '–' : `${Math.round(100 * share)} %`);
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
        ...plannedFigures(flight, derivedFilm.along.aircraft),
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
</script>

<template>
  <section aria-labelledby="record-title">
    <header class="head">
      <h2 id="record-title">{{ tr('flightRecordUpper') }}</h2>
      <label class="btn file"
        >{{ tr('chooseAFile') }}<input type="file" accept=".gpx,.csv,.txt,.tsv" @change="bringIn"
      /></label>
    </header>
    <p v-if="!file" class="quiet">{{ tr('aTrackGPXOrA') }}</p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <div v-if="table && columns && (fault || !match)" class="columns-of">
      <PickField
        v-for="f in RECORD_FIELDS"
        :key="f"
        :label="FIELD_WORDS[f]"
        :value="columns[f]"
        :options="headings"
        :save="(h) => column(f, h)"
      />
    </div>
    <div v-if="match" class="found">
      <dl>
        <dt>{{ tr('takeOff') }}</dt>
        <dd>
          {{ dayText(dateIn(match.figures.takeOffMs, match.location?.zone ?? zone)) }},
          {{ clockText(match.figures.takeOffMs, match.location?.zone ?? zone) }}
        </dd>
        <dt>{{ tr('inTheAir') }}</dt>
        <dd>
          {{ tr('minutesMin', { minutes: fixed(match.figures.minutes, 1) }) }}
          <Fig :value="match.figures.metres" quantity="metres" />
        </dd>
        <dt>{{ tr('farthestHighest') }}</dt>
        <dd>
          <Fig :value="match.figures.farthestM" quantity="metres" />,
          <Fig
            v-if="match.figures.highestM !== null"
            :value="match.figures.highestM"
            quantity="metres"
          /><template v-else>{{ tr('heightNotInTheFile') }}</template>
        </dd>
        <dt>{{ tr('charge') }}</dt>
        <dd>
          {{
            tr('percentToPercent2', {
              percent: percent(match.figures.startShare),
              percent2: percent(match.figures.endShare),
            })
          }}
        </dd>
        <dt>{{ tr('flight') }}</dt>
        <dd>
          <template v-if="match.entry">{{ tr('inTheLogAlready') }}</template>
          <template v-else-if="match.flight && match.location">{{
            tr('namePlannedStartMs', {
              name: match.location.name,
              startMs: clockText(match.flight.startMs, match.location.zone),
            })
          }}</template>
          <template v-else>{{ tr('noPlannedFlightIsNear') }}</template>
        </dd>
        <template v-if="lines?.off && match.flight">
          <dt>{{ tr('offThePlan') }}</dt>
          <dd>
            <Fig :value="lines.off.meanM" quantity="metres" /> {{ tr('onAverageAtMost') }}
            <Fig :value="lines.off.farthestM" quantity="metres" />
          </dd>
        </template>
      </dl>
      <LineMap
        v-if="lines"
        :planned="lines.planned"
        :flown="lines.flown"
        :now="null"
        :heading-deg="0"
        from="above"
        :width="220"
        :height="170"
      />
    </div>
    <button v-if="match?.flight" class="btn lead" @click="add">{{ tr('addToLog') }}</button>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.file input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
.file:focus-within {
  outline: 2px solid var(--pick);
}
.columns-of {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 8px;
}
.found {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 14px;
  margin: 8px 0;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 14px;
  margin: 0;
  align-content: start;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
}
</style>
