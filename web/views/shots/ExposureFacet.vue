<script setup lang="ts">
import { SKY_LUMINANCE_SPREAD } from '@core/light';
import { BARE_LENS } from '@core/model';
import type { DerivedShot } from '@core/film';
import { isoSteps, reasonsFor, runnerUpOf, SHUTTERS, shortfallOf, whyFor } from '@core/exposure';
import { clockText } from '@core/time';
import { kelvinFor } from '@core/light';
import { computed, defineAsyncComponent, ref } from 'vue';
import { v4 as uuid } from 'uuid';
import {
  apertureText,
  choices,
  LAMP_WORDS,
  LIT_WORDS,
  MARK_WORDS,
  PROFILE_WORDS,
  readNumber,
  shutterText,
  SKY_WORDS,
  SURFACE_WORDS,
} from '../../format';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { ElInput } from '../../parts/element';
import { useFilm } from '../../stores/film';
import type { Fault } from '../../sync/validation';
import { useStored } from './useStored';

const TimeField = defineAsyncComponent(() => import('../../parts/TimeField.vue'));
const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const stored = useStored(() => props.shot);
const light = computed(() => props.shot.light);
const answer = computed(() => (light.value?.exposure.ok ? light.value.exposure.value : null));
const set = (fields: Partial<typeof stored.value.exposure>) =>
  film.edit('shot', stored.value.id, { exposure: { ...stored.value.exposure, ...fields } }, 'exposure');
const filterName = (id: string | null): string =>
  id === null ? 'no filter' : (film.list('filter').find((f) => f.id === id)?.name ?? 'a filter that is gone');

const auto = (word: string) => ({ value: null, label: `worked out: ${word}` });
const camera = computed(() => props.shot.facts.camera);
const apertures = computed(() => [
  auto(answer.value ? apertureText(answer.value.choice.aperture) : '–'),
  ...(camera.value?.apertures ?? []).map((n) => ({ value: n as number | null, label: apertureText(n) })),
]);
const shutters = computed(() => [
  auto(answer.value ? shutterText(answer.value.choice.shutterS) : '–'),
  ...SHUTTERS.filter((t) => t * (props.shot.facts.mode?.fps ?? 25) <= 1.0001).map((t) => ({
    value: t as number | null,
    label: shutterText(t),
  })),
]);
const isos = computed(() => [
  auto(answer.value ? `ISO ${answer.value.choice.iso}` : '–'),
  ...isoSteps(camera.value?.isoBase ?? 100, camera.value?.isoCeiling ?? 100).map((n) => ({
    value: n as number | null,
    label: `ISO ${n}`,
  })),
]);
const filters = computed(() => [
  auto(answer.value ? filterName(answer.value.choice.filterId) : '–'),
  { value: BARE_LENS as string | null, label: 'no filter' },
  ...film
    .list('filter')
    .filter((f) => !f.retired)
    .map((f) => ({
      value: f.id as string | null,
      label: f.name,
      note: `${Math.log2(f.factor).toFixed(1)} stops`,
    })),
]);

const readings = computed(() =>
  film
    .list('reading')
    .filter((r) => r.locationId === stored.value.locationId)
    .toSorted((a, b) => a.utcMs - b.utcMs),
);
const reading = ref('');
const faults = ref<readonly Fault[]>([]);
const addReading = (): void => {
  const ev100 = readNumber(reading.value);
  if (Number.isNaN(ev100)) {
    faults.value = [{ path: '', say: 'A meter reading is a number of EV, such as 12.3.' }];
    return;
  }
  faults.value = film.create(
    'reading',
    { id: uuid(), locationId: stored.value.locationId, utcMs: light.value?.atMs ?? 0, ev100, of: null },
    'meter reading',
  );
  if (faults.value.length === 0) reading.value = '';
};
const place = computed(() => props.shot.facts.location);
const setPlace = (fields: Parameters<typeof film.edit<'location'>>[2]) =>
  film.edit('location', place.value.id, fields, 'light of the location');
const profiles = computed(() => [
  { value: null, label: 'as the film has it' } as { value: typeof stored.value.profile; label: string },
  ...choices(PROFILE_WORDS),
]);
/** A shutter angle means something for video only. */
const byAngle = computed(() => !answer.value?.task.aim || answer.value.task.aim.by === 'angle');
const kelvin = computed(() =>
  kelvinFor(light.value?.sun.altitudeDeg ?? 40, place.value.sky, place.value.lamps),
);
const optional = (
  text: string,
  least: number,
  most: number,
  say: string,
  save: (v: number | null) => readonly Fault[],
): readonly Fault[] => {
  if (text.trim() === '') return save(null);
  const n = readNumber(text);
  return n >= least && n <= most ? save(n) : [{ path: '', say }];
};
const setKelvin = (text: string) =>
  optional(text, 1000, 20_000, 'Kelvin between 1000 and 20000, or empty.', (kelvinNow) =>
    film.edit('shot', stored.value.id, { kelvin: kelvinNow }, 'white balance'),
  );
