<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Entity } from '@core/model';
import { launchOf } from '@core/location';
import { clockText } from '@core/time';
import { computed, ref } from 'vue';
import { choices, LAMP_WORDS, LOSS_WORDS, SKY_WORDS } from '../../format';
import CoordinatesField from '../../parts/CoordinatesField.vue';
import InTurn from '../../parts/InTurn.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import PlanSketch from '../../parts/PlanSketch.vue';
import TextField from '../../parts/TextField.vue';
import TimeField from '../../parts/TimeField.vue';
import DateField from '../../parts/DateField.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Fault } from '../../sync/validation';
import WarningList from '../../parts/WarningList.vue';
import DayRows from './DayRows.vue';
import SubjectRows from './SubjectRows.vue';
import WeatherHours from './WeatherHours.vue';
import { readCoordinates, writeCoordinates } from '../../coordinates';
import { tr } from './messages';

const props = defineProps<{ place: Entity<'location'> }>();
defineEmits<{ remove: [] }>();
const store = useFilm();
const selection = useSelection();
const findings = useFindings();
const derivedFilm = useDerivedFilm();
const set = (fields: Partial<Entity<'location'>>) =>
  store.edit('location', props.place.id, fields, tr('place'));

const coordinates = computed(() => (props.place.placed ? writeCoordinates(props.place) : ''));
const placesKnown = computed(() => store.list('location').filter((l) => l.placed));
const suggested = ref('');
/** Coordinates bring a zone with them; it can be changed afterwards. */
const setCoordinates = (text: string): readonly Fault[] => {
  if (text === coordinates.value) return [];
  const read = readCoordinates(text);
  if (!read.ok) return [{ path: '/latitude', say: read.reason }];
  const faults = set({ ...read.value, placed: true });
  void import('tz-lookup').then(({ default: zoneAt }) => {
    suggested.value = zoneAt(read.value.latitude, read.value.longitude);
    if (suggested.value !== props.place.zone) set({ zone: suggested.value });
  });
  return faults;
};
const launches = computed(() => [
  { value: null as string | null, label: tr('origin') },
  ...store
    .list('feature')
    .filter((f) => f.locationId === props.place.id && f.kind === 'launch')
    .map((f) => ({ value: f.id as string | null, label: f.name || tr('launchPoint') })),
]);
const launch = computed(
  () => launchOf(store.list('feature'), store.terrain.get(props.place.id), props.place, null).at,
);
const subjects = computed(() => store.list('subject').filter((s) => s.locationId === props.place.id));
const facts = computed(() => derivedFilm.derived?.places.get(props.place.id) ?? null);
const shots = computed(() =>
  [...(derivedFilm.derived?.shots.values() ?? [])].filter((s) => s.facts.location.id === props.place.id),
);
const warnings = computed(() => [
  ...(derivedFilm.derived?.locationWarnings.get(props.place.id) ?? []),
  ...(findings.places.get(props.place.id) ?? []).filter((w) => w.code.startsWith('light.')),
]);
const events = computed(() => {
  const light = facts.value?.light;
  if (!light) return [];
  const { zone } = props.place;
  const named = [
    [tr('civilDawn'), light.civilDawnMs],
    [tr('sunrise'), light.sunriseMs],
    [tr('goldenUntil'), light.goldenMorningEndMs],
    [tr('goldenFrom'), light.goldenEveningStartMs],
    [tr('sunset'), light.sunsetMs],
    [tr('blueFrom'), light.blueEveningStartMs],
    [tr('civilDusk'), light.civilDuskMs],
  ] as const;
  return named.map(([name, ms]) => ({ name, text: ms === null ? tr('noneLower') : clockText(ms, zone) }));
});
</script>

