<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed, ref } from 'vue';
import { newCamera } from '@core/model';
import { airframeFaults, dragNote, powerModel, usualDragArea } from '@core/energy';
import { useMessages } from '../../composables/useMessages';
import { SEA_LEVEL_DENSITY } from '@core/air';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import TypicalNote from './TypicalNote.vue';
import CameraForm from './CameraForm.vue';
import AbilityRows from './AbilityRows.vue';
import PaperRows from './PaperRows.vue';
import { useFilm } from '../../stores/film';
import { useKit } from './useKit';
import { tr } from './messages';

const { all, set, add, copy, retire } = useKit('aircraft');
const pickedId = ref('');
const picked = computed(() => all.value.find((a) => a.id === pickedId.value) ?? all.value[0] ?? null);
const model = computed(() => (picked.value ? powerModel(picked.value, SEA_LEVEL_DENSITY) : null));
const { text } = useMessages();
const impossible = computed(() => (picked.value ? airframeFaults(picked.value) : []));
const drag = computed(() => (picked.value ? dragNote(picked.value) : null));
/** A drag area to a tenth of a thousandth of a square metre: more nobody knows. */
const weigh = (): void => {
  if (picked.value)
    set(picked.value.id, { dragAreaM2: Math.round(usualDragArea(picked.value.massKg) * 1e4) / 1e4 });
};
const BASIS = {
  get 'rated-cruise'() {
    return tr('fromItsRatedCruise');
  },
  get 'drag-area'() {
    return tr('fromItsDragArea');
  },
  get both() {
    return tr('fromItsCruiseAndDragArea');
  },
  get unknown() {
    return tr('cruiseFiguresUnknownFastLegs');
  },
} as const;
const film = useFilm();
/** The first aircraft of a kit is taken by the shots that wait for one. */
const fresh = (): void => {
  const first = all.value.filter((a) => !a.retired).length === 0;
  const camera = newCamera('main', tr('main'));
  pickedId.value = add({ name: tr('aircraftAll', { all: all.value.length + 1 }), cameras: [camera] });
  if (!first) return;
  const waiting = film.list('shot').filter((s) => s.aircraftId === null);
  if (waiting.length === 0) return;
  film.commit(
    tr('firstAircraft'),
    waiting.map((s) => ({
      kind: 'shot',
      id: s.id,
      after: { ...s, aircraftId: pickedId.value, cameraId: camera.id, modeId: camera.modes[0]?.id ?? '' },
    })),
  );
};
const setCamera = (index: number, camera: NonNullable<typeof picked.value>['cameras'][number]) =>
  picked.value
    ? set(picked.value.id, { cameras: picked.value.cameras.map((c, i) => (i === index ? camera : c)) })
    : [];
const addCamera = (): void => {
  if (!picked.value) return;
  set(picked.value.id, {
    cameras: [...picked.value.cameras, { ...newCamera(`c${Date.now()}`, tr('second')), equivalentMm: 70 }],
  });
};
const removeCamera = (index: number): void => {
  if (picked.value && picked.value.cameras.length > 1)
    set(picked.value.id, { cameras: picked.value.cameras.filter((_, i) => i !== index) });
};
</script>

