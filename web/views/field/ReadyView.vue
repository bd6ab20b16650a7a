<script setup lang="ts">
import '../../design/outdoors.css';
import { ElButton } from '../../parts/element-button';
import { computed } from 'vue';
import { apertureText, choices, shutterText, SKY_WORDS } from '../../format';
import { filterNameOf } from '../../format/names';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import { ElCheckbox } from '../../parts/element-checkbox';
import { writeCoordinates } from '../../coordinates';
import ChoiceRow from './ChoiceRow.vue';
import { useNow } from './useAir';
import { useReady, type Tick } from './useReady';
import { tr } from './messages';

/** Leaving home without a plan: one look says whether a chance could be flown, and two taps begin it. */
const film = useFilm();
const now = useNow();
const { location, ready, ticked, tick, fault, locating, locate, enter, chance, set } = useReady(now);
const coordinates = computed(() => (location.value?.placed ? writeCoordinates(location.value) : ''));
const pack = computed(() => ready.value?.packs[0] ?? null);
const card = computed(() => ready.value?.cards[0] ?? null);
const choice = computed(() => {
  const exposure = ready.value?.shot.light?.exposure;
  return exposure?.ok ? exposure.value.choice : null;
});
const filter = computed(() =>
  choice.value ? filterNameOf(film.list('filter'), choice.value.filterId, choice.value.ndStops) : '',
);
const skies = computed(() => choices(SKY_WORDS));
const on = (what: Tick): boolean => ticked.value.includes(what);
/** A pack that lands sooner than this is no pack to leave home with, min. */
const LEAST_MIN = 5;
const sunDeg = computed(() => ready.value?.shot.light?.sun.altitudeDeg ?? NaN);
</script>

