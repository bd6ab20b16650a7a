<script setup lang="ts">
import { ASPECTS, TIMELINE_RATES, type Preferences } from '@core/model';
import { computed } from 'vue';
import { readNumber } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import DeliveryRows from './DeliveryRows.vue';
import { SCHOOLS } from './schools';

const store = useFilm();
const derivedFilm = useDerivedFilm();
const film = computed(() => store.film);
const p = computed(() => store.film?.preferences);
const set = (fields: Parameters<typeof store.edit<'film'>>[2]) =>
  store.edit('film', store.filmId, fields, 'brief');
const prefer = (fields: Partial<Preferences>) =>
  p.value ? set({ preferences: { ...p.value, ...fields } as NonNullable<typeof p.value> }) : [];
const lines = computed(() =>
  (p.value?.weightLinesKg ?? []).map((kg) => String(Math.round(kg * 1e4) / 10)).join(' '),
);
const setLines = (text: string) => {
  const grams = text
    .split(/[\s;]+/)
    .filter((t) => t !== '')
    .map(readNumber);
  if (grams.some((g) => !(g > 0)) || grams.length > 10)
    return [{ path: '', say: 'Grams, up to ten of them, such as 249 899 3999.' }];
  return prefer({ weightLinesKg: grams.sort((a, b) => a - b).map((g) => g / 1000) });
};
const EXPOSE = [
  { value: 'ground' as const, label: 'Ground' },
  { value: 'between' as const, label: 'Between' },
  { value: 'sky' as const, label: 'Sky' },
];
const ASPECT_CHOICES = ASPECTS.map((value) => ({ value, label: value }));
const RATES = TIMELINE_RATES.map((value: number) => ({ value, label: `${value} fps` }));
const planned = computed(() => derivedFilm.derived?.budget.timelineS ?? 0);
</script>

