<script setup lang="ts">
import 'ol/ol.css';
import { computed, onBeforeUnmount, onMounted, shallowRef, useTemplateRef } from 'vue';
import type { UnitSystem } from '@core/units';
import { grouped, toShown, unitOf } from '../format';
import { writeCoordinates } from '../coordinates';
import { WorldMap, type NamedPoint, type WorldPoint } from '../map/world-map';
import DialogBox from './DialogBox.vue';
import { ElButton } from './element-button';
import { tr } from './messages';

/** Points at where a film is shot on a map of the earth; coordinates as exact as the map was near. */
const props = defineProps<{
  known: readonly NamedPoint[];
  at: { readonly latitude: number; readonly longitude: number } | null;
  units: UnitSystem;
}>();
const emit = defineEmits<{ close: []; pick: [coordinates: string] }>();
const box = useTemplateRef<HTMLElement>('box');
const point = shallowRef<WorldPoint | null>(null);
const zoneAt = shallowRef<((latitude: number, longitude: number) => string) | null>(null);
const zone = computed(() =>
  point.value ? (zoneAt.value?.(point.value.latitude, point.value.longitude) ?? '') : '',
);
let map: WorldMap | null = null;
/** As exact as a pixel. */
const text = computed(() => (point.value ? writeCoordinates(point.value, point.value.pixelM) : ''));
const coarse = computed(() => {
  const shown = Number(toShown(point.value?.pixelM ?? 0, 'metres', props.units).toPrecision(2));
  return tr('pixelCovers', { size: `${grouped(shown)} ${unitOf('metres', props.units)}` });
});
const pointed = (at: WorldPoint): void => {
  point.value = at;
};
onMounted(async () => {
  zoneAt.value = (await import('tz-lookup')).default;
});
// The map measures its box: it is made once the dialog stands.
const opened = (): void => {
  if (!box.value) return;
  map = new WorldMap(
    box.value,
    props.known,
    props.units,
    { nearer: tr('nearer'), wider: tr('wider') },
    pointed,
  );
  if (props.at) map.show(props.at);
  box.value.focus();
};
onBeforeUnmount(() => map?.close());
</script>

<template>
  <DialogBox :title="tr('pointOnTheMap')" width="min(900px, 96vw)" @opened="opened" @close="emit('close')">
    <div
      ref="box"
      class="world"
      tabindex="0"
      role="application"
      :aria-label="tr('mapOfTheEarth')"
      @keydown.enter.self.prevent="map?.pickMiddle()"
    />
    <p class="quiet">{{ tr('howToPoint') }}</p>
    <p class="row" role="status">
      <template v-if="point">
        <b>{{ text }}</b> <span>{{ zone }}</span> <span class="quiet">{{ coarse }}</span>
      </template>
      <span v-else class="quiet">{{ tr('nothingPointedAt') }}</span>
    </p>
    <p class="row">
      <ElButton class="btn lead" :disabled="!point" @click="emit('pick', text)">{{
        tr('useThisPoint')
      }}</ElButton>
      <ElButton class="btn" @click="emit('close')">{{ tr('cancel') }}</ElButton>
    </p>
  </DialogBox>
</template>

<style scoped>
.world {
  height: min(52vh, 460px);
  background: var(--bench);
  position: relative;
}
.world :deep(.ol-zoom) {
  inset: 8px auto auto 8px;
  background: none;
}
.world :deep(.ol-zoom button) {
  width: var(--touch);
  height: var(--touch);
  border-radius: 0;
  background: var(--slab-2);
  color: var(--chalk);
}
.world :deep(.ol-scale-line) {
  background: var(--slab);
}
.world :deep(.ol-scale-line-inner) {
  color: var(--chalk);
  border-color: var(--chalk-2);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  margin: 6px 0 0;
}
</style>
