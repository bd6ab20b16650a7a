<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
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
  fixed,
  LAMP_WORDS,
  LIT_WORDS,
  MARK_WORDS,
  phrase,
  PROFILE_WORDS,
  readNumber,
  shutterText,
  SKY_WORDS,
  SURFACE_WORDS,
} from '../../../format';
import Fig from '../../../parts/Fig.vue';
import NumberField from '../../../parts/NumberField.vue';
import PickField from '../../../parts/PickField.vue';
import TextField from '../../../parts/TextField.vue';
import { ElInput } from '../../../parts/element';
import { useFilm } from '../../../stores/film';
import type { Fault } from '../../../sync/validation';
import { useStored } from '../useStored';
import { messageKey } from '@core/messages';
import { useMessages } from '../../../composables/useMessages';
import { tr } from './messages';

const TimeField = defineAsyncComponent(() => import('../../../parts/TimeField.vue'));
const props = defineProps<{ shot: DerivedShot }>();
const { text } = useMessages();
const film = useFilm();
const stored = useStored(() => props.shot);
const light = computed(() => props.shot.light);
const answer = computed(() => (light.value?.exposure.ok ? light.value.exposure.value : null));
const set = (fields: Partial<typeof stored.value.exposure>) =>
  film.edit('shot', stored.value.id, { exposure: { ...stored.value.exposure, ...fields } }, tr('exposure'));
const filterName = (id: string | null): string =>
  id === null
    ? tr('noFilter')
    : (film.list('filter').find((f) => f.id === id)?.name ?? tr('aFilterThatIsGone'));

