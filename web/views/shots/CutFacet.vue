<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import { ASPECTS, type Shot } from '@core/model';
import { framesUsed } from '@core/shot';
import { computed } from 'vue';
import { choices, RECORD_WORDS } from '../../format';
import { useMessages } from '../../composables/useMessages';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import SegmentRows from './SegmentRows.vue';
import UseRows from './UseRows.vue';
import { useStored } from './useStored';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const { text } = useMessages();
const stored = useStored(() => props.shot);
const set = (fields: Parameters<typeof film.edit<'shot'>>[2]) => film.edit('shot', stored.value.id, fields);
const setCut = (fields: Partial<Shot['cut']>) => set({ cut: { ...stored.value.cut, ...fields } });
const setSegments = (segments: Shot['cut']['segments'][number][]) => setCut({ segments });
const BY = [
  { value: 'seconds', label: 'Seconds' },
  { value: 'beats', label: 'Beats' },
  { value: 'counts', label: 'Counts' },
] as const;
const RECORDS = choices(RECORD_WORDS);
const STILLS_AS = [
  { value: 'compressed' as const, label: 'Compressed' },
  { value: 'raw' as const, label: 'Raw' },
  { value: 'both' as const, label: 'Both' },
];

const ALSO = computed(() => [
  { value: null, label: 'nothing else' },
  ...ASPECTS.filter((a) => a !== props.shot.facts.film.aspect).map((value) => ({ value, label: value })),
]);

const aircraft = computed(() =>
  film
    .list('aircraft')
    .filter((a) => !a.retired || a.id === stored.value.aircraftId)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
);
const craft = computed(() => props.shot.facts.aircraft);
const cameras = computed(
  () => craft.value?.cameras.map((c) => ({ value: c.id, label: c.name, note: `${c.equivalentMm} mm` })) ?? [],
);
const modes = computed(
  () =>
    props.shot.facts.camera?.modes.map((m) => ({
      value: m.id,
      label: m.name,
      note: `${m.megabitsPerS} Mbit/s`,
    })) ?? [],
);
const setAircraft = (id: string | null) => {
  const next = film.list('aircraft').find((a) => a.id === id);
  const camera = next?.cameras[0];
  return set({
    aircraftId: id,
    cameraId: camera?.id ?? '',
    modeId: camera?.modes[0]?.id ?? '',
    exposure: { ...stored.value.exposure, aperture: null, iso: null },
  });
};
const setCamera = (id: string) =>
  set({
    cameraId: id,
    modeId: craft.value?.cameras.find((c) => c.id === id)?.modes[0]?.id ?? '',
    exposure: { ...stored.value.exposure, aperture: null, iso: null },
  });
const used = computed(() => framesUsed(props.shot.facts));
const frames = computed(() => props.shot.facts.trajectory?.frames ?? null);
</script>

