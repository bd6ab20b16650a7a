<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { bestDate, type DateWeighed } from '@core/light-timeline';
import type { LocationPlan } from '@core/day';
import { clockText, MINUTE_MS } from '@core/time';
import { computed, shallowRef, watch } from 'vue';
import { dateText, phrase } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useLight } from '../../stores/light';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

const props = defineProps<{ place: LocationPlan; count: number }>();
const film = useFilm();
const light = useLight();
const derivedFilm = useDerivedFilm();
const dates = shallowRef<readonly DateWeighed[]>([]);
let asked = 0;
watch(
  () => [props.place.location, derivedFilm.derived],
  async () => {
    const mine = (asked += 1);
    const answer = await light.weigh(props.place.location.id, 7);
    if (mine === asked) dates.value = answer;
  },
  { immediate: true },
);
const best = computed(() => bestDate(dates.value)?.date ?? '');
const clock = (ms: number | null): string =>
  ms === null ? tr('none') : clockText(ms, props.place.location.zone);
const HOUR_MS = 60 * MINUTE_MS;
const span = (d: DateWeighed, kind: 'golden' | 'blue'): string =>
  d.day.windows
    // The windows of the next morning are told with the next date.
    .filter((w) => w.kind === kind && w.fromMs < d.day.sun.endMs + 2 * HOUR_MS)
    .map((w) => `${clock(w.fromMs)}–${clock(w.toMs)}`)
    .join(' · ') || tr('none');
const take = (date: string): void => {
  film.edit('location', props.place.location.id, { date }, tr('date'));
};
const COLUMNS = computed(
  (): readonly TableColumn<
    'date' | 'sunrise' | 'sunset' | 'golden' | 'blue' | 'sun' | 'moon' | 'served' | 'wanted' | 'use'
  >[] => [
    { key: 'date', label: tr('date'), minWidth: 130 },
    { key: 'sunrise', label: tr('sunrise'), minWidth: 64 },
    { key: 'sunset', label: tr('sunset'), minWidth: 64 },
    { key: 'golden', label: tr('golden'), minWidth: 150, wideOnly: true },
    { key: 'blue', label: tr('blue'), minWidth: 150, wideOnly: true },
    { key: 'sun', label: tr('sunInTheWindow'), minWidth: 110, wideOnly: true },
    { key: 'moon', label: tr('moon'), minWidth: 160, wideOnly: true },
    { key: 'served', label: tr('shotsServed'), minWidth: 80 },
    { key: 'wanted', label: tr('wantedLight'), figure: true, minWidth: 90, wideOnly: true },
    { key: 'use', label: '', minWidth: 150 },
  ],
);
</script>

<template>
  <section :aria-label="tr('sevenDates')">
    <h2>{{ tr('theNextSevenDates') }}</h2>
    <div class="scroll" tabindex="0" role="region" :aria-label="tr('datesCompared')">
      <DataTable
        :rows="dates"
        :columns="COLUMNS"
        :key-of="(d) => d.date"
        :class-of="(d) => (d.date === place.location.date ? 'here' : '')"
      >
        <template #date="{ row: d }">{{ dateText(d.date) }}</template>
        <template #sunrise="{ row: d }">{{ clock(d.day.sunriseMs) }}</template>
        <template #sunset="{ row: d }">{{ clock(d.day.sunsetMs) }}</template>
        <template #golden="{ row: d }">{{ span(d, 'golden') }}</template>
        <template #blue="{ row: d }">{{ span(d, 'blue') }}</template>
        <template #sun="{ row: d }"
          ><Fig :value="d.sunFromDeg" quantity="degrees" /> {{ tr('to') }}
          <Fig :value="d.sunToDeg" quantity="degrees"
        /></template>
        <template #moon="{ row: d }"
          >{{ phrase(d.moon.name) }}, <Fig :value="d.moon.lit * 100" quantity="percent" />,
          {{ d.moonDeg > 0 ? tr('up') : tr('down') }}</template
        >
        <template #served="{ row: d }">{{ tr('servedOfCount', { served: d.served, count }) }}</template>
        <template #wanted="{ row: d }"><Fig :value="d.wantedMin" quantity="minutes" /></template>
        <template #use="{ row: d }">
          <span v-if="d.date === place.location.date" class="quiet">{{ tr('planned') }}</span><ElButton
            v-else
            class="btn"
            @click="take(d.date)"
          >
            {{ tr('useThisDate') }}
          </ElButton>
          <b v-if="d.date === best" class="best">{{ tr('best') }}</b>
        </template>
      </DataTable>
    </div>
    <p class="faint">{{ tr('sameHoursOnTheClock') }}</p>
  </section>
</template>

<style scoped>
:deep(.here) {
  background: var(--slab-2);
}
.best {
  color: var(--verdigris);
}
.btn {
  min-height: 24px;
  padding: 0 8px;
}
@media (max-width: 1099px) {
  .btn {
    min-height: var(--touch);
  }
}
</style>