<template>
  <main class="ready outdoors scroll" tabindex="-1">
    <header>
      <h1>{{ tr('readyForChance') }}</h1>
      <p class="quiet">{{ tr('leavingWithoutAPlan') }}</p>
    </header>
    <div class="tiles">
      <section :aria-label="tr('hereNow')">
        <h2>{{ tr('hereNow') }}</h2>
        <p v-if="coordinates" class="big">{{ coordinates }}</p>
        <p v-else class="fault">{{ tr('whereAreYou') }}</p>
        <div class="row">
          <ElButton class="btn" :disabled="locating" @click="locate">
            {{ locating ? tr('findingPosition') : tr('useMyPosition') }}
          </ElButton>
        </div>
        <TextField
          :label="tr('coordinates')"
          :value="coordinates"
          :placeholder="tr('coordinatesExample')"
          :save="enter"
        />
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <template v-if="location">
          <ChoiceRow
            :label="tr('sky')"
            :options="skies"
            :value="location.sky"
            @pick="(sky) => set({ sky })"
          />
          <NumberField
            :label="tr('wind')"
            :value="location.windMs"
            quantity="speed"
            :save="(windMs) => set({ windMs, gustMs: Math.max(windMs, location?.gustMs ?? 0) })"
          />
        </template>
      </section>
      <section :aria-label="tr('pack')">
        <h2>{{ tr('pack') }}</h2>
        <template v-if="pack">
          <p class="big" dir="auto">{{ pack.pack.name }}</p>
          <p>
            <b class="figure"><Fig :value="pack.share * 100" quantity="percent" /></b>
            <span class="quiet">{{ tr('hoversFor') }}</span>
            <b class="figure"><Fig :value="pack.minutes" quantity="minutes" /></b>
          </p>
          <p v-if="pack.minutes < LEAST_MIN" class="fault">
            {{ pack.share < 0.95 ? tr('chargeItFirst') : tr('tooShortTakeAnother') }}
          </p>
          <p v-if="(ready?.packs.length ?? 0) > 1" class="quiet">
            {{ tr('morePacks', { n: (ready?.packs.length ?? 1) - 1 }) }}
          </p>
          <ElCheckbox
            class="tick"
            :model-value="on('pack')"
            :label="tr('itIsInTheAircraft')"
            @change="(v: unknown) => tick('pack', v === true)"
          />
        </template>
        <p v-else class="fault">
          {{ tr('noPackForTheAircraft') }} <RouterLink :to="{ name: 'kit' }">{{ tr('openKit') }}</RouterLink>
        </p>
      </section>
      <section :aria-label="tr('card')">
        <h2>{{ tr('card') }}</h2>
        <template v-if="card && card.minutes > 0">
          <p class="big" dir="auto">{{ card.card?.name ?? tr('internalMemory') }}</p>
          <p>
            <b class="figure"><Fig :value="card.minutes" quantity="minutes" /></b>
            <span class="quiet">{{ tr('ofRecordingFit') }}</span>
          </p>
          <p v-if="!card.card" class="fault">{{ tr('memoryIsReadSlowly') }}</p>
          <ElCheckbox
            class="tick"
            :model-value="on('card')"
            :label="tr('itIsInTheAircraft')"
            @change="(v: unknown) => tick('card', v === true)"
          />
        </template>
        <p v-else class="fault">
          {{ tr('noCardWithRoom') }} <RouterLink :to="{ name: 'checks' }">{{ tr('openCards') }}</RouterLink>
        </p>
      </section>
      <section :aria-label="tr('settingsNow')">
        <h2>{{ tr('settingsNow') }}</h2>
        <template v-if="choice">
          <p class="big">
            {{
              tr('apertureShutterSISOIso', {
                aperture: apertureText(choice.aperture),
                shutterS: shutterText(choice.shutterS),
                iso: choice.iso,
              })
            }}
          </p>
          <p>
            {{ filter }}
            <span class="quiet">
              {{ tr('sunStands') }}
              <Fig :value="Math.abs(sunDeg)" quantity="degrees" />
              <template v-if="sunDeg < 0">{{ tr('belowTheHorizon') }}</template>
            </span>
          </p>
        </template>
        <p v-else class="quiet">{{ tr('settingsWantAPlace') }}</p>
        <ElCheckbox
          class="tick"
          :model-value="on('phone')"
          :label="tr('controllerAndPhoneCharged')"
          @change="(v: unknown) => tick('phone', v === true)"
        />
      </section>
      <section class="wide" :aria-label="tr('localRule')">
        <h2>{{ tr('localRule') }}</h2>
        <p>{{ tr('lookUpTheLocalRule') }}</p>
        <ElCheckbox
          class="tick"
          :model-value="on('rule')"
          :label="tr('lookedUpForHere')"
          @change="(v: unknown) => tick('rule', v === true)"
        />
      </section>
    </div>
    <footer>
      <ElButton class="btn lead" :disabled="!location" @click="chance">{{ tr('chanceShot') }}</ElButton>
      <span v-if="!location" class="quiet">{{ tr('sayWhereFirst') }}</span>
    </footer>
  </main>
</template>

<style scoped>
.ready {
  background: var(--slab);
  padding: 14px 20px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
  font-size: 18px;
  /* What is scrolled to or reached by Tab stops above the row under the thumb. */
  scroll-padding-bottom: 140px;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 10px;
}
section {
  background: var(--bench);
  padding: 12px 16px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.wide {
  grid-column: 1 / -1;
}
h2 {
  font-size: 15px;
  font-stretch: 92%;
  color: var(--chalk-2);
}
p {
  margin: 0;
}
.big {
  font-size: 26px;
  font-weight: 640;
  line-height: 1.15;
}
.figure {
  font-size: 24px;
}
.row {
  display: flex;
  gap: 10px;
}
.btn {
  min-height: 48px;
}
.tick {
  min-height: 48px;
}
.tick :deep(.el-checkbox__label) {
  font-size: 18px;
  white-space: normal;
}
.tick :deep(.el-checkbox__inner) {
  width: 24px;
  height: 24px;
}
/* Under the thumb, and over nothing that is to be read. */
footer {
  position: sticky;
  /* Over the ticks, which the library lifts by one. */
  z-index: 2;
  bottom: -24px;
  margin: 0 -20px -24px;
  padding: 10px 20px 14px;
  background: var(--slab);
  border-top: 1px solid var(--line);
  display: flex;
  gap: 14px;
  align-items: center;
}
footer .lead {
  font-size: 22px;
  min-height: 64px;
  justify-content: center;
  padding: 0 28px;
}
@media (max-width: 560px) {
  footer {
    flex-wrap: wrap;
  }
  footer .lead {
    width: 100%;
  }
}
</style>
