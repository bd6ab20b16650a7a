<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const stored = computed(() => props.shot.facts.shot);
const set = (fields: Parameters<typeof film.edit<'shot'>>[2]) => film.edit('shot', stored.value.id, fields);
const segment = computed(() => stored.value.cut.segments[0] ?? { timelineS: 6, speedFactor: 1 });
const setSegment = (fields: Partial<typeof segment.value>) => set({ cut: { ...stored.value.cut, segments: [{ ...segment.value, ...fields }, ...stored.value.cut.segments.slice(1)] } });

const aircraft = computed(() => film.list('aircraft').filter((a) => !a.retired || a.id === stored.value.aircraftId).map((a) => ({ value: a.id as string | null, label: a.name })));
const craft = computed(() => props.shot.facts.aircraft);
const cameras = computed(() => craft.value?.cameras.map((c) => ({ value: c.id, label: c.name, note: `${c.equivalentMm} mm` })) ?? []);
const modes = computed(() => props.shot.facts.camera?.modes.map((m) => ({ value: m.id, label: m.name, note: `${m.megabitsPerS} Mbit/s` })) ?? []);
const setAircraft = (id: string | null) => {
  const next = film.list('aircraft').find((a) => a.id === id);
  const camera = next?.cameras[0];
  return set({ aircraftId: id, cameraId: camera?.id ?? '', modeId: camera?.modes[0]?.id ?? '', exposure: { ...stored.value.exposure, aperture: null, iso: null } });
};
const setCamera = (id: string) => set({ cameraId: id, modeId: craft.value?.cameras.find((c) => c.id === id)?.modes[0]?.id ?? '', exposure: { ...stored.value.exposure, aperture: null, iso: null } });
</script>

<template>
  <div class="facet">
    <div class="grid">
      <PickField label="Length by" :value="stored.cut.by" :options="[{ value: 'seconds', label: 'Seconds' }, { value: 'beats', label: 'Beats' }]" :save="(v) => set({ cut: { ...stored.cut, by: v } })" />
      <NumberField v-if="stored.cut.by === 'seconds'" label="In the cut" :value="segment.timelineS" quantity="seconds" :step="0.5" :save="(v) => setSegment({ timelineS: v })" />
      <NumberField v-else label="Beats" :value="stored.cut.beats" quantity="count" unit="beats" :save="(v) => set({ cut: { ...stored.cut, beats: v } })" />
      <NumberField label="Played at" :value="segment.speedFactor" quantity="factor" :step="0.5" hint="16 plays sixteen times faster than real, so it needs long footage." :save="(v) => setSegment({ speedFactor: v })" />
      <PickField label="Cut" :value="stored.cutStyle" :options="[{ value: 'in-motion', label: 'In motion' }, { value: 'whole', label: 'Starts and stops in shot' }]" :save="(v) => set({ cutStyle: v })" />
      <PickField label="Aircraft" :value="stored.aircraftId" :options="aircraft" :save="setAircraft" />
      <PickField label="Lens" :value="shot.facts.camera?.id ?? ''" :options="cameras" :save="setCamera" />
      <PickField label="Recording" :value="shot.facts.mode?.id ?? ''" :options="modes" :save="(v) => set({ modeId: v })" />
      <NumberField label="Digital zoom" :value="stored.zoom" quantity="factor" :step="0.1" :hint="`Resolution is divided by the zoom. This camera goes to ×${shot.facts.camera?.maxZoom ?? 1}.`" :save="(v) => set({ zoom: v })" />
      <NumberField label="Takes" :value="stored.takes" quantity="count" :save="(v) => set({ takes: v })" />
      <PickField label="Takes flown" :value="stored.takeStyle" :options="[{ value: 'there-and-back', label: 'There and back' }, { value: 'same-way', label: 'Same way each time' }]" :save="(v) => set({ takeStyle: v })" />
      <NumberField label="Set-up" :value="stored.setupS" quantity="seconds" :step="5" hint="Hover to frame before the first take." :save="(v) => set({ setupS: v })" />
      <NumberField label="Subject margin" :value="stored.subjectMarginS" quantity="seconds" hint="Before and after, when someone moves through the frame." :save="(v) => set({ subjectMarginS: v })" />
    </div>
    <p class="wanted">Wants <Fig :value="shot.facts.wantedS" quantity="seconds" /> steady, gets <Fig :value="shot.facts.flown?.usableS ?? NaN" quantity="seconds" /><span class="quiet">; never under the minimum hold of {{ shot.facts.film.preferences.minimumHoldS }} s.</span></p>
    <TextField label="Notes" :value="stored.notes" :lines="3" wide :save="(v) => set({ notes: v })" />
  </div>
</template>

<style scoped>
.grid { display: grid; grid-template-columns: repeat(4, 1fr); gap: 8px 10px; }
.wanted { margin: 8px 0; }
@media (max-width: 700px) { .grid { grid-template-columns: repeat(2, 1fr); } }
</style>
