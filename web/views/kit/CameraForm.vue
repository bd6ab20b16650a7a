<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { type Entity, PROFILE_SCHOOLS, STILL_ASPECTS } from '@core/model';
import { computed } from 'vue';
import { readNumber } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import type { Fault } from '../../sync/validation';
import { tr } from './messages';

type Camera = Entity<'aircraft'>['cameras'][number];
const STILLS = STILL_ASPECTS.map((value) => ({ value, label: value }));
const props = defineProps<{ camera: Camera; only: boolean; save: (camera: Camera) => readonly Fault[] }>();
defineEmits<{ remove: [] }>();
const set = (fields: Partial<Camera>) => props.save({ ...props.camera, ...fields });
const setMode = (i: number, fields: Partial<Camera['modes'][number]>) =>
  set({ modes: props.camera.modes.map((m, n) => (n === i ? { ...m, ...fields } : m)) });
const apertures = computed(() => props.camera.apertures.join(' '));
const setApertures = (text: string): readonly Fault[] => {
  const list = text
    .split(/[\s/;]+/)
    .filter((t) => t !== '' && t !== 'f')
    .map(readNumber);
  if (list.length === 0 || list.some((n) => !(n > 0))) return [{ path: '', say: tr('oneFNumberOrSeveral') }];
  return set({ apertures: list });
};
const tilt = computed(() => (props.camera.fixedTiltDeg === null ? '' : String(props.camera.fixedTiltDeg)));
const setTilt = (text: string): readonly Fault[] => {
  if (text.trim() === '') return set({ fixedTiltDeg: null });
  const deg = readNumber(text);
  return Number.isNaN(deg) ? [{ path: '', say: tr('degreesOrEmptyForA') }] : set({ fixedTiltDeg: deg });
};
const setIso = (base: number, ceiling: number): readonly Fault[] =>
  ceiling < base
    ? [{ path: '', say: tr('theISOCeilingMustNot') }]
    : set({ isoBase: base, isoCeiling: ceiling });
const sensor = computed(() =>
  props.camera.sensorDiagonalMm === null ? '' : String(props.camera.sensorDiagonalMm),
);
const setSensor = (text: string): readonly Fault[] => {
  if (text.trim() === '') return set({ sensorDiagonalMm: null });
  const mm = readNumber(text);
  return mm > 0 ? set({ sensorDiagonalMm: mm }) : [{ path: '', say: tr('millimetresAcrossTheCornersOr') }];
};
const FOCUS = [
  {
    value: 'adjustable' as const,
    get label() {
      return tr('canBeSet');
    },
  },
  {
    value: 'fixed' as const,
    get label() {
      return tr('fixedLens');
    },
  },
];
const SCHOOLS = PROFILE_SCHOOLS.map((value) => ({ value, label: value }));
type Profile = Camera['profiles'][number];
const setProfile = (i: number, fields: Partial<Profile>): readonly Fault[] => {
  const next = { ...props.camera.profiles[i], ...fields } as Profile;
  if (next.isoCeiling < next.isoBase) return [{ path: '', say: tr('theISOCeilingMustNot') }];
  return set({ profiles: props.camera.profiles.map((p, n) => (n === i ? next : p)) });
};
const addProfile = (): void => {
  set({
    profiles: [
      ...props.camera.profiles,
      {
        school: 'flat',
        name: tr('flat'),
        isoBase: props.camera.isoBase,
        isoCeiling: props.camera.isoCeiling,
      },
    ],
  });
};
const addMode = (): void => {
  const last = props.camera.modes.at(-1);
  if (last)
    set({ modes: [...props.camera.modes, { ...last, id: `m${Date.now()}`, name: `${last.name} 2` }] });
};
</script>

