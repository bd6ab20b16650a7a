<script setup lang="ts">
import type { UnitSystem } from '@core/units';
import { defineAsyncComponent, ref } from 'vue';
import type { NamedPoint } from '../map/world-map';
import type { Fault } from '../sync/validation';
import { ElButton } from './element-button';
import { tr } from './messages';
import TextField from './TextField.vue';

/** Where something is on the earth: typed or pasted in any usual form, or pointed at. */
const props = defineProps<{
  label: string;
  value: string;
  placeholder: string;
  hint: string;
  save: (text: string) => readonly Fault[] | void;
  at: { readonly latitude: number; readonly longitude: number } | null;
  /** Places drawn on the map with their names. */
  known: readonly NamedPoint[];
  units: UnitSystem;
}>();
const WorldPick = defineAsyncComponent(() => import('./WorldPick.vue'));
const pointing = ref(false);
const pointed = (coordinates: string): void => {
  pointing.value = false;
  props.save(coordinates);
};
</script>

<template>
  <div class="where">
    <TextField :label="label" :value="value" :placeholder="placeholder" :hint="hint" :save="save" />
    <ElButton class="btn" :title="tr('pointOnTheMap')" @click="pointing = true">{{
      tr('fromTheMap')
    }}</ElButton>
    <WorldPick
      v-if="pointing"
      :known="known"
      :at="at"
      :units="units"
      @close="pointing = false"
      @pick="pointed"
    />
  </div>
</template>

<style scoped>
.where {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px;
  align-items: end;
}
</style>
