<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Entity } from '@core/model';
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TimeField from '../../parts/TimeField.vue';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** How the place sits in its day: the way there, power, and when nobody flies. */
const props = defineProps<{ place: Entity<'location'> }>();
const store = useFilm();
const set = (fields: Partial<Entity<'location'>>) =>
  store.edit('location', props.place.id, fields, tr('place'));
const breaks = computed(() => props.place.breaks);
const change = (i: number, fields: Partial<(typeof breaks.value)[number]>) =>
  set({ breaks: breaks.value.map((b, n) => (n === i ? { ...b, ...fields } : b)) });
const add = (): void => {
  set({ breaks: [...breaks.value, { from: props.place.windowStart, minutes: 15 }] });
};
</script>

<template>
  <section class="day" :aria-label="tr('theDayHere')">
    <h2>{{ tr('theDayHere') }}</h2>
    <div class="line">
      <NumberField
        :label="tr('travelFromThePreviousLocation')"
        :value="place.travelMin"
        quantity="minutes"
        :step="5"
        :hint="tr('travelAndSetUpUntil')"
        :save="(v) => set({ travelMin: v })"
      />
      <SwitchField
        :label="tr('wallPowerHereOrOn')"
        :value="place.wallPower"
        :save="(v) => set({ wallPower: v })"
      />
      <ElButton class="btn" :disabled="breaks.length >= 10" @click="add">{{ tr('addABreak') }}</ElButton>
    </div>
    <div v-for="(b, i) in breaks" :key="i" class="line">
      <TimeField :label="tr('noFlyingFrom')" :value="b.from" :save="(v) => change(i, { from: v })" />
      <NumberField
        :label="tr('duration')"
        :value="b.minutes"
        quantity="minutes"
        :step="5"
        :save="(v) => change(i, { minutes: v })"
      />
      <ElButton
        class="btn"
        :aria-label="tr('removeTheBreakAtFrom', { from: b.from })"
        @click="set({ breaks: breaks.filter((_, n) => n !== i) })"
      >
        {{ tr('remove') }}
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
.day {
  display: grid;
  gap: 6px;
  margin: 4px 0 8px;
}
h2 {
  font-size: 15px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: end;
}
.line > :deep(.field) {
  width: 170px;
}
</style>