<template>
  <div class="facet">
    <div class="grid">
      <PickField label="Length by" :value="stored.cut.by" :options="BY" :save="(v) => setCut({ by: v })" />
      <NumberField
        v-if="stored.cut.by !== 'seconds'"
        :label="stored.cut.by === 'beats' ? 'Beats' : 'Counts'"
        :value="stored.cut.beats"
        quantity="count"
        :unit="stored.cut.by"
        :hint="`A count is ${shot.facts.film.beatsPerCount} beats in this film.`"
        :save="(v) => setCut({ beats: v })"
      />
      <PickField
        label="Cut"
        :value="stored.cutStyle"
        :options="[
          { value: 'in-motion', label: 'In motion' },
          { value: 'whole', label: 'Starts and stops in shot' },
        ]"
        :save="(v) => set({ cutStyle: v })"
      />
      <PickField
        label="Also cut in"
        :value="stored.alsoAspect"
        :options="ALSO"
        :save="(v) => set({ alsoAspect: v })"
      />
      <PickField
        label="Records"
        :value="stored.records"
        :options="RECORDS"
        :save="(v) => set({ records: v })"
      />
      <PickField
        v-if="stored.records !== 'video' || frames"
        label="Still format"
        :value="stored.stillAs"
        :options="STILLS_AS"
        :save="(v) => set({ stillAs: v })"
      />
      <NumberField
        v-if="stored.records !== 'video'"
        label="Stills"
        :value="stored.stills"
        quantity="count"
        :save="(v) => set({ stills: v })"
      />
    </div>
    <SegmentRows
      :segments="stored.cut.segments"
      :by-seconds="stored.cut.by === 'seconds'"
      :save="setSegments"
    />
    <p v-if="used" class="frames quiet">{{ text(used) }}</p>
    <p v-if="shot.facts.frame.pixelShare < 0.999" class="frames quiet">
      The cut uses {{ Math.round(shot.facts.frame.pixelShare * 100) }} % of the recorded pixels:
      {{ shot.facts.frame.cutPx.map((px) => Math.round(px)).join(' × ') }}.
    </p>
    <p class="wanted">
      The cut needs <Fig :value="shot.facts.wantedS" quantity="seconds" /> steady, gets
      <Fig :value="shot.facts.trajectory?.usableS ?? NaN" quantity="seconds" />
      <span class="quiet"
        >; {{ shot.facts.film.preferences.handleS }} s of handle at both ends, never under the minimum hold of
        {{ shot.facts.film.preferences.minimumHoldS }} s.</span
      >
      <template v-if="frames">
        {{ frames.count }} {{ frames.by === 'interval' ? 'frames' : 'stills' }}, one every
        <Fig :value="frames.everyS" quantity="seconds" />.</template
      >
    </p>
    <div class="grid">
      <PickField label="Aircraft" :value="stored.aircraftId" :options="aircraft" :save="setAircraft" />
      <PickField label="Lens" :value="shot.facts.camera?.id ?? ''" :options="cameras" :save="setCamera" />
      <PickField
        label="Recording"
        :value="shot.facts.mode?.id ?? ''"
        :options="modes"
        :save="(v) => set({ modeId: v })"
      />
      <NumberField
        label="Digital zoom"
        :value="stored.zoom"
        quantity="factor"
        :step="0.1"
        :hint="`Resolution is divided by the zoom. This camera goes to \u00d7${shot.facts.camera?.maxZoom ?? 1}.`"
        :save="(v) => set({ zoom: v })"
      />
      <NumberField label="Takes" :value="stored.takes" quantity="count" :save="(v) => set({ takes: v })" />
      <PickField
        label="Takes flown"
        :value="stored.takeStyle"
        :options="[
          { value: 'there-and-back', label: 'There and back' },
          { value: 'same-way', label: 'Same way each time' },
        ]"
        :save="(v) => set({ takeStyle: v })"
      />
      <NumberField
        label="Set-up"
        :value="stored.setupS"
        quantity="seconds"
        :step="5"
        hint="Hover to frame before the first take."
        :save="(v) => set({ setupS: v })"
      />
      <NumberField
        label="Subject margin"
        :value="stored.subjectMarginS"
        quantity="seconds"
        hint="Before and after, when someone moves through the frame."
        :save="(v) => set({ subjectMarginS: v })"
      />
      <SwitchField
        label="Pilot in the shot"
        :value="stored.walkS !== null"
        :save="(v) => set({ walkS: v ? 15 : null })"
      />
      <NumberField
        v-if="stored.walkS !== null"
        label="Walk to the mark"
        :value="stored.walkS"
        quantity="seconds"
        hint="One way; it hovers and records meanwhile."
        :save="(v) => set({ walkS: v })"
      />
    </div>
    <UseRows :shot="stored" :save="set" />
    <TextField label="Notes" :value="stored.notes" :lines="3" wide :save="(v) => set({ notes: v })" />
  </div>
</template>

<style scoped>
.facet {
  display: grid;
  gap: 8px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 10px;
  align-items: end;
}
@media (max-width: 700px) {
  .grid {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