<template>
  <section class="craft">
    <nav :aria-label="tr('aircraft')">
      <ElButton class="btn lead" @click="fresh">{{ tr('newAircraft') }}</ElButton>
      <button
        v-for="a in all"
        :key="a.id"
        class="item"
        :class="{ on: a.id === picked?.id, retired: a.retired }"
        :aria-current="a.id === picked?.id"
        @click="pickedId = a.id"
      >
        <b>{{ a.name }}</b><span class="quiet"
          >{{ a.cameras.length }} {{ a.cameras.length === 1 ? tr('camera') : tr('cameras')
          }}{{ a.retired ? tr('retired') : '' }}</span
        >
      </button>
      <p v-if="all.length === 0" class="quiet">
        {{ tr('noAircraftYetItsRated') }}
      </p>
    </nav>
    <div v-if="picked" :key="picked.id" class="form">
      <div class="half">
        <div class="grid">
          <TypicalNote class="wide" kind="aircraft" :thing="picked" />
          <TextField
            help="aircraft.name"
            :label="tr('name')"
            :value="picked.name"
            :save="(v) => set(picked!.id, { name: v })"
          />
          <NumberField
            help="aircraft.massKg"
            :label="tr('mass')"
            :value="picked.massKg"
            :scale="1000"
            quantity="count"
            unit="g"
            :step="10"
            :save="(v) => set(picked!.id, { massKg: v })"
          />
          <NumberField
            help="aircraft.rotors"
            :label="tr('rotors')"
            :value="picked.rotors"
            quantity="count"
            :save="(v) => set(picked!.id, { rotors: v })"
          />
          <NumberField
            help="aircraft.rotorDiameterM"
            :label="tr('rotorDiameter')"
            :value="picked.rotorDiameterM"
            :scale="1000"
            quantity="millimetres"
            :save="(v) => set(picked!.id, { rotorDiameterM: v })"
          />
          <NumberField
            help="aircraft.packWh"
            :label="tr('energyOfTheRatedPack')"
            :value="picked.packWh"
            quantity="wattHours"
            :hint="tr('ofThePackTheRated')"
            :save="(v) => set(picked!.id, { packWh: v })"
          />
          <NumberField
            help="aircraft.hoverMinutes"
            :label="tr('ratedHoverTime')"
            :value="picked.hoverMinutes"
            :warn="impossible.filter((f) => f.field === 'hoverMinutes').map((f) => text(f.say))"
            quantity="minutes"
            :save="(v) => set(picked!.id, { hoverMinutes: v })"
          />
          <NumberField
            help="aircraft.cruiseMinutes"
            :label="tr('ratedCruiseTime')"
            :value="picked.cruiseMinutes"
            quantity="minutes"
            :save="(v) => set(picked!.id, { cruiseMinutes: v })"
          />
          <NumberField
            help="aircraft.cruiseSpeedMs"
            :label="tr('cruiseSpeed')"
            :value="picked.cruiseSpeedMs"
            quantity="speed"
            :save="(v) => set(picked!.id, { cruiseSpeedMs: v })"
          />
          <NumberField
            help="aircraft.maxSpeedMs"
            :label="tr('topSpeed')"
            :value="picked.maxSpeedMs"
            :warn="impossible.filter((f) => f.field === 'maxSpeedMs').map((f) => text(f.say))"
            quantity="speed"
            :save="(v) => set(picked!.id, { maxSpeedMs: v })"
          />
          <NumberField
            help="aircraft.windLimitMs"
            :label="tr('windLimit')"
            :value="picked.windLimitMs"
            quantity="speed"
            :save="(v) => set(picked!.id, { windLimitMs: v })"
          />
          <NumberField
            help="aircraft.maxClimbMs"
            :label="tr('climbSpeed')"
            :value="picked.maxClimbMs"
            quantity="speed"
            :save="(v) => set(picked!.id, { maxClimbMs: v })"
          />
          <NumberField
            help="aircraft.maxDescentMs"
            :label="tr('descentSpeed')"
            :value="picked.maxDescentMs"
            quantity="speed"
            :save="(v) => set(picked!.id, { maxDescentMs: v })"
          />
          <NumberField
            help="aircraft.maxYawDegS"
            :label="tr('yawRate')"
            :value="picked.maxYawDegS"
            quantity="degreesPerSecond"
            :step="5"
            :save="(v) => set(picked!.id, { maxYawDegS: v })"
          />
          <NumberField
            help="aircraft.maxTiltDegS"
            :label="tr('gimbalTiltRate')"
            :value="picked.maxTiltDegS"
            quantity="degreesPerSecond"
            :step="5"
            :save="(v) => set(picked!.id, { maxTiltDegS: v })"
          />
          <NumberField
            help="aircraft.spanM"
            :label="tr('overallWidth')"
            :value="picked.spanM"
            :scale="1000"
            quantity="millimetres"
            :step="10"
            :hint="tr('largestWidthWithPropellersTurning')"
            :save="(v) => set(picked!.id, { spanM: v })"
          />
          <NumberField
            help="aircraft.heightM"
            :label="tr('height')"
            :value="picked.heightM"
            :scale="1000"
            quantity="millimetres"
            :step="10"
            :save="(v) => set(picked!.id, { heightM: v })"
          />
          <NumberField
            help="aircraft.dragAreaM2"
            :label="tr('dragArea')"
            :value="picked.dragAreaM2"
            quantity="area"
            :step="0.001"
            :hint="tr('whereTheRatedCruiseSays')"
            :save="(v) => set(picked!.id, { dragAreaM2: v })"
          />
        </div>
        <p class="quiet">
          {{ tr('hoversOn') }} <b><Fig :value="model?.hoverW ?? NaN" quantity="watts" /></b>
          {{ tr('atSeaLevelDragBASIS', { BASIS: BASIS[model?.basis ?? 'unknown'] }) }}
          <ElButton class="btn" @click="copy(picked)">{{ tr('copy') }}</ElButton>
          <ElButton class="btn" @click="retire(picked)">
            {{ picked.retired ? tr('useAgain') : tr('retire') }}
          </ElButton>
        </p>
        <p v-if="drag" class="quiet note" data-drag>
          {{ text(drag) }}
          <ElButton v-if="picked.dragAreaM2 === 0" class="btn" @click="weigh">{{
            tr('weighWithTheUsual')
          }}</ElButton>
        </p>
        <PaperRows :craft="picked" :save="(fields) => set(picked!.id, fields)" />
      </div>
      <div class="half">
        <AbilityRows :craft="picked" :save="(fields) => set(picked!.id, fields)" />
        <CameraForm
          v-for="(c, i) in picked.cameras"
          :key="c.id"
          :camera="c"
          :only="picked.cameras.length === 1"
          :save="(v) => setCamera(i, v)"
          @remove="removeCamera(i)"
        />
        <ElButton class="btn more" @click="addCamera">{{ tr('addACamera') }}</ElButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.craft {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
  gap: 22px;
  align-items: start;
}
nav {
  display: grid;
  gap: 4px;
}
.item {
  text-align: left;
  display: grid;
  border: 0;
  background: var(--slab-2);
  padding: 7px 10px;
  cursor: pointer;
  clip-path: polygon(0 0, calc(100% - var(--cut)) 0, 100% var(--cut), 100% 100%, 0 100%);
}
.item.on {
  background: var(--pick-dim);
}
.item.on .quiet {
  color: var(--chalk);
}
.item span {
  font-size: 12px;
}
.item.retired b {
  font-weight: 400;
  font-style: italic;
}
.form {
  display: grid;
  gap: 12px;
  max-width: 980px;
}
.half {
  display: grid;
  gap: 12px;
  align-content: start;
}
.craft > *,
.form > *,
.half > * {
  min-width: 0;
}
@media (min-width: 1500px) {
  .form {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    column-gap: 36px;
    max-width: none;
  }
}
.more {
  justify-self: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px 12px;
}
@media (max-width: 900px) {
  .craft {
    grid-template-columns: minmax(0, 1fr);
  }
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
