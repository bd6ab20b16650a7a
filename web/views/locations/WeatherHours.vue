<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { SKIES, type Entity, type HourWeather } from '@core/model';
import { SIMULATED_SERVICE } from '@core/weather';
import { computed, ref } from 'vue';
import { SKY_WORDS, unitOf } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import PickField from '../../parts/PickField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useInPieces } from '../../composables/in-pieces';
import { readTextFile } from '../../exchange/text-file';
import FileButton from '../../parts/FileButton.vue';
import type { TableColumn } from '../../parts/table-column';
import type { Fault } from '../../sync/validation';
import {
  HOUR_COLUMNS,
  HOUR_FIGURES,
  inWindow,
  nextFreeHour,
  type HourCell,
  type HourFigure,
} from './hour-columns';
import HourField from './HourField.vue';
import { tr } from './messages';

const props = defineProps<{ place: Entity<'location'> }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const faults = ref<readonly string[]>([]);
const busy = ref(false);

const inOrder = (hours: readonly HourWeather[]): HourWeather[] =>
  [...hours].sort((a, b) => a.at.localeCompare(b.at));
const sorted = computed(() => inOrder(props.place.hours));
/** A row is seven fields: a few of them are as much as fits between two pictures. */
const rows = useInPieces(() => sorted.value, 4);
const commit = (hours: readonly HourWeather[], source: 'hand' | 'file' | 'simulated'): readonly Fault[] => {
  // As it is now: what is fetched comes in later than it was asked for.
  const place = film.get('location', props.place.id);
  if (!place) return [];
  const fields = {
    hours: inOrder(hours),
    weatherFrom: hours.length === 0 ? null : { source, fetchedMs: Date.now() },
  };
  // What comes in as a whole is a step of its own; what is typed quickly is one.
  return source === 'hand'
    ? film.edit('location', place.id, fields, tr('weather'))
    : film.commit(tr('weather'), [{ kind: 'location', id: place.id, after: { ...place, ...fields } }]);
};
/** What is wrong stands at the field that was changed. */
const change = (row: HourWeather, fields: Partial<HourWeather>): readonly Fault[] =>
  commit(
    sorted.value.map((h) => (h.at === row.at ? { ...h, ...fields } : h)),
    'hand',
  );
const save = (hours: readonly HourWeather[], source: 'hand' | 'file' | 'simulated'): void => {
  faults.value = commit(hours, source).map((f) => f.say);
};
const remove = (row: HourWeather): void =>
  save(
    sorted.value.filter((h) => h.at !== row.at),
    'hand',
  );
/** The hour after the last one that is not there yet. */
const free = computed(() => nextFreeHour(sorted.value, props.place.windowStart));
/** As the last one is, or as the whole day is without one. */
const add = (): void => {
  if (free.value === null) return;
  const { windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM } = sorted.value.at(-1) ?? props.place;
  const hour = { at: free.value, windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM, sure: 0.8 };
  save([...sorted.value, hour], 'hand');
};
const fetchHours = async (): Promise<void> => {
  busy.value = true;
  const { id, date, latitude, longitude } = props.place;
  try {
    const hours = await SIMULATED_SERVICE.fetch(props.place, Date.now());
    // The hours of another day or spot are none of this one.
    const now = film.get('location', id);
    if (now?.date === date && now.latitude === latitude && now.longitude === longitude)
      save(hours, 'simulated');
  } finally {
    busy.value = false;
  }
};
const open = async (file: File): Promise<void> => {
  const { readHours } = await import('../../exchange/weather');
  const read = readHours(await readTextFile(file));
  if (read.ok) save(read.value, 'file');
  else faults.value = [read.reason];
};
const SKY_CHOICES = SKIES.map((value) => ({ value, label: SKY_WORDS[value] }));
const figureColumn = (figure: HourFigure, label: string, minWidth: number): TableColumn<HourFigure> => ({
  key: figure,
  label: `${label}, ${unitOf(HOUR_COLUMNS[figure].quantity, derivedFilm.units)}`,
  minWidth,
});
const columns = computed((): readonly TableColumn<HourCell>[] => [
  { key: 'at', label: tr('time'), width: 72 },
  figureColumn('windMs', tr('wind'), 92),
  figureColumn('gustMs', tr('gusts'), 92),
  figureColumn('windFromDeg', tr('from'), 92),
  figureColumn('temperatureC', tr('temp'), 92),
  figureColumn('visibilityM', tr('visibility'), 92),
  { key: 'sky', label: tr('sky'), minWidth: 120 },
  figureColumn('sure', tr('sure'), 84),
  { key: 'remove', label: tr('removeLower'), width: 84 },
]);
const rowClass = (hour: HourWeather): string =>
  inWindow(hour.at, props.place.windowStart, props.place.windowEnd) ? 'in-window' : '';
const source = computed(() => {
  const from = props.place.weatherFrom;
  return from === null
    ? ''
    : { hand: tr('enteredByHand'), file: tr('fromAFile'), simulated: tr('simulatedMadeUpNotA') }[from.source];
});
</script>

<template>
  <section class="hours" :aria-label="tr('weatherByTheHour')">
    <header>
      <h2>{{ tr('weatherByTheHour') }}</h2>
      <span v-if="source" class="quiet" :class="{ made: place.weatherFrom?.source === 'simulated' }">{{
        source
      }}</span>
      <span class="gap" />
      <ElButton class="btn" :disabled="free === null" @click="add">{{ tr('addHour') }}</ElButton>
      <FileButton
        :label="tr('openFile')"
        accept=".csv,.json,text/csv,application/json"
        @files="([file]) => open(file)"
      />
      <ElButton class="btn" :disabled="busy" @click="fetchHours">{{ tr('simulateForecast') }}</ElButton>
      <ElButton v-if="sorted.length > 0" class="btn" @click="save([], 'hand')">{{ tr('clear') }}</ElButton>
    </header>
    <p v-if="sorted.length === 0" class="quiet">
      {{ tr('noneEnteredTheFiguresAbove') }}
    </p>
    <p v-for="f in faults" :key="f" class="fault" role="alert">{{ f }}</p>
    <DataTable
      v-if="sorted.length > 0"
      :rows="rows"
      :columns="columns"
      :key-of="(hour) => hour.at"
      :class-of="rowClass"
    >
      <template #at="{ row }"
        ><b class="at">{{ row.at }}</b></template
      >
      <template v-for="figure in HOUR_FIGURES" :key="figure" #[figure]="{ row }"
        ><HourField :hour="row" :figure="figure" :change="change"
      /></template>
      <template #sky="{ row }"
        ><PickField
          :label="tr('skyAtAt', { at: row.at })"
          bare
          :value="row.sky"
          :options="SKY_CHOICES"
          :save="(v) => change(row, { sky: v })"
      /></template>
      <template #remove="{ row }"
        ><ElButton class="btn bare" :aria-label="tr('removeAt', { at: row.at })" @click="remove(row)">{{
          tr('removeLower')
        }}</ElButton></template
      >
    </DataTable>
  </section>
</template>

<style scoped>
.hours {
  display: grid;
  gap: 8px;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: baseline;
}
.gap {
  flex: 1;
}
.made {
  color: var(--care);
}
.at {
  font-variant-numeric: tabular-nums;
}
.hours :deep(.el-table) {
  --el-table-row-hover-bg-color: var(--bench);
}
.hours :deep(.el-table .cell) {
  padding: 0 6px;
}
.hours :deep(.el-table__cell) {
  padding: 3px 0;
}
.hours :deep(.in-window) {
  box-shadow: inset 4px 0 0 var(--pick);
}
</style>
