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
import ContactRows from './ContactRows.vue';
import DeliveryRows from './DeliveryRows.vue';
import { SCHOOLS } from './schools';
import { usePreferences } from '../../composables/preferences';
import { tr } from './messages';

const store = useFilm();
const derivedFilm = useDerivedFilm();
const film = computed(() => store.film);
const p = computed(() => store.film?.preferences);
const set = (fields: Parameters<typeof store.edit<'film'>>[2]) =>
  store.edit('film', store.filmId, fields, tr('brief'));
const prefer = usePreferences(() => tr('brief'));
const lines = computed(() =>
  (p.value?.weightLinesKg ?? []).map((kg) => String(Math.round(kg * 1e4) / 10)).join(' '),
);
const setLines = (text: string) => {
  const grams = text
    .split(/[\s;]+/)
    .filter((t) => t !== '')
    .map(readNumber);
  if (grams.some((g) => !(g > 0)) || grams.length > 10) return [{ path: '', say: tr('gramsUpToTenOf') }];
  return prefer({ weightLinesKg: grams.sort((a, b) => a - b).map((g) => g / 1000) });
};
const EXPOSE = [
  {
    value: 'ground' as const,
    get label() {
      return tr('ground');
    },
  },
  {
    value: 'between' as const,
    get label() {
      return tr('between');
    },
  },
  {
    value: 'sky' as const,
    get label() {
      return tr('sky');
    },
  },
];
const ASPECT_CHOICES = ASPECTS.map((value) => ({ value, label: value }));
const RATES = TIMELINE_RATES.map((value: number) => ({ value, label: tr('valueFps', { value }) }));
const planned = computed(() => derivedFilm.derived?.budget.timelineS ?? 0);
</script>