<template>
  <main class="form scroll" tabindex="-1">
    <section class="sheet">
      <header>
        <h1 dir="auto">{{ place.name }}</h1>
        <ElButton class="btn" @click="$emit('remove')">{{ tr('deleteLocation') }}</ElButton>
      </header>
      <InTurn
        ><div class="grid">
          <TextField :label="tr('name')" :value="place.name" :save="(v) => set({ name: v })" />
          <CoordinatesField
            :label="tr('coordinatesOfTheLaunchPoint')"
            :value="coordinates"
            :save="setCoordinates"
            :placeholder="'43.18, -4.83'"
            :hint="tr('decimalOrDegreesMinutesSeconds')"
            :at="place.placed ? place : null"
            :known="placesKnown"
            :units="store.film?.units ?? 'metric'"
          />
          <TextField
            :label="tr('timeZone')"
            :value="place.zone"
            :save="(v) => set({ zone: v.trim() })"
            :hint="
              suggested ? tr('suggestedFromTheCoordinatesSuggested', { suggested }) : tr('anIANAZoneSuchAs')
            "
          />
          <NumberField
            :label="tr('elevation')"
            :value="place.elevationM"
            quantity="metres"
            :save="(v) => set({ elevationM: v })"
          />
          <DateField :label="tr('date')" :value="place.date" :save="(v) => set({ date: v })" />
          <TimeField
            :label="tr('windowFrom')"
            :value="place.windowStart"
            :save="(v) => set({ windowStart: v })"
          />
          <TimeField :label="tr('windowTo')" :value="place.windowEnd" :save="(v) => set({ windowEnd: v })" />
          <PickField
            :label="tr('mainsFrequency')"
            :value="place.mainsHz"
            :options="[
              { value: 50, label: tr('figure50Hz') },
              { value: 60, label: tr('figure60Hz') },
            ]"
            :save="(v) => set({ mainsHz: v })"
          />
        </div>
        <ul class="events">
          <li v-for="e in events" :key="e.name">
            <span class="label">{{ e.name }}</span> {{ e.text }}
          </li>
        </ul></InTurn
      >
    </section>
    <section class="sheet two">
      <div>
        <h2>{{ tr('airAndLight') }}</h2>
        <div class="grid">
          <InTurn
            ><NumberField
              :label="tr('windAt10M')"
              :value="place.windMs"
              quantity="speed"
              :step="0.5"
              :save="(v) => set({ windMs: v })" />
            <NumberField
              :label="tr('gusts')"
              :value="place.gustMs"
              quantity="speed"
              :step="0.5"
              :save="(v) => set({ gustMs: v })" />
            <NumberField
              :label="tr('windFrom')"
              :value="place.windFromDeg"
              quantity="degrees"
              :step="5"
              :save="(v) => set({ windFromDeg: v })" />
            <PickField
              :label="tr('terrain')"
              :value="place.terrain"
              :options="[
                { value: 'open', label: tr('open') },
                { value: 'rough', label: tr('rough') },
              ]"
              :save="(v) => set({ terrain: v })" />
            <NumberField
              :label="tr('temperature')"
              :value="place.temperatureC"
              quantity="celsius"
              :save="(v) => set({ temperatureC: v })" />
            <NumberField
              :label="tr('visibility')"
              :value="place.visibilityM"
              quantity="metres"
              :step="500"
              :save="(v) => set({ visibilityM: v })"
          /></InTurn>
          <InTurn>
            <PickField
              :label="tr('sky')"
              :value="place.sky"
              :options="choices(SKY_WORDS)"
              :save="(v) => set({ sky: v })" />
            <PickField
              :label="tr('lamps')"
              :value="place.lamps"
              :options="choices(LAMP_WORDS)"
              :save="(v) => set({ lamps: v })" />
            <NumberField
              :label="tr('returnToHomeHeight')"
              :value="place.returnHeightM"
              quantity="metres"
              :hint="tr('tallestThingOnTheWay')"
              :save="(v) => set({ returnHeightM: v })" />
            <NumberField
              :label="tr('heightCeiling')"
              :value="place.ceilingM"
              quantity="metres"
              :hint="tr('aboveTheGroundBelowCheck')"
              :save="(v) => set({ ceilingM: v })" />
            <PickField
              :label="tr('lostLinkAction')"
              :value="place.lossAction"
              :options="choices(LOSS_WORDS)"
              :hint="tr('whatTheAircraftIsSet')"
              :save="(v) => set({ lossAction: v })" />
            <PickField
              :label="tr('launchPoint')"
              :value="place.launchId"
              :options="launches"
              :save="(v) => set({ launchId: v })"
          /></InTurn>
        </div>
        <InTurn
          ><DayRows :place="place" />
          <TextField
            :label="tr('wayIn')"
            :value="place.wayIn"
            :lines="2"
            :hint="tr('howOneGetsThere')"
            :save="(v) => set({ wayIn: v })"
          />
          <TextField :label="tr('notes')" :value="place.notes" :lines="3" :save="(v) => set({ notes: v })" />
          <WarningList :warnings="warnings" />
          <p class="quiet">
            {{ tr('theCeilingAndTheReturn') }}
          </p></InTurn
        >
      </div>
      <figure>
        <InTurn>
          <PlanSketch
            :subjects="subjects"
            :shots="shots"
            :picked="selection.shotId"
            :width="440"
            :height="340"
            :wind-from-deg="place.windFromDeg"
            :launch="launch"
            @pick="selection.pick"
          />
          <figcaption class="label">{{ tr('fromAboveToScaleNorth') }}</figcaption></InTurn
        >
      </figure>
    </section>
    <InTurn
      ><section class="sheet">
        <WeatherHours :place="place" /></section
    ></InTurn>
    <InTurn><SubjectRows :place="place" :subjects="subjects" /></InTurn>
  </main>
</template>

<style scoped>
.form {
  background: var(--bench);
  display: grid;
  gap: 1px;
  align-content: start;
}
.sheet {
  background: var(--slab);
  padding: 12px 20px 14px;
  display: grid;
  gap: 9px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
}
header h1 {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
}
.events {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
}
.two {
  grid-template-columns: minmax(0, 1fr) 440px;
  gap: 18px;
  align-items: start;
}
.two > div {
  display: grid;
  gap: 9px;
  align-content: start;
}
figure {
  margin: 0;
}
@media (max-width: 1099px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
@media (max-width: 700px) {
  /* Coordinates and the button beside them take a line of their own. */
  .grid > .where {
    grid-column: 1 / -1;
  }
}
</style>
