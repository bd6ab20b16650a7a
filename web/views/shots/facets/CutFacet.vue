<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import { ASPECTS, type Shot } from '@core/model';
import { framesUsed } from '@core/shot';
import { computed } from 'vue';
import { choices, RECORD_WORDS } from '../../../format';
import { useMessages } from '../../../composables/useMessages';
import Fig from '../../../parts/Fig.vue';
import NumberField from '../../../parts/NumberField.vue';
import PickField from '../../../parts/PickField.vue';
import SwitchField from '../../../parts/SwitchField.vue';
import TextField from '../../../parts/TextField.vue';
import { useFilm } from '../../../stores/film';
import SegmentRows from './SegmentRows.vue';
import UseRows from './UseRows.vue';
import { useStored } from '../useStored';
import { tr } from './messages';

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const { text } = useMessages();
const stored = useStored(() => props.shot);
const set = (fields: Parameters<typeof film.edit<'shot'>>[2]) => film.edit('shot', stored.value.id, fields);
const setCut = (fields: Partial<Shot['cut']>) => set({ cut: { ...stored.value.cut, ...fields } });
const setSegments = (segments: Shot['cut']['segments'][number][]) => setCut({ segments });
const BY = [
  {
    value: 'seconds',
    get label() {
      return tr('seconds');
    },
  },
  {
    value: 'beats',
    get label() {
      return tr('beats');
    },
  },
  {
    value: 'counts',
    get label() {
      return tr('counts');
    },
  },
] as const;
const RECORDS = choices(RECORD_WORDS);
const STILLS_AS = [
  {
    value: 'compressed' as const,
    get label() {
      return tr('compressed');
    },
  },
  {
    value: 'raw' as const,
    get label() {
      return tr('raw');
    },
  },
  {
    value: 'both' as const,
    get label() {
      return tr('both');
    },
  },
];

const ALSO = computed(() => [
  { value: null, label: tr('nothingElse') },
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
  () =>
    craft.value?.cameras.map((c) => ({
      value: c.id,
      label: c.name,
      note: tr('equivalentMmMm', { equivalentMm: c.equivalentMm }),
    })) ?? [],
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
      <PickField
        help="shot.by"
        :label="tr('lengthBy')"
        :value="stored.cut.by"
        :options="BY"
        :save="(v) => setCut({ by: v })"
      />
      <NumberField
        help="shot.beats"
        v-if="stored.cut.by !== 'seconds'"
        :label="stored.cut.by === 'beats' ? tr('beats') : tr('counts')"
        :value="stored.cut.beats"
        quantity="count"
        :unit="stored.cut.by"
        :hint="tr('aCountIsBeatsPerCountBeats', { beatsPerCount: shot.facts.film.beatsPerCount })"
        :save="(v) => setCut({ beats: v })"
      />
      <PickField
        help="shot.cutStyle"
        :label="tr('cut')"
        :value="stored.cutStyle"
        :options="[
          { value: 'in-motion', label: tr('inMotion') },
          { value: 'whole', label: tr('startsAndStopsInShot') },
        ]"
        :save="(v) => set({ cutStyle: v })"
      />
      <PickField
        help="shot.alsoAspect"
        :label="tr('alsoCutIn')"
        :value="stored.alsoAspect"
        :options="ALSO"
        :save="(v) => set({ alsoAspect: v })"
      />
      <PickField
        help="shot.records"
        :label="tr('records')"
        :value="stored.records"
        :options="RECORDS"
        :save="(v) => set({ records: v })"
      />
      <PickField
        help="shot.stillAs"
        v-if="stored.records !== 'video' || frames"
        :label="tr('stillFormat')"
        :value="stored.stillAs"
        :options="STILLS_AS"
        :save="(v) => set({ stillAs: v })"
      />
      <NumberField
        help="shot.stills"
        v-if="stored.records !== 'video'"
        :label="tr('stills')"
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
      {{
        tr('theCutUsesPixelShareOf', {
          pixelShare: Math.round(shot.facts.frame.pixelShare * 100),
          cutPx: shot.facts.frame.cutPx.map((px) => Math.round(px)).join(' × '),
        })
      }}
    </p>
    <p class="wanted">
      {{ tr('theCutNeeds') }} <Fig :value="shot.facts.wantedS" quantity="seconds" /> {{ tr('steadyGets') }}
      <Fig :value="shot.facts.trajectory?.usableS ?? NaN" quantity="seconds" />
      <span class="quiet">{{
        tr('handleSSOfHandleAt', {
          handleS: shot.facts.film.preferences.handleS,
          minimumHoldS: shot.facts.film.preferences.minimumHoldS,
        })
      }}</span>
      <template v-if="frames">
        {{
          tr('countByOneEvery', {
            count: frames.count,
            by: frames.by === 'interval' ? tr('frames') : tr('stillsLower'),
          })
        }}
        <Fig :value="frames.everyS" quantity="seconds" />.</template
      >
    </p>
    <div class="grid">
      <PickField
        help="shot.aircraftId"
        :label="tr('aircraft')"
        :value="stored.aircraftId"
        :options="aircraft"
        :save="setAircraft"
      />
      <PickField
        help="shot.cameraId"
        :label="tr('lens')"
        :value="shot.facts.camera?.id ?? ''"
        :options="cameras"
        :save="setCamera"
      />
      <PickField
        help="shot.modeId"
        :label="tr('recording')"
        :value="shot.facts.mode?.id ?? ''"
        :options="modes"
        :save="(v) => set({ modeId: v })"
      />
      <NumberField
        help="shot.zoom"
        :label="tr('digitalZoom')"
        :value="stored.zoom"
        quantity="factor"
        :step="0.1"
        :hint="tr('resolutionIsDividedByThe', { maxZoom: shot.facts.camera?.maxZoom ?? 1 })"
        :save="(v) => set({ zoom: v })"
      />
      <NumberField
        help="shot.takes"
        :label="tr('takes')"
        :value="stored.takes"
        quantity="count"
        :save="(v) => set({ takes: v })"
      />
      <PickField
        help="shot.takeStyle"
        :label="tr('takesFlown')"
        :value="stored.takeStyle"
        :options="[
          { value: 'there-and-back', label: tr('thereAndBack') },
          { value: 'same-way', label: tr('sameWayEachTime') },
        ]"
        :save="(v) => set({ takeStyle: v })"
      />
      <NumberField
        help="shot.setupS"
        :label="tr('setUp')"
        :value="stored.setupS"
        quantity="seconds"
        :step="5"
        :hint="tr('hoverToFrameBeforeThe')"
        :save="(v) => set({ setupS: v })"
      />
      <NumberField
        help="shot.subjectMarginS"
        :label="tr('subjectMargin')"
        :value="stored.subjectMarginS"
        quantity="seconds"
        :hint="tr('beforeAndAfterWhenSomeone')"
        :save="(v) => set({ subjectMarginS: v })"
      />
      <SwitchField
        help="shot.walkS"
        :label="tr('pilotInTheShot')"
        :value="stored.walkS !== null"
        :save="(v) => set({ walkS: v ? 15 : null })"
      />
      <NumberField
        help="shot.walkS"
        v-if="stored.walkS !== null"
        :label="tr('walkToTheMark')"
        :value="stored.walkS"
        quantity="seconds"
        :hint="tr('oneWayItHoversAnd')"
        :save="(v) => set({ walkS: v })"
      />
    </div>
    <UseRows :shot="stored" :save="set" />
    <TextField
      help="shot.notes"
      :label="tr('notes')"
      :value="stored.notes"
      :lines="3"
      wide
      :save="(v) => set({ notes: v })"
    />
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