<template>
  <main v-if="film && p" class="brief scroll" tabindex="-1">
    <section class="sheet" aria-labelledby="brief-title">
      <h1 id="brief-title">{{ tr('briefUpper') }}</h1>
      <div class="grid">
        <TextField :label="tr('film')" :value="film.name" :save="(v) => set({ name: v })" />
        <TextField :label="tr('audience')" :value="film.audience" :save="(v) => set({ audience: v })" />
        <TextField
          :label="tr('purpose')"
          :value="film.purpose"
          :lines="3"
          wide
          :save="(v) => set({ purpose: v })"
        />
        <NumberField
          :label="tr('lengthOfTheCut')"
          :value="film.cutLengthS"
          quantity="seconds"
          :save="(v) => set({ cutLengthS: v })"
        />
        <PickField
          :label="tr('timelineRate')"
          :value="film.timelineFps"
          :options="RATES"
          :save="(v) => set({ timelineFps: v })"
        />
        <NumberField
          :label="tr('musicTempo')"
          :value="film.tempoBpm"
          quantity="count"
          unit="bpm"
          :hint="tr('shotsMeasuredInBeatsFollow')"
          :save="(v) => set({ tempoBpm: v })"
        />
        <NumberField
          :label="tr('beatsInACount')"
          :value="film.beatsPerCount"
          quantity="count"
          :hint="tr('forShotsMeasuredInCounts')"
          :save="(v) => set({ beatsPerCount: v })"
        />
        <PickField
          :label="tr('aspect')"
          :value="film.aspect"
          :options="ASPECT_CHOICES"
          :save="(v) => set({ aspect: v })"
        />
        <PickField
          :label="tr('units')"
          :value="film.units"
          :options="[
            { value: 'metric', label: tr('metric') },
            { value: 'imperial', label: tr('imperial') },
          ]"
          :save="(v) => set({ units: v })"
        />
        <SwitchField
          :label="tr('stillsWantedToo')"
          :value="film.stillsWanted"
          :save="(v) => set({ stillsWanted: v })"
        />
      </div>
      <p class="quiet">
        {{ tr('theShotsOnTheList') }} <b><Fig :value="planned" quantity="seconds" /></b> {{ tr('of') }}
        <Fig :value="film.cutLengthS" quantity="seconds" /> {{ tr('ofTheCutTheMains') }}
      </p>
    </section>
    <DeliveryRows :film="film" :rates="RATES" />
    <ContactRows :film="film" />
    <section class="sheet wishes" aria-labelledby="schools-title">
      <h2 id="schools-title">{{ tr('whereGoodPeopleDisagree') }}</h2>
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
    <section class="sheet figures" aria-labelledby="figures-title">
      <h2 id="figures-title">{{ tr('figuresThePlanStartsFrom') }}</h2>
      <div class="grid">
        <NumberField
          :label="tr('landingReserve')"
          :value="p.reserveShare"
          :scale="100"
          quantity="percent"
          :hint="tr('ofTheRatedEnergy20')"
          :save="(v) => prefer({ reserveShare: v })"
        />
        <NumberField
          :label="tr('minimumHold')"
          :value="p.minimumHoldS"
          quantity="seconds"
          :save="(v) => prefer({ minimumHoldS: v })"
        />
        <NumberField
          :label="tr('handles')"
          :value="p.handleS"
          quantity="seconds"
          :step="0.5"
          :hint="tr('atBothEndsOfWhat')"
          :save="(v) => prefer({ handleS: v })"
        />
        <NumberField
          :label="tr('preRoll')"
          :value="p.preRollS"
          quantity="seconds"
          :save="(v) => prefer({ preRollS: v })"
        />
        <NumberField
          :label="tr('postRoll')"
          :value="p.postRollS"
          quantity="seconds"
          :save="(v) => prefer({ postRollS: v })"
        />
        <NumberField
          :label="tr('settleBetweenTakes')"
          :value="p.settleS"
          quantity="seconds"
          :save="(v) => prefer({ settleS: v })"
        />
        <NumberField
          :label="tr('startAndStopAcceleration')"
          :value="p.easeAccelMs2"
          quantity="accel"
          :step="0.1"
          :hint="tr('meanAccelerationOfAGentle')"
          :save="(v) => prefer({ easeAccelMs2: v })"
        />
        <NumberField
          :label="tr('repositioningSpeed')"
          :value="p.repositionMs"
          quantity="speed"
          :save="(v) => prefer({ repositionMs: v })"
        />
        <NumberField
          :label="tr('speedLimitAgainstWind')"
          :value="p.topSpeedShare"
          :scale="100"
          quantity="percent"
          :step="5"
          :hint="tr('shareOfTheTopSpeed')"
          :save="(v) => prefer({ topSpeedShare: v })"
        />
        <NumberField
          :label="tr('gustsOnTheWayHome')"
          :value="p.homeGustShare"
          :scale="100"
          quantity="percent"
          :step="10"
          :hint="tr('howFarTheWayHome')"
          :save="(v) => prefer({ homeGustShare: v })"
        />
        <NumberField
          :label="tr('packChangeTime')"
          :value="p.swapMinutes"
          quantity="minutes"
          :save="(v) => prefer({ swapMinutes: v })"
        />
        <NumberField
          :label="tr('shutterFrom')"
          :value="p.shutterLowDeg"
          quantity="degrees"
          :step="5"
          :save="(v) => prefer({ shutterLowDeg: v })"
        />
        <NumberField
          :label="tr('shutterTo')"
          :value="p.shutterHighDeg"
          quantity="degrees"
          :step="5"
          :save="(v) => prefer({ shutterHighDeg: v })"
        />
        <NumberField
          :label="tr('exposeBy')"
          :value="p.highlightBiasStops"
          quantity="stops"
          :step="0.1"
          :hint="tr('negativeKeepsHighlightsASmall')"
          :save="(v) => prefer({ highlightBiasStops: v })"
        />
        <NumberField
          :label="tr('gustsFootageSuffersFrom')"
          :value="p.gustCareShare"
          :scale="100"
          quantity="percent"
          :step="5"
          :hint="tr('shareOfTheRatedWind')"
          :save="(v) => prefer({ gustCareShare: v })"
        />
        <NumberField
          :label="tr('gustsNotFlownFrom')"
          :value="p.gustStopShare"
          :scale="100"
          quantity="percent"
          :step="5"
          :hint="tr('shareOfTheRatedWindAbove')"
          :save="(v) => prefer({ gustStopShare: v })"
        />
        <PickField
          :label="tr('exposeFor')"
          :value="p.exposeFor"
          :options="EXPOSE"
          :save="(v) => prefer({ exposeFor: v })"
        />
        <NumberField
          :label="tr('meterReadingsHoldFor')"
          :value="p.meterFadeMin"
          quantity="minutes"
          :hint="tr('minutesOverWhichAReading')"
          :save="(v) => prefer({ meterFadeMin: v })"
        />
        <NumberField
          :label="tr('lampsMinutesToFull')"
          :value="p.lampsRampMin"
          quantity="minutes"
          :hint="tr('fromTheFirstLampsTo')"
          :save="(v) => prefer({ lampsRampMin: v })"
        />
        <NumberField
          :label="tr('sunriseSunsetSunBelow')"
          :value="p.sunBandTopDeg"
          quantity="degrees"
          :step="0.5"
          :save="(v) => prefer({ sunBandTopDeg: v })"
        />
        <NumberField
          :label="tr('sunriseSunsetSunAbove')"
          :value="p.sunBandBottomDeg"
          quantity="degrees"
          :step="0.5"
          :save="(v) => prefer({ sunBandBottomDeg: v })"
        />
        <NumberField
          :label="tr('settingTolerance')"
          :value="p.settingRegretStops"
          quantity="stops"
          :step="0.1"
          :hint="tr('stopsOfRegretASetting')"
          :save="(v) => prefer({ settingRegretStops: v })"
        />
        <NumberField
          :label="tr('cleanISORange')"
          :value="p.cleanIsoStops"
          quantity="stops"
          :step="1"
          :hint="tr('soFarTheISOMay')"
          :save="(v) => prefer({ cleanIsoStops: v })"
        />
        <NumberField
          :label="tr('goldenHourSunBelow')"
          :value="p.goldenTopDeg"
          quantity="degrees"
          :save="(v) => prefer({ goldenTopDeg: v })"
        />
        <NumberField
          :label="tr('goldenHourSunAbove')"
          :value="p.goldenBottomDeg"
          quantity="degrees"
          :hint="tr('thereBlueLightBegins')"
          :save="(v) => prefer({ goldenBottomDeg: v })"
        />
        <NumberField
          :label="tr('blueHourSunAbove')"
          :value="p.civilDeg"
          quantity="degrees"
          :save="(v) => prefer({ civilDeg: v })"
        />
        <NumberField
          :label="tr('lampsOnAfterSunset')"
          :value="p.lampsDelayMin"
          quantity="minutes"
          :step="5"
          :hint="tr('figure15To30IsUsual')"
          :save="(v) => prefer({ lampsDelayMin: v })"
        />
        <TextField
          :label="tr('weightClasses')"
          :value="lines"
          :hint="tr('takeOffMassesAtWhich')"
          :save="setLines"
        />
        <NumberField
          :label="tr('clearanceToObstacles')"
          :value="p.clearanceM"
          quantity="metres"
          :hint="tr('freeAirAboutTheAircraft')"
          :save="(v) => prefer({ clearanceM: v })"
        />
        <NumberField
          :label="tr('clearanceOverGround')"
          :value="p.groundM"
          quantity="metres"
          :step="0.5"
          :hint="tr('whereAHeightGridIs')"
          :save="(v) => prefer({ groundM: v })"
        />
        <NumberField
          :label="tr('reactionTimeToAGust')"
          :value="p.reactionS"
          quantity="seconds"
          :step="0.5"
          :save="(v) => prefer({ reactionS: v })"
        />
        <NumberField
          :label="tr('wayHomeCorridorEachSide')"
          :value="p.corridorM"
          quantity="metres"
          :save="(v) => prefer({ corridorM: v })"
        />
        <NumberField
          :label="tr('returnToHomeHeightMargin')"
          :value="p.returnMarginM"
          quantity="metres"
          :hint="tr('addedToTheTallestThing')"
          :save="(v) => prefer({ returnMarginM: v })"
        />
        <NumberField
          :label="tr('practisedInputsAtOnce')"
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
/* A wide screen: what the film is beside how it is worked, and the figures under both. */
@media (min-width: 1500px) {
  .brief {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    align-content: start;
  }
  .wishes {
    grid-area: 1 / 2 / span 3 / auto;
    align-content: start;
  }
  .figures {
    grid-column: 1 / -1;
  }
  .figures .grid {
    grid-template-columns: repeat(8, minmax(0, 1fr));
    max-width: none;
  }
}
</style>
