<script setup lang="ts">
import type { DerivedFilm, DerivedShot } from '@core/film';
import type { LocationLight } from '@core/shot';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { moonAt, moonPhase } from '@core/light';
import { computed } from 'vue';
import { choices, LAMP_WORDS, phrase, SKY_WORDS } from '../../format';
import { roundTimes } from '../../format/ticks';
import Fig from '../../parts/Fig.vue';
import InTurn from '../../parts/InTurn.vue';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useLight } from '../../stores/light';
import LightRibbon from '../shots/LightRibbon.vue';
import WarningList from '../../parts/WarningList.vue';
import DateRows from './DateRows.vue';
import EvCurve from './EvCurve.vue';
import LightLanes from './LightLanes.vue';
import ReadingRows from './ReadingRows.vue';
import { tr } from './messages';

const props = defineProps<{
  place: LocationPlan;
  derived: DerivedFilm;
  shots: readonly DerivedShot[];
  lit: LocationLight;
}>();
const film = useFilm();
const light = useLight();
const findings = useFindings();
const set = (fields: Parameters<typeof film.edit<'location'>>[2]) =>
  film.edit('location', props.place.location.id, fields, tr('lightOfTheLocation'));
const lastMs = computed(() => Math.max(props.place.windowToMs, ...props.place.flights.map((f) => f.endMs)));
const span = computed(() => {
  const margin = Math.max(10 * 60_000, (lastMs.value - props.place.windowFromMs) * 0.06);
  return roundTimes(props.place.windowFromMs - margin, lastMs.value + margin);
});
const clock = (ms: number | null): string =>
  ms === null ? tr('none') : clockText(ms, props.place.location.zone);
const moon = computed(() => {
  const middle = (props.place.windowFromMs + lastMs.value) / 2;
  return {
    ...moonPhase(middle),
    ...moonAt(middle, props.place.location.latitude, props.place.location.longitude),
  };
});
const events = computed(() => {
  const {
    lit: { day },
  } = props;
  return [
    [tr('civilDawn'), day.civilDawnMs],
    [tr('sunrise'), day.sunriseMs],
    [tr('goldenUntil'), day.goldenMorningEndMs],
    [tr('goldenFrom'), day.goldenEveningStartMs],
    [tr('sunset'), day.sunsetMs],
    ...(props.place.location.lamps === 'none' ? [] : [[tr('lampsOn'), day.lampsOnMs] as const]),
    [tr('civilDusk'), day.civilDuskMs],
  ] as const;
});
const warnings = computed(() =>
  (findings.places.get(props.place.location.id) ?? []).filter((w) => w.code.startsWith('light.')),
);
</script>

<template>
  <div class="day">
    <LightRibbon :place="place" :derived="derived" />
    <ul class="events">
      <li v-for="[name, ms] in events" :key="name">
        <span class="label">{{ name }}</span> {{ clock(ms) }}
      </li>
      <li v-if="place.light?.whiteNight">{{ tr('whiteNightTheSkyKeeps') }}</li>
      <li v-if="place.light?.neverUp">{{ tr('polarNightTheSunStays') }}</li>
      <li>
        <span class="label">{{ tr('moon') }}</span> {{ phrase(moon.name) }},
        <Fig :value="moon.lit * 100" quantity="percent" /> {{ tr('lit') }}
        <template v-if="moon.altitudeDeg > 0"
          ><Fig :value="moon.altitudeDeg" quantity="degrees" /> {{ tr('high') }}</template
        ><template v-else>{{ tr('down') }}</template>
      </li>
    </ul>
    <div class="two">
      <section :aria-label="tr('sceneLightOverTheWindow')" class="curve">
        <h2>{{ tr('sceneLight') }}</h2>
        <InTurn
          ><EvCurve :place="place" :lit="lit" :from-ms="span.fromMs" :to-ms="span.toMs" :height="210"
        /></InTurn>
      </section>
      <aside class="side">
        <div class="pair">
          <PickField
            :label="tr('sky')"
            :value="place.location.sky"
            :options="choices(SKY_WORDS)"
            :save="(v) => set({ sky: v })"
          /><PickField
            :label="tr('lamps')"
            :value="place.location.lamps"
            :options="choices(LAMP_WORDS)"
            :save="(v) => set({ lamps: v })"
          />
        </div>
        <InTurn><ReadingRows class="no-print" :key="place.location.id" :place="place" :lit="lit" /></InTurn>
      </aside>
    </div>
    <WarningList :warnings="warnings" />
    <InTurn
      ><LightLanes
        :place="place"
        :shots="shots"
        :windows="light.windows"
        :from-ms="span.fromMs"
        :to-ms="span.toMs"
    /></InTurn>
    <InTurn><DateRows :place="place" :count="shots.length" /></InTurn>
  </div>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  min-width: 0;
}
.events {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 18px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 20px;
}
.curve {
  min-width: 0;
  /* Its place is there before it is drawn. */
  min-height: 236px;
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