<template>
  <main v-if="film && p" class="brief scroll" tabindex="-1">
    <section class="sheet" aria-labelledby="brief-title">
      <h1 id="brief-title">Brief</h1>
      <div class="grid">
        <TextField label="Film" :value="film.name" :save="(v) => set({ name: v })" />
        <TextField label="Audience" :value="film.audience" :save="(v) => set({ audience: v })" />
        <TextField label="Purpose" :value="film.purpose" :lines="3" wide :save="(v) => set({ purpose: v })" />
        <NumberField
          label="Length of the cut"
          :value="film.cutLengthS"
          quantity="seconds"
          :save="(v) => set({ cutLengthS: v })"
        />
        <PickField
          label="Timeline rate"
          :value="film.timelineFps"
          :options="RATES"
          :save="(v) => set({ timelineFps: v })"
        />
        <NumberField
          label="Music tempo"
          :value="film.tempoBpm"
          quantity="count"
          unit="bpm"
          hint="Shots measured in beats follow it."
          :save="(v) => set({ tempoBpm: v })"
        />
        <NumberField
          label="Beats in a count"
          :value="film.beatsPerCount"
          quantity="count"
          hint="For shots measured in counts: 8 for counts of eight, 4 for bars."
          :save="(v) => set({ beatsPerCount: v })"
        />
        <PickField
          label="Aspect"
          :value="film.aspect"
          :options="ASPECT_CHOICES"
          :save="(v) => set({ aspect: v })"
        />
        <PickField
          label="Units"
          :value="film.units"
          :options="[
            { value: 'metric', label: 'Metric' },
            { value: 'imperial', label: 'Imperial' },
          ]"
          :save="(v) => set({ units: v })"
        />
        <SwitchField
          label="Stills wanted too"
          :value="film.stillsWanted"
          :save="(v) => set({ stillsWanted: v })"
        />
      </div>
      <p class="quiet">
        The shots on the list fill <b><Fig :value="planned" quantity="seconds" /></b> of
        <Fig :value="film.cutLengthS" quantity="seconds" /> of the cut. The mains frequency belongs to each
        location.
      </p>
    </section>
    <DeliveryRows :film="film" :rates="RATES" />
    <section class="sheet" aria-labelledby="schools-title">
      <h2 id="schools-title">Where good people disagree</h2>
      <div class="schools">
        <div v-for="s in SCHOOLS" :key="s.key" class="school" role="group" :aria-label="s.asks">
          <h3>{{ s.asks }}</h3>
          <button
            v-for="a in s.answers"
            :key="String(a.value)"
            class="answer"
            :class="{ on: p[s.key] === a.value }"
            :aria-pressed="p[s.key] === a.value"
            @click="prefer({ [s.key]: a.value } as Partial<Preferences>)"
          >
            <b>{{ a.label }}</b><span class="quiet">{{ a.why }}</span>
          </button>
        </div>
      </div>
    </section>
    <section class="sheet" aria-labelledby="figures-title">
      <h2 id="figures-title">Figures the plan starts from</h2>
      <div class="grid">
        <NumberField
          label="Landing reserve"
          :value="p.reserveShare"
          :scale="100"
          quantity="percent"
          hint="Of the rated energy: 20 to 40. Below 10 % nothing is ever planned."
          :save="(v) => prefer({ reserveShare: v })"
        />
        <NumberField
          label="Minimum hold"
          :value="p.minimumHoldS"
          quantity="seconds"
          :save="(v) => prefer({ minimumHoldS: v })"
        />
        <NumberField
          label="Handles"
          :value="p.handleS"
          quantity="seconds"
          :step="0.5"
          hint="At both ends of what the cut uses."
          :save="(v) => prefer({ handleS: v })"
        />
        <NumberField
          label="Pre-roll"
          :value="p.preRollS"
          quantity="seconds"
          :save="(v) => prefer({ preRollS: v })"
        />
        <NumberField
          label="Post-roll"
          :value="p.postRollS"
          quantity="seconds"
          :save="(v) => prefer({ postRollS: v })"
        />
        <NumberField
          label="Settle between takes"
          :value="p.settleS"
          quantity="seconds"
          :save="(v) => prefer({ settleS: v })"
        />
        <NumberField
          label="Start and stop acceleration"
          :value="p.easeAccelMs2"
          quantity="accel"
          :step="0.1"
          hint="Mean acceleration of a gentle start."
          :save="(v) => prefer({ easeAccelMs2: v })"
        />
        <NumberField
          label="Repositioning speed"
          :value="p.repositionMs"
          quantity="speed"
          :save="(v) => prefer({ repositionMs: v })"
        />
        <NumberField
          label="Speed limit against wind"
          :value="p.topSpeedShare"
          :scale="100"
          quantity="percent"
          :step="5"
          hint="Share of the top speed a leg or the way home may take against the wind."
          :save="(v) => prefer({ topSpeedShare: v })"
        />
        <NumberField
          label="Gusts on the way home"
          :value="p.homeGustShare"
          :scale="100"
          quantity="percent"
          :step="10"
          hint="How far the way home counts gusts: 0 % the mean wind, 100 % the gust all the way."
          :save="(v) => prefer({ homeGustShare: v })"
        />
        <NumberField
          label="Pack change time"
          :value="p.swapMinutes"
          quantity="minutes"
          :save="(v) => prefer({ swapMinutes: v })"
        />
        <NumberField
          label="Shutter from"
          :value="p.shutterLowDeg"
          quantity="degrees"
          :step="5"
          :save="(v) => prefer({ shutterLowDeg: v })"
        />
        <NumberField
          label="Shutter to"
          :value="p.shutterHighDeg"
          quantity="degrees"
          :step="5"
          :save="(v) => prefer({ shutterHighDeg: v })"
        />
        <NumberField
          label="Expose by"
          :value="p.highlightBiasStops"
          quantity="stops"
          :step="0.1"
          hint="Negative keeps highlights: a small sensor cannot win back a clipped sky."
          :save="(v) => prefer({ highlightBiasStops: v })"
        />
        <NumberField
          label="Gusts: footage suffers from"
          :value="p.gustCareShare"
          :scale="100"
          quantity="percent"
          :step="5"
          hint="Share of the rated wind from which footage is rarely usable."
          :save="(v) => prefer({ gustCareShare: v })"
        />
        <NumberField
          label="Gusts: not flown from"
          :value="p.gustStopShare"
          :scale="100"
          quantity="percent"
          :step="5"
          hint="Share of the rated wind above which a shot is stopped: control and the way home need what is left."
          :save="(v) => prefer({ gustStopShare: v })"
        />
        <PickField
          label="Expose for"
          :value="p.exposeFor"
          :options="EXPOSE"
          :save="(v) => prefer({ exposeFor: v })"
        />
        <NumberField
          label="Meter readings hold for"
          :value="p.meterFadeMin"
          quantity="minutes"
          hint="Minutes over which a reading fades back to the model."
          :save="(v) => prefer({ meterFadeMin: v })"
        />
        <NumberField
          label="Lamps: minutes to full"
          :value="p.lampsRampMin"
          quantity="minutes"
          hint="From the first lamps to all of them."
          :save="(v) => prefer({ lampsRampMin: v })"
        />
        <NumberField
          label="Sunrise, sunset: sun below"
          :value="p.sunBandTopDeg"
          quantity="degrees"
          :step="0.5"
          :save="(v) => prefer({ sunBandTopDeg: v })"
        />
        <NumberField
          label="Sunrise, sunset: sun above"
          :value="p.sunBandBottomDeg"
          quantity="degrees"
          :step="0.5"
          :save="(v) => prefer({ sunBandBottomDeg: v })"
        />
        <NumberField
          label="Setting tolerance"
          :value="p.settingRegretStops"
          quantity="stops"
          :step="0.1"
          hint="Stops of regret a setting may cost through a flight before a dial is moved."
          :save="(v) => prefer({ settingRegretStops: v })"
        />
        <NumberField
          label="Clean ISO range"
          :value="p.cleanIsoStops"
          quantity="stops"
          :step="1"
          hint="So far the ISO may be raised by day before a filter counts as used up."
          :save="(v) => prefer({ cleanIsoStops: v })"
        />
        <NumberField
          label="Golden hour: sun below"
          :value="p.goldenTopDeg"
          quantity="degrees"
          :save="(v) => prefer({ goldenTopDeg: v })"
        />
        <NumberField
          label="Golden hour: sun above"
          :value="p.goldenBottomDeg"
          quantity="degrees"
          hint="There blue light begins."
          :save="(v) => prefer({ goldenBottomDeg: v })"
        />
        <NumberField
          label="Blue hour: sun above"
          :value="p.civilDeg"
          quantity="degrees"
          :save="(v) => prefer({ civilDeg: v })"
        />
        <NumberField
          label="Lamps on after sunset"
          :value="p.lampsDelayMin"
          quantity="minutes"
          :step="5"
          hint="15 to 30 is usual."
          :save="(v) => prefer({ lampsDelayMin: v })"
        />
        <TextField
          label="Weight classes"
          :value="lines"
          hint="Take-off masses at which rules tend to change, grams. Check the local rule."
          :save="setLines"
        />
        <NumberField
          label="Clearance to obstacles"
          :value="p.clearanceM"
          quantity="metres"
          hint="Free air about the aircraft; a gust may ask for more."
          :save="(v) => prefer({ clearanceM: v })"
        />
        <NumberField
          label="Clearance over ground"
          :value="p.groundM"
          quantity="metres"
          :step="0.5"
          hint="Where a height grid is known."
          :save="(v) => prefer({ groundM: v })"
        />
        <NumberField
          label="Reaction time to a gust"
          :value="p.reactionS"
          quantity="seconds"
          :step="0.5"
          :save="(v) => prefer({ reactionS: v })"
        />
        <NumberField
          label="Way-home corridor, each side"
          :value="p.corridorM"
          quantity="metres"
          :save="(v) => prefer({ corridorM: v })"
        />
        <NumberField
          label="Return-to-home height: margin"
          :value="p.returnMarginM"
          quantity="metres"
          hint="Added to the tallest thing on the way home."
          :save="(v) => prefer({ returnMarginM: v })"
        />
        <NumberField
          label="Practised inputs at once"
          :value="p.practisedInputs"
          quantity="count"
          :save="(v) => prefer({ practisedInputs: v })"
        />
      </div>
    </section>
  </main>
</template>

<style scoped>
.brief {
  display: grid;
  gap: 1px;
  align-content: start;
  background: var(--bench);
}
.sheet {
  background: var(--slab);
  padding: 16px 22px;
  display: grid;
  gap: 12px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px 14px;
  align-items: end;
  max-width: 1080px;
}
.schools {
  display: grid;
  gap: 8px;
  max-width: 1080px;
}
.school {
  display: grid;
  grid-template-columns: 150px repeat(auto-fit, minmax(190px, 1fr));
  gap: 8px;
  align-items: center;
}
.answer {
  text-align: left;
  display: grid;
  gap: 1px;
  background: var(--bench);
  border: 1px solid var(--line);
  padding: 6px 11px;
  cursor: pointer;
}
.answer:hover {
  background: var(--slab-2);
}
.answer.on {
  border-color: var(--pick);
  background: var(--pick-dim);
}
.answer.on .quiet {
  color: var(--chalk);
}
.answer b {
  font-weight: 620;
}
.answer span {
  font-size: 12.5px;
}
@media (max-width: 760px) {
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .school {
    grid-template-columns: 1fr;
  }
}
</style>