<template>
  <section class="camera">
    <div class="grid">
      <TextField
        help="camera.name"
        :label="tr('cameraUpper')"
        :value="camera.name"
        :save="(v) => set({ name: v })"
      />
      <NumberField
        help="camera.equivalentMm"
        :label="tr('equivalentFocalLength')"
        :value="camera.equivalentMm"
        quantity="millimetres"
        :hint="tr('figure35MmEquivalentFocalLength')"
        :save="(v) => set({ equivalentMm: v })"
      />
      <TextField help="camera.apertures" :label="tr('apertures')" :value="apertures" :save="setApertures" />
      <NumberField
        help="camera.isoBase"
        :label="tr('baseISO')"
        :value="camera.isoBase"
        quantity="count"
        :step="50"
        :save="(v) => setIso(v, camera.isoCeiling)"
      />
      <NumberField
        help="camera.isoCeiling"
        :label="tr('highestISO')"
        :value="camera.isoCeiling"
        quantity="count"
        :step="100"
        :save="(v) => setIso(camera.isoBase, v)"
      />
      <NumberField
        help="camera.rawMB"
        :label="tr('rawStillSize')"
        :value="camera.rawMB"
        quantity="count"
        unit="MB"
        :hint="tr('figure0WhereItKeepsNone')"
        :save="(v) => set({ rawMB: v })"
      />
      <PickField
        help="camera.stillAspect"
        :label="tr('stillAspect')"
        :value="camera.stillAspect"
        :options="STILLS"
        :save="(v) => set({ stillAspect: v })"
      />
      <NumberField
        help="camera.stillMB"
        :label="tr('stillSize')"
        :value="camera.stillMB"
        quantity="count"
        unit="MB"
        :save="(v) => set({ stillMB: v })"
      />
      <TextField
        help="camera.fixedTiltDeg"
        :label="tr('fixedTilt')"
        :value="tilt"
        :hint="tr('degreesItIsScrewedOn')"
        :placeholder="tr('gimbal')"
        :save="setTilt"
      />
      <TextField
        help="camera.sensorDiagonalMm"
        :label="tr('sensorDiagonalMm')"
        :value="sensor"
        :hint="tr('forDepthOfFieldEmpty')"
        :placeholder="tr('unknown')"
        :save="setSensor"
      />
      <PickField
        help="camera.focus"
        :label="tr('focus')"
        :value="camera.focus"
        :options="FOCUS"
        :save="(v) => set({ focus: v })"
      />
      <NumberField
        help="camera.sharpFromF"
        v-if="camera.apertures.length > 1"
        :label="tr('sharpestFromF')"
        :value="camera.sharpFromF"
        quantity="count"
        :step="0.1"
        :save="(v) => set({ sharpFromF: v })"
      />
      <NumberField
        help="camera.sharpToF"
        v-if="camera.apertures.length > 1"
        :label="tr('sharpestToF')"
        :value="camera.sharpToF"
        quantity="count"
        :step="0.1"
        :save="(v) => set({ sharpToF: v })"
      />
      <NumberField
        help="camera.maxZoom"
        :label="tr('digitalZoomTo')"
        :value="camera.maxZoom"
        quantity="factor"
        :save="(v) => set({ maxZoom: v })"
      />
    </div>
    <div v-for="(p, i) in camera.profiles" :key="i" class="grid mode">
      <TextField
        help="profile.name"
        :label="tr('profile')"
        :value="p.name"
        :save="(v) => setProfile(i, { name: v })"
      />
      <PickField
        help="profile.school"
        :label="tr('profileType')"
        :value="p.school"
        :options="SCHOOLS"
        :save="(v) => setProfile(i, { school: v })"
      />
      <NumberField
        help="profile.isoBase"
        :label="tr('baseISOOfTheProfile')"
        :value="p.isoBase"
        quantity="count"
        :step="50"
        :save="(v) => setProfile(i, { isoBase: v })"
      />
      <NumberField
        help="profile.isoCeiling"
        :label="tr('highestISO')"
        :value="p.isoCeiling"
        quantity="count"
        :step="100"
        :save="(v) => setProfile(i, { isoCeiling: v })"
      />
      <ElButton class="btn" @click="set({ profiles: camera.profiles.filter((_, n) => n !== i) })">
        {{ tr('removeProfile') }}
      </ElButton>
    </div>
    <div v-for="(m, i) in camera.modes" :key="m.id" class="grid mode">
      <TextField
        help="mode.name"
        :label="tr('recordingMode')"
        :value="m.name"
        :save="(v) => setMode(i, { name: v })"
      />
      <NumberField
        help="mode.widthPx"
        :label="tr('width')"
        :value="m.widthPx"
        quantity="pixels"
        :step="16"
        :save="(v) => setMode(i, { widthPx: v })"
      />
      <NumberField
        help="mode.heightPx"
        :label="tr('height')"
        :value="m.heightPx"
        quantity="pixels"
        :step="16"
        :save="(v) => setMode(i, { heightPx: v })"
      />
      <NumberField
        help="mode.fps"
        :label="tr('rate')"
        :value="m.fps"
        quantity="count"
        unit="fps"
        :save="(v) => setMode(i, { fps: v })"
      />
      <NumberField
        help="mode.megabitsPerS"
        :label="tr('bitRate')"
        :value="m.megabitsPerS"
        quantity="megabits"
        :step="10"
        :save="(v) => setMode(i, { megabitsPerS: v })"
      />
      <TextField
        help="mode.codec"
        :label="tr('codec')"
        :value="m.codec"
        :save="(v) => setMode(i, { codec: v })"
      />
      <NumberField
        help="mode.maxZoom"
        :label="tr('zoomLimit0AsCamera')"
        :value="m.maxZoom"
        quantity="factor"
        :step="0.5"
        :save="(v) => setMode(i, { maxZoom: v })"
      />
      <NumberField
        help="mode.losslessZoom"
        :label="tr('losslessZoomTo')"
        :value="m.losslessZoom"
        quantity="factor"
        :step="0.1"
        :save="(v) => setMode(i, { losslessZoom: v })"
      />
      <ElButton
        class="btn"
        :disabled="camera.modes.length === 1"
        @click="set({ modes: camera.modes.filter((_, n) => n !== i) })"
      >
        {{ tr('removeMode') }}
      </ElButton>
    </div>
    <p>
      <ElButton class="btn" @click="addMode">{{ tr('addAMode') }}</ElButton>
      <ElButton class="btn" @click="addProfile">{{ tr('addAProfile') }}</ElButton>
      <ElButton class="btn" :disabled="only" @click="$emit('remove')">{{ tr('removeCamera') }}</ElButton>
    </p>
  </section>
</template>

<style scoped>
.camera {
  border-top: 1px solid var(--line);
  padding-top: 9px;
  display: grid;
  gap: 7px;
}
.grid {
  display: grid;
  grid-template-columns: 1.4fr repeat(5, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
}
.mode {
  padding-left: 18px;
  border-left: 3px solid var(--slab-3);
}
@media (max-width: 900px) {
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
