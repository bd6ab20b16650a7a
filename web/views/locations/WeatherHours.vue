<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { SKIES, type Entity, type HourWeather } from '@core/model';
import { SIMULATED_SERVICE } from '@core/weather';
import { ElInputNumber, ElTable, ElTableColumn } from 'element-plus';
import 'element-plus/es/components/input-number/style/css';
import 'element-plus/es/components/table/style/css';
import 'element-plus/es/components/table-column/style/css';
import { computed, ref } from 'vue';
import { fromShown, SKY_WORDS, toShown, unitOf, type Quantity } from '../../format';
import PickField from '../../parts/PickField.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { useInPieces } from '../../composables/in-pieces';
import { readTextFile } from '../../exchange/text-file';
import FileButton from '../../parts/FileButton.vue';
import { tr } from './messages';

const props = defineProps<{ place: Entity<'location'> }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const faults = ref<readonly string[]>([]);
const busy = ref(false);

/** Rows of the table are hours; the table itself does not know. */
const of = (row: object): HourWeather => row as HourWeather;

const sorted = computed(() => [...props.place.hours].sort((a, b) => a.at.localeCompare(b.at)));
/** A row is six fields: a few of them are as much as fits between two pictures. */
const rows = useInPieces(() => sorted.value, 3);
const save = (hours: readonly HourWeather[], source: 'hand' | 'file' | 'simulated'): void => {
  // As it is now: what is fetched comes in later than it was asked for.
  const place = film.get('location', props.place.id);
  if (!place) return;
  const fields = {
    hours: [...hours].sort((a, b) => a.at.localeCompare(b.at)),
    weatherFrom: hours.length === 0 ? null : { source, fetchedMs: Date.now() },
  };
  // What comes in as a whole is a step of its own; what is typed quickly is one.
  const found =
    source === 'hand'
      ? film.edit('location', place.id, fields, tr('weather'))
      : film.commit(tr('weather'), [{ kind: 'location', id: place.id, after: { ...place, ...fields } }]);
  faults.value = found.map((f) => f.say);
};
const change = (row: HourWeather, fields: Partial<HourWeather>): void =>
  save(
    sorted.value.map((h) => (h.at === row.at ? { ...h, ...fields } : h)),
    'hand',
  );
const remove = (row: HourWeather): void =>
  save(
    sorted.value.filter((h) => h.at !== row.at),
    'hand',
  );
/** The hour after the last one, as that one is. */
const add = (): void => {
  const last = sorted.value.at(-1);
  const hour = last ? (Number(last.at.slice(0, 2)) + 1) % 24 : Number(props.place.windowStart.slice(0, 2));
  const at = `${String(hour).padStart(2, '0')}:00`;
  if (sorted.value.some((h) => h.at === at)) return;
  const { windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM } = last ?? props.place;
  save(
    [...sorted.value, { at, windMs, gustMs, windFromDeg, temperatureC, sky, visibilityM, sure: 0.8 }],
    'hand',
  );
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
const COLUMNS = [
  {
    field: 'windMs',
    get label() {
      return tr('wind');
    },
    quantity: 'speed',
    step: 0.5,
    least: 0,
    most: 60,
  },
  {
    field: 'gustMs',
    get label() {
      return tr('gusts');
    },
    quantity: 'speed',
    step: 0.5,
    least: 0,
    most: 80,
  },
  {
    field: 'windFromDeg',
    get label() {
      return tr('from');
    },
    quantity: 'degrees',
    step: 5,
    least: 0,
    most: 360,
  },
  {
    field: 'temperatureC',
    get label() {
      return tr('temp');
    },
    quantity: 'celsius',
    step: 1,
    least: -50,
    most: 60,
  },
  {
    field: 'visibilityM',
    get label() {
      return tr('visibility');
    },
    quantity: 'metres',
    step: 500,
    least: 0,
    most: 100_000,
  },
] as const;
/** In the person's units, without the tail a conversion leaves. */
const shown = (value: number, quantity: Quantity): number =>
  Number(toShown(value, quantity, derivedFilm.units).toPrecision(6));
const stored = (value: number, quantity: Quantity): number => fromShown(value, quantity, derivedFilm.units);
const unit = (quantity: Quantity): string => unitOf(quantity, derivedFilm.units);
const inWindow = (row: HourWeather): boolean => {
  const { windowStart, windowEnd } = props.place;
  const at = row.at.slice(0, 2);
  const [from, to] = [windowStart.slice(0, 2), windowEnd.slice(0, 2)];
  return from <= to ? at >= from && at <= to : at >= from || at <= to;
};
const rowClass = ({ row }: { row: object }): string => (inWindow(of(row)) ? 'in-window' : '');
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
      <ElButton class="btn" @click="add">{{ tr('addHour') }}</ElButton>
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
    <ElTable
      v-if="sorted.length > 0"
      :data="[...rows]"
      :row-class-name="rowClass"
      row-key="at"
      max-height="420"
    >
      <ElTableColumn :label="tr('time')" width="72">
        <template #default="scope">
          <b class="at">{{ of(scope.row).at }}</b>
        </template>
      </ElTableColumn>
      <ElTableColumn
        v-for="c in COLUMNS"
        :key="c.field"
        :label="`${c.label}, ${unit(c.quantity)}`"
        min-width="92"
      >
        <template #default="scope">
          <ElInputNumber
            :model-value="shown(of(scope.row)[c.field], c.quantity)"
            :aria-label="
              tr('labelAtAtUnit', { label: c.label, at: of(scope.row).at, unit: unit(c.quantity) })
            "
            :controls="false"
            :step="c.step"
            :min="shown(c.least, c.quantity)"
            :max="shown(c.most, c.quantity)"
            @change="
              (v: number | undefined) =>
                v !== undefined && change(of(scope.row), { [c.field]: stored(v, c.quantity) })
            "
          />
        </template>
      </ElTableColumn>
      <ElTableColumn :label="tr('sky')" min-width="120">
        <template #default="scope">
          <PickField
            :label="tr('skyAtAt', { at: of(scope.row).at })"
            bare
            :value="of(scope.row).sky"
            :options="SKY_CHOICES"
            :save="(v) => change(of(scope.row), { sky: v })"
          />
        </template>
      </ElTableColumn>
      <ElTableColumn :label="tr('sure')" min-width="84">
        <template #default="scope">
          <ElInputNumber
            :model-value="Math.round(of(scope.row).sure * 100)"
            :aria-label="tr('howSureAtAtPercent', { at: of(scope.row).at })"
            :controls="false"
            :min="0"
            :max="100"
            @change="(v: number | undefined) => v !== undefined && change(of(scope.row), { sure: v / 100 })"
          />
        </template>
      </ElTableColumn>
      <ElTableColumn width="84">
        <template #header
          ><span class="sr">{{ tr('removeLower') }}</span></template
        >
        <template #default="scope">
          <ElButton
            class="btn bare"
            :aria-label="tr('removeAt', { at: of(scope.row).at })"
            @click="remove(of(scope.row))"
          >
            {{ tr('removeLower') }}
          </ElButton>
        </template>
      </ElTableColumn>
    </ElTable>
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
  --el-table-bg-color: transparent;
  --el-table-tr-bg-color: transparent;
  --el-table-header-bg-color: transparent;
  --el-table-row-hover-bg-color: var(--bench);
  --el-table-border-color: var(--line);
  --el-table-text-color: var(--chalk);
  --el-table-header-text-color: var(--chalk-2);
  background: transparent;
  font-size: 14px;
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
.hours :deep(.el-input-number) {
  width: 100%;
}
</style>
