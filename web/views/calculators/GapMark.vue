<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { fieldFromMeasured, fieldOfView, shareOfWidth } from '@core/lens';
import { computed, reactive, ref, watch } from 'vue';
import { fixed } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import type { TableColumn } from '../../parts/table-column';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** A mark as wide as the aircraft, for what a screen shows at a distance: calibrated once in front of something measured. */
const store = useFilm();
const choices = computed(() =>
  store
    .list('aircraft')
    .filter((a) => !a.retired)
    .flatMap((aircraft) =>
      aircraft.cameras.map((camera) => ({
        aircraft,
        camera,
        value: `${aircraft.id} ${camera.id}`,
        label: `${aircraft.name}, ${camera.name}`,
      })),
    ),
);
const chosen = ref('');
const own = computed(() => choices.value.find((c) => c.value === chosen.value) ?? choices.value[0] ?? null);
const keyOf = (value: string): string => `dusk-gap-mark:${value}`;
/** Field of view measured with this screen; NaN until it was. Screens differ, so it stays on the device. */
const measuredDeg = ref(NaN);
watch(
  () => own.value?.value,
  (value) => {
    measuredDeg.value = Number.parseFloat(localStorage.getItem(keyOf(value ?? '')) ?? '');
  },
  { immediate: true },
);
const by = reactive({ widthM: 2, distanceM: 5, percent: 30, marginM: 1 });
const lensDeg = computed(() => {
  const camera = own.value?.camera;
  const mode = camera?.modes[0];
  return camera && mode ? fieldOfView(camera.equivalentMm, [mode.widthPx, mode.heightPx]).horizontalDeg : NaN;
});
const fieldDeg = computed(() => (Number.isFinite(measuredDeg.value) ? measuredDeg.value : lensDeg.value));
const DISTANCES_M = [3, 5, 8, 12, 20];
const rows = computed(() => {
  const spanM = own.value?.aircraft.spanM ?? NaN;
  return DISTANCES_M.map((distanceM) => ({
    distanceM,
    craft: 100 * shareOfWidth(spanM, distanceM, fieldDeg.value),
    gap: 100 * shareOfWidth(spanM + 2 * by.marginM, distanceM, fieldDeg.value),
  }));
});
const COLUMNS = computed((): readonly TableColumn<'at' | 'craft' | 'gap'>[] => [
  { key: 'at', label: tr('gapAt'), minWidth: 80 },
  { key: 'craft', label: tr('markOfTheAircraft'), minWidth: 130 },
  { key: 'gap', label: tr('markWithRoom'), minWidth: 130 },
]);
const set = (key: keyof typeof by, least: number, most: number) => (value: number) => {
  if (!(value > least && value <= most))
    return [{ path: '', say: tr('betweenLeastAndMost', { least, most }) }];
  by[key] = value;
  return [];
};
const calibrate = (): void => {
  if (!own.value) return;
  measuredDeg.value = fieldFromMeasured(by.widthM, by.distanceM, by.percent / 100);
  localStorage.setItem(keyOf(own.value.value), String(measuredDeg.value));
};
const forget = (): void => {
  measuredDeg.value = NaN;
  localStorage.removeItem(keyOf(own.value?.value ?? ''));
};
</script>

<template>
  <section class="sheet" aria-labelledby="gap-title">
    <h2 id="gap-title">{{ tr('markForAGap') }}</h2>
    <p class="quiet">{{ tr('aMarkAsWide') }}</p>
    <p v-if="!own">{{ tr('noAircraftInTheKit') }}</p>
    <template v-else>
      <div class="pair">
        <PickField
          :label="tr('aircraftAndLens')"
          :value="own.value"
          :options="choices"
          :save="(v) => void (chosen = v)"
        />
        <NumberField
          :label="tr('keptFreeEachSide')"
          :value="by.marginM"
          quantity="metres"
          :step="0.1"
          :save="set('marginM', 0, 20)"
        />
      </div>
      <DataTable :rows="rows" :columns="COLUMNS" :key-of="(r) => String(r.distanceM)">
        <template #at="{ row }"><Fig :value="row.distanceM" quantity="metres" /></template>
        <template #craft="{ row }">{{ tr('ofTheWidth', { percent: fixed(row.craft, 1) }) }}</template>
        <template #gap="{ row }">{{
          row.gap > 100 ? tr('widerThanThePicture') : tr('ofTheWidth', { percent: fixed(row.gap, 1) })
        }}</template>
      </DataTable>
      <p class="quiet" data-field>
        {{
          Number.isFinite(measuredDeg)
            ? tr('fieldMeasured', { deg: fixed(fieldDeg, 1) })
            : tr('fieldByTheLens', { deg: fixed(fieldDeg, 1) })
        }}
      </p>
      <div class="three">
        <NumberField
          :label="tr('measuredWidth')"
          :value="by.widthM"
          quantity="metres"
          :step="0.1"
          :save="set('widthM', 0, 100)"
        />
        <NumberField
          :label="tr('hoveredAt')"
          :value="by.distanceM"
          quantity="metres"
          :step="0.5"
          :save="set('distanceM', 0, 200)"
        />
        <NumberField
          :label="tr('fillsOfTheScreen')"
          :value="by.percent"
          quantity="percent"
          :save="set('percent', 0, 100)"
        />
      </div>
      <p class="acts">
        <ElButton class="btn" @click="calibrate">{{ tr('calibrateMark') }}</ElButton>
        <ElButton v-if="Number.isFinite(measuredDeg)" class="btn" @click="forget">
          {{ tr('forgetCalibration') }}
        </ElButton>
      </p>
    </template>
  </section>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
