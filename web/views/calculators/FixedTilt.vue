<script setup lang="ts">
import { airDensity, levelSpeed, suggestedTilt, TILT_CLASSES, type TiltClass } from '@core/air';
import { fieldOfView, heightShared } from '@core/lens';
import type { Aircraft } from '@core/model';
import { computed, reactive } from 'vue';
import { fixed } from '../../format';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** Where to set a camera that is screwed on, the speed that belongs to it, and what a second one beside it no longer sees. */
const store = useFilm();
const selection = useSelection();
const by = reactive({
  of: 'guarded' as TiltClass,
  outdoors: true,
  beginner: false,
  aircraftId: '',
  tiltDeg: 15,
  secondTiltDeg: 25,
  secondMm: 16,
});
const classes = TILT_CLASSES.map((value) => ({
  value,
  get label() {
    return tr(`tilt.${value}`);
  },
}));
const range = computed(() => suggestedTilt(by.of, by));
const aircraft = computed(() => store.list('aircraft').filter((a) => !a.retired));
/** Those whose camera is screwed on are meant first. */
const isFixed = (a: Aircraft): boolean => a.cameras.some((c) => c.fixedTiltDeg !== null);
const craft = computed(
  () =>
    aircraft.value.find((a) => a.id === by.aircraftId) ??
    aircraft.value.find(isFixed) ??
    aircraft.value[0] ??
    null,
);
const density = computed(() => {
  const place = selection.place?.location;
  return airDensity(place?.elevationM ?? 0, place?.temperatureC ?? 15);
});
const speedAt = (deg: number): number =>
  craft.value && craft.value.dragAreaM2 && deg >= 0
    ? levelSpeed(craft.value.massKg, craft.value.dragAreaM2, deg, density.value)
    : NaN;
const speeds = computed(() =>
  [...new Set([range.value.fromDeg, by.tiltDeg, range.value.toDeg].filter((d) => d > 0))].sort(
    (a, b) => a - b,
  ),
);
/** Share of the second picture the first one sees; both as wide as they record. */
const shared = computed(() => {
  const camera = craft.value?.cameras[0];
  const mode = camera?.modes[0];
  if (!camera || !mode) return NaN;
  const first = fieldOfView(camera.equivalentMm, [mode.widthPx, mode.heightPx]).verticalDeg;
  const second = fieldOfView(by.secondMm, [16, 9]).verticalDeg;
  return heightShared(first, second, by.tiltDeg - by.secondTiltDeg);
});
const set =
  (key: 'tiltDeg' | 'secondTiltDeg' | 'secondMm', least: number, most: number) => (value: number) => {
    if (!(value >= least && value <= most))
      return [{ path: '', say: tr('betweenLeastAndMost', { least, most }) }];
    by[key] = value;
    return [];
  };
</script>

<template>
  <section class="sheet" aria-labelledby="tilt-title">
    <h2 id="tilt-title">{{ tr('fixedTilt') }}</h2>
    <div class="pair">
      <PickField :label="tr('builtFor')" :value="by.of" :options="classes" :save="(v) => void (by.of = v)" />
      <PickField
        :label="tr('aircraft')"
        :value="craft?.id ?? ''"
        :options="aircraft.map((a) => ({ value: a.id, label: a.name }))"
        :save="(v) => void (by.aircraftId = v)"
      />
      <SwitchField
        :label="tr('outdoors')"
        :value="by.outdoors"
        :save="(v: boolean) => void (by.outdoors = v)"
      />
      <SwitchField
        :label="tr('beginnerPilot')"
        :value="by.beginner"
        :save="(v: boolean) => void (by.beginner = v)"
      />
    </div>
    <p class="big" data-tilt>{{ tr('tiltRange', { from: range.fromDeg, to: range.toDeg }) }}</p>
    <p class="faint">{{ tr('whereToBegin') }}</p>
    <ul v-if="craft && craft.dragAreaM2" class="speeds">
      <li v-for="deg in speeds" :key="deg">
        {{ tr('tiltKeepsHorizonAt', { deg: fixed(deg, 0) }) }} <Fig :value="speedAt(deg)" quantity="speed" />
      </li>
    </ul>
    <p v-else class="quiet">{{ tr('noDragArea') }}</p>
    <h3>{{ tr('secondCamera') }}</h3>
    <div class="three">
      <NumberField
        :label="tr('tiltOfTheFirst')"
        :value="by.tiltDeg"
        quantity="degrees"
        :save="set('tiltDeg', -30, 80)"
      />
      <NumberField
        :label="tr('tiltOfTheSecond')"
        :value="by.secondTiltDeg"
        quantity="degrees"
        :save="set('secondTiltDeg', -30, 80)"
      />
      <NumberField
        :label="tr('lensOfTheSecond')"
        :value="by.secondMm"
        quantity="count"
        unit="mm"
        :save="set('secondMm', 4, 200)"
      />
    </div>
    <p v-if="Number.isFinite(shared)" data-shared>
      {{
        shared > 0.995
          ? tr('secondSeesNothingElse')
          : tr('secondSeesElse', {
              percent: Math.round(100 * (1 - shared)),
              side: by.secondTiltDeg > by.tiltDeg ? 'up' : 'down',
            })
      }}
    </p>
  </section>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}
.speeds {
  display: grid;
  gap: 2px;
}
h3 {
  font-size: 15px;
  margin: 6px 0 0;
}
</style>