const setFocus = (text: string) =>
  optional(text, 0.1, 10_000, 'Metres, or empty for far.', (focusM) =>
    film.edit('shot', stored.value.id, { focusM }, 'focus'),
  );
const runnerUp = computed(() => answer.value && runnerUpOf(answer.value));
/** How the light falls over the whole move, in words. */
const sides = computed(() => {
  const shares = light.value?.along.shares;
  if (!shares) return '';
  return (['front', 'side', 'back'] as const)
    .filter((s) => shares[s] > 0.05)
    .map((s) => (shares[s] > 0.95 ? `${s} light` : `${s} light ${Math.round(shares[s] * 100)} %`))
    .join(', ');
});
/** What the sentence above does not say already. */
const told = computed(() =>
  answer.value
    ? reasonsFor(answer.value).filter((_, i) => i > 1 || (answer.value?.choice.marks.length ?? 0) > 0)
    : [],
);
const short = computed(() => answer.value && shortfallOf(answer.value));
</script>

<template>
  <div v-if="light" class="facet">
    <p v-if="answer" class="proposal" data-proposal>
      <b>{{ apertureText(answer.choice.aperture) }}</b><b>{{ shutterText(answer.choice.shutterS) }}</b
      ><b>ISO {{ answer.choice.iso }}</b
      ><b>{{ filterName(answer.choice.filterId) }}</b>
      <span v-for="m in answer.choice.marks" :key="m" class="mark">{{ MARK_WORDS[m] }}</span>
      <span class="quiet"
        ><template v-if="byAngle"
          >shutter <Fig :value="answer.choice.shutterAngleDeg" quantity="degrees" /> · </template
        ><Fig :value="answer.choice.errorStops" quantity="stops" /> · blur
        <Fig :value="light.blurPx" quantity="pixels" /> ·
        <span title="What shutter, ISO, aperture and filter give up of the look, on one scale of stops"
          >look cost {{ answer.choice.lookCost.toFixed(1) }}</span
        ></span
      >
    </p>
    <p v-else-if="!light.exposure.ok" class="fault">{{ light.exposure.reason }}</p>
    <ul v-if="answer" class="reasons quiet">
      <li>{{ whyFor(answer) }}</li>
      <li v-for="r in told" :key="r">{{ r }}</li>
      <li v-if="runnerUp">
        Next best: {{ apertureText(runnerUp.aperture) }}, {{ shutterText(runnerUp.shutterS) }}, ISO
        {{ runnerUp.iso }}, {{ filterName(runnerUp.filterId) }}, {{ runnerUp.errorStops.toFixed(1) }} stops,
        look cost {{ runnerUp.lookCost.toFixed(1) }}.
      </li>
    </ul>
    <ul v-if="short" class="short">
      <li v-for="w in short.workable" :key="w.say">{{ w.say }}</li>
    </ul>
    <div class="grid">
      <PickField
        label="Aperture"
        :value="stored.exposure.aperture"
        :options="apertures"
        :save="(v) => set({ aperture: v })"
      />
      <PickField
        label="Shutter"
        :value="stored.exposure.shutterS"
        :options="shutters"
        :save="(v) => set({ shutterS: v })"
      />
      <PickField label="ISO" :value="stored.exposure.iso" :options="isos" :save="(v) => set({ iso: v })" />
      <PickField
        label="Filter"
        :value="stored.exposure.filterId"
        :options="filters"
        :save="(v) => set({ filterId: v })"
      />
      <PickField
        label="Sky at the location"
        :value="place.sky"
        :options="choices(SKY_WORDS)"
        :save="(v) => setPlace({ sky: v })"
      />
      <PickField
        label="Lamps at the location"
        :value="place.lamps"
        :options="choices(LAMP_WORDS)"
        :save="(v) => setPlace({ lamps: v })"
      />
      <NumberField
        label="Subject against the scene"
        :value="stored.offsetStops"
        quantity="stops"
        :step="0.5"
        hint="Shaded or backlit: minus. Snow, bright water: plus."
        :save="(v) => film.edit('shot', stored.id, { offsetStops: v })"
      />
      <PickField
        label="Fills the picture"
        :value="stored.surface"
        :options="choices(SURFACE_WORDS)"
        :save="(v) => film.edit('shot', stored.id, { surface: v }, 'light')"
      />
      <PickField
        label="Subject lies"
        :value="stored.lit"
        :options="choices(LIT_WORDS)"
        :save="(v) => film.edit('shot', stored.id, { lit: v }, 'light')"
      />
      <NumberField
        v-if="shot.facts.location.lamps !== 'none'"
        label="Lit by lamps"
        :value="stored.litShare"
        :scale="100"
        quantity="percent"
        :step="10"
        hint="Share of the frame that lamps light: 0 none, 100 a lit street that fills it."
        :save="(v) => film.edit('shot', stored.id, { litShare: v })"
      />
      <PickField
        label="Profile"
        :value="stored.profile"
        :options="profiles"
        :save="(v) => film.edit('shot', stored.id, { profile: v }, 'profile')"
      />
      <TextField
        label="White balance, K"
        :value="stored.kelvin === null ? '' : String(stored.kelvin)"
        :placeholder="`${kelvin.kelvin}`"
        :hint="kelvin.why"
        :save="setKelvin"
      />
      <TextField
        label="Focused at, m"
        :value="stored.focusM === null ? '' : String(stored.focusM)"
        placeholder="far"
        :save="setFocus"
      />
      <TimeField
        label="Not before"
        :value="stored.notBefore ?? ''"
        :save="(v) => film.edit('shot', stored.id, { notBefore: v === '' ? null : v }, 'minute')"
        clearable
      />
      <TimeField
        label="Not after"
        :value="stored.notAfter ?? ''"
        :save="(v) => film.edit('shot', stored.id, { notAfter: v === '' ? null : v }, 'minute')"
        clearable
      />
      <div class="meter" :class="{ 'is-faulty': faults.length > 0 }">
        <label class="label" for="meter-reading">Your meter at {{ clockText(light.atMs, place.zone) }}</label>
        <div>
          <ElInput
            id="meter-reading"
            v-model="reading"
            inputmode="decimal"
            placeholder="EV"
            @keydown.enter="addReading"
          /><button class="btn" @click="addReading">Set</button>
        </div>
        <p v-for="f in faults" :key="f.say" class="fault" role="alert">{{ f.say }}</p>
      </div>
    </div>
    <p class="light">
      At {{ clockText(light.atMs, place.zone) }} the scene is at
      <b><Fig :value="light.scene.ev100" quantity="ev" /></b>{{ ' ' }}
      <span class="quiet"
        >(daylight alone <Fig :value="light.scene.ambientEv100" quantity="ev" /><template
          v-if="light.scene.sky"
          >, sky in the frame <Fig :value="light.scene.sky.ev100" quantity="ev" /> ±
          {{ SKY_LUMINANCE_SPREAD }}, {{ Math.round(light.scene.sky.share * 100) }} % of it</template
        ><template v-if="light.scene.meterShift !== 0"
          >, your meter shifts it by <Fig :value="light.scene.meterShift" quantity="stops" /></template
        >). Sun <Fig :value="Math.abs(light.sun.altitudeDeg)" quantity="degrees" />
        {{ light.sun.altitudeDeg < 0 ? 'below the horizon' : 'high' }} at
        <Fig :value="light.sun.azimuthDeg" quantity="degrees" /><template v-if="sides"
          >; over the move {{ sides }}</template
        >.</span
      >
    </p>
    <ul v-if="readings.length > 0" class="readings">
      <li v-for="r in readings" :key="r.id">
        {{ clockText(r.utcMs, place.zone) }} <Fig :value="r.ev100" quantity="ev" />
        <button
          class="btn bare"
          :aria-label="`Remove reading of ${clockText(r.utcMs, place.zone)}`"
          @click="film.remove('reading', [{ kind: 'reading', id: r.id }])"
        >
          remove
        </button>
      </li>
    </ul>
  </div>
  <p v-else class="quiet">
    The location needs a date, a zone and coordinates before its light can be worked out.
  </p>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 10px;
  margin-top: 8px;
}
.proposal {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: baseline;
}
.proposal b {
  font-size: 19px;
  font-weight: 600;
  font-stretch: 88%;
}
.reasons li {
  display: inline;
}
.reasons li::after {
  content: ' ';
}
.mark {
  color: var(--care);
  font-weight: 620;
}
.short {
  color: var(--care);
}
.meter > div {
  display: flex;
  gap: 4px;
}
.light {
  margin-top: 9px;
}
.readings {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
@media (max-width: 700px) {
  .grid {
    grid-template-columns: repeat(2, 1fr);
  }
}
</style>
