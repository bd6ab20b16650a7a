<script setup lang="ts">
import type { DerivedFilm } from '@core/film';
import type { Pack } from '@core/model';
import { clockText } from '@core/time';
import { computed } from 'vue';
import DataTable from '../../../parts/DataTable.vue';
import { ElButton } from '../../../parts/element-button';
import type { TableColumn } from '../../../parts/table-column';
import Fig from '../../../parts/Fig.vue';
import { useSelection } from '../../../stores/selection';
import { comesTo } from '../../flights/would-be';
import { tr } from './messages';

const props = defineProps<{ derived: DerivedFilm; packs: readonly Pack[] }>();
const selection = useSelection();
const rows = computed(() =>
  [...props.derived.places.values()].flatMap((place) =>
    place.flights.map((f, i) => {
      const pack = props.packs.find((p) => p.id === f.packId);
      return {
        key: `${place.location.id}${i}`,
        place: place.location.name,
        pack: pack?.name ?? '',
        at: clockText(f.startMs, place.location.zone),
        first: f.stops[0]?.shotId ?? '',
        shots: f.stops.map((s) => props.derived.shots.get(s.shotId)?.number ?? 0).join(' '),
        minutes: f.seconds / 60,
        wattHours: f.usedWh,
        landsWith: comesTo(f, props.packs).landsWith,
      };
    }),
  ),
);
interface Line {
  readonly key: string;
  readonly place: string;
  readonly pack: string;
  readonly at: string;
  /** First shot of the flight; null for the line that sums up. */
  readonly first: string | null;
  readonly shots: string;
  readonly minutes: number;
  readonly wattHours: number;
  readonly landsWith: number | null;
}
const lines = computed<Line[]>(() => [
  ...rows.value,
  {
    key: 'total',
    place: '',
    pack: '',
    at: '',
    first: null,
    shots: tr('rowsFlights', { rows: rows.value.length }),
    minutes: rows.value.reduce((s, r) => s + r.minutes, 0),
    wattHours: rows.value.reduce((s, r) => s + r.wattHours, 0),
    landsWith: null,
  },
]);
const COLUMNS = computed<TableColumn[]>(() => [
  { key: 'off', label: tr('off'), width: 42 },
  { key: 'pack', label: tr('pack'), width: 32 },
  { key: 'shots', label: tr('shots'), minWidth: 46 },
  { key: 'time', label: tr('time'), width: 50, figure: true },
  { key: 'energy', label: tr('energy'), width: 56, figure: true },
  { key: 'landsWith', label: tr('landsWith'), width: 42, figure: true },
]);
</script>

<template>
  <section class="flights" :aria-label="tr('flights')">
    <DataTable
      :rows="lines"
      :columns="COLUMNS"
      :key-of="(r) => r.key"
      :class-of="(r) => (r.first === null ? 'total' : '')"
    >
      <template #off="{ row: r }"
        ><b v-if="r.first === null">{{ r.at }}</b
        ><ElButton v-else class="btn bare" :title="r.place" @click="selection.pick(r.first)">{{
          r.at
        }}</ElButton></template
      >
      <template #pack="{ row: r }">{{ r.pack }}</template>
      <template #shots="{ row: r }">{{ r.shots }}</template>
      <template #time="{ row: r }"><Fig :value="r.minutes" quantity="minutes" /></template>
      <template #energy="{ row: r }"><Fig :value="r.wattHours" quantity="wattHours" /></template>
      <template #landsWith="{ row: r }"
        ><Fig v-if="r.landsWith !== null" :value="r.landsWith" quantity="percent"
      /></template>
    </DataTable>
    <p class="faint">
      {{ tr('takeOffAndLandingHover') }}
    </p>
  </section>
</template>

<style scoped>
.flights {
  background: var(--slab-2);
  padding: 6px 8px;
  font-size: 12.5px;
  font-stretch: 88%;
  max-height: 260px;
  overflow: auto;
  flex: none;
}
/* Beside the packs there is room for six narrow columns. */
:deep(.el-table) {
  font-size: 12.5px;
}
:deep(.el-table .cell),
:deep(.el-table .is-right .cell) {
  padding: 0 4px 0 0;
}
:deep(.el-table th.el-table__cell) {
  font-size: 12px;
}
:deep(.total) td {
  font-weight: 640;
}
.btn {
  min-height: 24px;
  padding: 0 4px;
  margin-left: -4px;
}
@media (max-width: 1099px) {
  .btn {
    min-height: var(--touch);
  }
}
</style>