const auto = (word: string) => ({ value: null, label: tr('workedOutWord', { word }) });
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
  auto(answer.value ? tr('isoIso', { iso: answer.value.choice.iso }) : '–'),
  ...isoSteps(camera.value?.isoBase ?? 100, camera.value?.isoCeiling ?? 100).map((n) => ({
    value: n as number | null,
    label: tr('isoValue', { value: n }),
  })),
]);
const filters = computed(() => [
  auto(answer.value ? filterName(answer.value.choice.filterId) : '–'),
  { value: BARE_LENS as string | null, label: tr('noFilter') },
  ...film
    .list('filter')
    .filter((f) => !f.retired)
    .map((f) => ({
      value: f.id as string | null,
      label: f.name,
      note: tr('log2Stops', { log2: fixed(Math.log2(f.factor), 1) }),
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
    faults.value = [{ path: '', say: tr('aMeterReadingIsA') }];
    return;
  }
  faults.value = film.create(
    'reading',
    { id: uuid(), locationId: stored.value.locationId, utcMs: light.value?.atMs ?? 0, ev100, of: null },
    tr('meterReading'),
  );
  if (faults.value.length === 0) reading.value = '';
};
const place = computed(() => props.shot.facts.location);
const setPlace = (fields: Parameters<typeof film.edit<'location'>>[2]) =>
  film.edit('location', place.value.id, fields, tr('lightOfTheLocation'));
const profiles = computed(() => [
  { value: null, label: tr('asTheFilmHasIt') } as { value: typeof stored.value.profile; label: string },
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
  optional(text, 1000, 20_000, tr('kelvinBetween1000And20000'), (kelvinNow) =>
    film.edit('shot', stored.value.id, { kelvin: kelvinNow }, tr('whiteBalance')),
  );
const setFocus = (text: string) =>
  optional(text, 0.1, 10_000, tr('metresOrEmptyForFar'), (focusM) =>
    film.edit('shot', stored.value.id, { focusM }, tr('focus')),
  );
const runnerUp = computed(() => answer.value && runnerUpOf(answer.value));
const sideWord = (side: 'front' | 'side' | 'back'): string => tr(`${side}Light`);
/** How the light falls over the whole move, in words. */
const sides = computed(() => {
  const shares = light.value?.along.shares;
  if (!shares) return '';
  return (['front', 'side', 'back'] as const)
    .filter((s) => shares[s] > 0.05)
    .map((s) => (shares[s] > 0.95 ? sideWord(s) : `${sideWord(s)} ${Math.round(shares[s] * 100)} %`))
    .join(', ');
});
/** What the sentence above does not say already. */
const reasons = computed(() =>
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
      ><b>{{ tr('isoIso', { iso: answer.choice.iso }) }}</b
      ><b>{{ filterName(answer.choice.filterId) }}</b>
      <span v-for="m in answer.choice.marks" :key="m" class="mark">{{ MARK_WORDS[m] }}</span>
      <span class="quiet"
        ><template v-if="byAngle"
          >{{ tr('shutter') }} <Fig :value="answer.choice.shutterAngleDeg" quantity="degrees" /> · </template
        ><Fig :value="answer.choice.errorStops" quantity="stops" /> {{ tr('blur') }}
        <Fig :value="light.blurPx" quantity="pixels" /> ·
        <span :title="tr('whatShutterISOApertureAnd')">{{
          tr('lookCostLookCost', { lookCost: fixed(answer.choice.lookCost, 1) })
        }}</span></span
      >
    </p>
    <p v-else-if="!light.exposure.ok" class="fault">{{ text(light.exposure.reason) }}</p>
    <ul v-if="answer" class="reasons quiet">
      <li>{{ text(whyFor(answer)) }}</li>
      <li v-for="r in reasons" :key="messageKey(r)">{{ text(r) }}</li>
      <li v-if="runnerUp">
        {{
          tr('nextBestApertureShutterSISO', {
            aperture: apertureText(runnerUp.aperture),
            shutterS: shutterText(runnerUp.shutterS),
            iso: runnerUp.iso,
            filterName: filterName(runnerUp.filterId),
            errorStops: fixed(runnerUp.errorStops, 1),
            lookCost: fixed(runnerUp.lookCost, 1),
          })
        }}
      </li>
    </ul>
    <ul v-if="short" class="short">
      <li v-for="w in short.workable" :key="messageKey(w.say)">{{ text(w.say) }}</li>
    </ul>
    <div class="grid">
      <PickField
        help="shot.aperture"
        :label="tr('aperture')"
        :value="stored.exposure.aperture"
        :options="apertures"
        :save="(v) => set({ aperture: v })"
      />
      <PickField
        help="shot.shutterS"
        :label="tr('shutterUpper')"
        :value="stored.exposure.shutterS"
        :options="shutters"
        :save="(v) => set({ shutterS: v })"
      />
      <PickField
        help="shot.iso"
        :label="tr('iso')"
        :value="stored.exposure.iso"
        :options="isos"
        :save="(v) => set({ iso: v })"
      />
      <PickField
        help="shot.filterId"
        :label="tr('filter')"
        :value="stored.exposure.filterId"
        :options="filters"
        :save="(v) => set({ filterId: v })"
      />
      <PickField
        help="shot.sky"
        :label="tr('skyAtTheLocation')"
        :value="place.sky"
        :options="choices(SKY_WORDS)"
        :save="(v) => setPlace({ sky: v })"
      />
      <PickField
        help="shot.lamps"
        :label="tr('lampsAtTheLocation')"
        :value="place.lamps"
        :options="choices(LAMP_WORDS)"
        :save="(v) => setPlace({ lamps: v })"
      />
      <NumberField
        help="shot.offsetStops"
        :label="tr('subjectAgainstTheScene')"
        :value="stored.offsetStops"
        quantity="stops"
        :step="0.5"
        :hint="tr('shadedOrBacklitMinusSnow')"
        :save="(v) => film.edit('shot', stored.id, { offsetStops: v })"
      />
      <PickField
        help="shot.surface"
        :label="tr('fillsThePicture')"
        :value="stored.surface"
        :options="choices(SURFACE_WORDS)"
        :save="(v) => film.edit('shot', stored.id, { surface: v }, tr('lightOnSubject'))"
      />
      <PickField
        help="shot.lit"
        :label="tr('subjectLies')"
        :value="stored.lit"
        :options="choices(LIT_WORDS)"
        :save="(v) => film.edit('shot', stored.id, { lit: v }, tr('lightOnSubject'))"
      />
      <NumberField
        help="shot.litShare"
        v-if="shot.facts.location.lamps !== 'none'"
        :label="tr('litByLamps')"
        :value="stored.litShare"
        :scale="100"
        quantity="percent"
        :step="10"
        :hint="tr('shareOfTheFrameThat')"
        :save="(v) => film.edit('shot', stored.id, { litShare: v })"
      />
      <PickField
        help="shot.profile"
        :label="tr('profile')"
        :value="stored.profile"
        :options="profiles"
        :save="(v) => film.edit('shot', stored.id, { profile: v }, tr('profileLower'))"
      />
      <TextField
        help="shot.kelvin"
        :label="tr('whiteBalanceK')"
        :value="stored.kelvin === null ? '' : String(stored.kelvin)"
        :placeholder="`${kelvin.kelvin}`"
        :hint="phrase(kelvin.why)"
        :save="setKelvin"
      />
      <TextField
        help="shot.focusM"
        :label="tr('focusedAtM')"
        :value="stored.focusM === null ? '' : String(stored.focusM)"
        :placeholder="tr('far')"
        :save="setFocus"
      />
      <TimeField
        help="shot.notBefore"
        :label="tr('notBefore')"
        :value="stored.notBefore ?? ''"
        :save="(v) => film.edit('shot', stored.id, { notBefore: v === '' ? null : v }, tr('minuteLower'))"
        clearable
      />
      <TimeField
        help="shot.notAfter"
        :label="tr('notAfter')"
        :value="stored.notAfter ?? ''"
        :save="(v) => film.edit('shot', stored.id, { notAfter: v === '' ? null : v }, tr('minuteLower'))"
        clearable
      />
      <div class="meter" :class="{ 'is-faulty': faults.length > 0 }">
        <label class="label" for="meter-reading">{{
          tr('yourMeterAtAtMs', { atMs: clockText(light.atMs, place.zone) })
        }}</label>
        <div>
          <ElInput
            id="meter-reading"
            v-model="reading"
            inputmode="decimal"
            :placeholder="tr('ev')"
            @keydown.enter="addReading"
          /><ElButton class="btn" @click="addReading">{{ tr('set') }}</ElButton>
        </div>
        <p v-for="f in faults" :key="f.say" class="fault" role="alert">{{ f.say }}</p>
      </div>
    </div>
    <p class="light">
      {{ tr('atAtMsTheSceneIs', { atMs: clockText(light.atMs, place.zone) }) }}
      <b><Fig :value="light.scene.ev100" quantity="ev" /></b>{{ ' ' }}
      <span class="quiet"
        >{{ tr('daylightAlone') }} <Fig :value="light.scene.ambientEv100" quantity="ev" /><template
          v-if="light.scene.sky"
          >{{ tr('skyInTheFrame') }} <Fig :value="light.scene.sky.ev100" quantity="ev" />
          {{
            tr('skyLUMINANCESPREADShareOf', {
              SKY_LUMINANCE_SPREAD,
              share: Math.round(light.scene.sky.share * 100),
            })
          }}</template
        ><template v-if="light.scene.meterShift !== 0"
          >{{ tr('yourMeterShiftsItBy') }} <Fig :value="light.scene.meterShift" quantity="stops" /></template
        >{{ tr('sun') }} <Fig :value="Math.abs(light.sun.altitudeDeg)" quantity="degrees" />
        {{
          tr('altitudeDegAt', { altitudeDeg: light.sun.altitudeDeg < 0 ? tr('belowTheHorizon') : tr('high') })
        }}
        <Fig :value="light.sun.azimuthDeg" quantity="degrees" /><template v-if="sides">{{
          tr('overTheMoveSides', { sides })
        }}</template
        >.</span
      >
    </p>
    <ul v-if="readings.length > 0" class="readings">
      <li v-for="r in readings" :key="r.id">
        {{ clockText(r.utcMs, place.zone) }} <Fig :value="r.ev100" quantity="ev" />
        <ElButton
          class="btn bare"
          :aria-label="tr('removeReadingOfUtcMs', { utcMs: clockText(r.utcMs, place.zone) })"
          @click="film.remove(tr('meterReading'), [{ kind: 'reading', id: r.id }])"
        >
          {{ tr('remove') }}
        </ElButton>
      </li>
    </ul>
  </div>
  <p v-else class="quiet">
    {{ tr('theLocationNeedsADate') }}
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
