<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { filterHours } from '@core/light-timeline';
import { locationLight } from '@core/shot';
import {
  equivalents,
  isoSteps,
  shutterAngle,
  shutterOfAngle,
  solveKnob,
  stackOf,
  type Exposure,
  type Knob,
} from '@core/exposure';
import { clockText } from '@core/time';
import { computed, reactive, ref } from 'vue';
import { apertureText, fixed, readNumber, shutterText } from '../../format';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import FixedTilt from './FixedTilt.vue';
import GapMark from './GapMark.vue';
import { useMessages } from '../../composables/useMessages';
import { tr } from './messages';

const { text } = useMessages();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const knobs = reactive<Record<Knob, number>>({
  ev100: 13,
  aperture: 2.8,
  shutterS: 1 / 50,
  iso: 100,
  ndStops: 0,
});
const wanted = ref<Knob>('ndStops');
const KNOBS: { id: Knob; label: string }[] = [
  {
    id: 'ev100',
    get label() {
      return tr('light');
    },
  },
  {
    id: 'aperture',
    get label() {
      return tr('aperture');
    },
  },
  {
    id: 'shutterS',
    get label() {
      return tr('shutter');
    },
  },
  {
    id: 'iso',
    get label() {
      return tr('iso');
    },
  },
  {
    id: 'ndStops',
    get label() {
      return tr('filter');
    },
  },
];
const answer = computed(() => solveKnob(knobs, wanted.value));
const whole = computed<Exposure>(() =>
  answer.value.ok ? { ...knobs, [wanted.value]: answer.value.value } : { ...knobs },
);
const set = (id: Knob, value: number) => {
  const least = id === 'ev100' || id === 'ndStops' ? -20 : 1e-6;
  if (id === 'ndStops' && value < 0) return [{ path: '', say: tr('aFilterTakesLight0') }];
  if (!(value >= least)) return [{ path: '', say: tr('moreThanNothingIsNeeded') }];
  knobs[id] = value;
  return [];
};
/** One over seconds, as it is written on the dial; 0.5" and 1/50 are understood as well. */
const setShutter = (text: string) => {
  const clean = text.replace('1/', '').replace(/["s\s]/g, '');
  const n = readNumber(clean);
  if (!(n > 0)) return [{ path: '', say: tr('aShutterSuchAs1') }];
  return set('shutterS', /1\//.test(text) || (n >= 2 && !/["s]/.test(text)) ? 1 / n : n);
};
const texts = computed<Record<Knob, string>>(() => ({
  ev100: `${fixed(whole.value.ev100, 1)} EV`,
  aperture: `f/${fixed(whole.value.aperture, 1)}`,
  shutterS: shutterText(whole.value.shutterS),
  iso: tr('isoIso', { iso: Math.round(whole.value.iso) }),
  ndStops:
    whole.value.ndStops < 0.05
      ? tr('noFilter')
      : tr('ndStopsStopsFactorNdStops2', {
          ndStops: fixed(whole.value.ndStops, 1),
          ndStops2: Math.round(2 ** whole.value.ndStops),
        }),
}));

const fps = ref(25);
const angle = ref(180);
const forAngle = computed(() =>
  solveKnob({ ...whole.value, shutterS: shutterOfAngle(angle.value, fps.value) }, 'ndStops'),
);

const stackText = ref('8 16');
const stack = computed(() =>
  stackOf(
    stackText.value
      .split(/[\s,+×x]+/)
      .filter((t) => t !== '')
      .map(readNumber),
  ),
);
const setStack = (text: string) => {
  stackText.value = text;
  return [];
};

const APERTURES = [1.7, 2, 2.8, 4, 5.6, 8, 11];
const ISOS = isoSteps(100, 6400).filter((iso) => [100, 200, 400, 800, 1600, 3200, 6400].includes(iso));
const equal = computed(() => equivalents(whole.value, APERTURES, ISOS, 1 / fps.value).slice(0, 14));

/** Filters of the kit against the light of the location over the next hour. */
const here = computed(() => {
  const place = selection.place;
  const shot = selection.shot;
  if (!place?.light || !shot?.light || !Number.isFinite(place.windowFromMs)) return null;
  if (!film.film) return null;
  const lit = locationLight(place.location, place.light, film.list('reading'), film.film.preferences);
  const now = Date.now();
  const startMs = now > place.light.sun.startMs && now < place.light.sun.endMs ? now : place.windowFromMs;
  const hour = filterHours(
    shot.facts,
    derivedFilm.along,
    lit,
    startMs,
    film.film?.preferences.cleanIsoStops ?? 2,
  );
  const rows = hour.filters.slice(0, 5).map((f) => ({
    key: `${f.filterId}${f.factor}`,
    name: f.filterId === null ? tr('noFilter') : (film.get('filter', f.filterId)?.name ?? ''),
    stops: f.stops,
    minutes: f.minutes,
    from: f.fromMs,
    to: f.toMs,
  }));
  return {
    place: place.location,
    startMs,
    rows,
    ev: hour.ev100,
    endEv: hour.endEv100,
    camera: shot.facts.camera?.name ?? '',
  };
});
const useHere = (): void => {
  if (here.value) {
    knobs.ev100 = Math.round(here.value.ev * 10) / 10;
    if (wanted.value === 'ev100') wanted.value = 'ndStops';
  }
};
const clock = (ms: number | null): string =>
  ms === null || !here.value ? '' : clockText(ms, here.value.place.zone);
</script>

<template>
  <main class="quick scroll" tabindex="-1">
    <section class="sheet" aria-labelledby="quick-title">
      <h1 id="quick-title">{{ tr('calculators') }}</h1>
      <p class="quiet">{{ tr('giveFourGetTheFifth') }}</p>
      <div class="knobs">
        <div v-for="k in KNOBS" :key="k.id" class="knob" :class="{ on: wanted === k.id }">
          <button class="pick" :aria-pressed="wanted === k.id" @click="wanted = k.id">{{ k.label }}</button>
          <output v-if="wanted === k.id" class="out" :data-out="k.id">{{
            answer.ok ? texts[k.id] : '–'
          }}</output>
          <TextField
            v-else-if="k.id === 'shutterS'"
            bare
            :label="k.label"
            :value="shutterText(knobs.shutterS)"
            :save="setShutter"
          />
          <NumberField
            v-else
            bare
            :label="k.label"
            :value="knobs[k.id]"
            :quantity="k.id === 'ev100' ? 'ev' : k.id === 'ndStops' ? 'stops' : 'count'"
            :unit="k.id === 'aperture' ? 'f' : ''"
            :step="k.id === 'iso' ? 100 : k.id === 'aperture' ? 0.1 : 1"
            :save="(v) => set(k.id, v)"
          />
        </div>
      </div>
      <p v-if="!answer.ok" class="fault" role="alert">{{ text(answer.reason) }}</p>
      <p v-else class="quiet">
        {{ tr('shutterAngleAt') }} <Fig :value="fps" quantity="count" /> {{ tr('fps') }}
        <b><Fig :value="shutterAngle(whole.shutterS, fps)" quantity="degrees" /></b>
      </p>
    </section>
    <section class="sheet" aria-labelledby="angle-title">
      <h2 id="angle-title">{{ tr('filterForAShutterAngle') }}</h2>
      <div class="pair">
        <NumberField
          :label="tr('angle')"
          :value="angle"
          quantity="degrees"
          :step="10"
          :save="
            (v) => {
              if (v > 0 && v <= 360) {
                angle = v;
                return [];
              }
              return [{ path: '', say: tr('betweenNoughtAndWhole') }];
            }
          "
        /><NumberField
          :label="tr('rate')"
          :value="fps"
          quantity="count"
          unit="fps"
          :save="
            (v) => {
              if (v > 0 && v <= 1000) {
                fps = v;
                return [];
              }
              return [{ path: '', say: tr('framesASecondAboveNothing') }];
            }
          "
        />
      </div>
      <p class="big" data-angle>
        <template v-if="forAngle.ok">{{
          forAngle.value < 0.05
            ? tr('noFilterNeeded')
            : tr('forAngleStopsFactorForAngle2', {
                forAngle: fixed(forAngle.value, 1),
                forAngle2: Math.round(2 ** forAngle.value),
              })
        }}</template><template v-else>{{ text(forAngle.reason) }}</template>
      </p>
    </section>
    <section class="sheet" aria-labelledby="stack-title">
      <h2 id="stack-title">{{ tr('filtersOnTopOfEach') }}</h2>
      <TextField
        :label="tr('factors')"
        :value="stackText"
        :hint="tr('eachFiltersFactor816')"
        :save="setStack"
      />
      <p class="big" data-stack>
        <template v-if="stack.ok"
          >{{ fixed(stack.value.stops, 1) }}<span class="unit">{{ tr('stops') }}</span>
          {{
            tr('factorFactorDensityDensity', {
              factor: Math.round(stack.value.factor),
              density: fixed(stack.value.density, 1),
            })
          }}</template
        ><template v-else>{{ text(stack.reason) }}</template>
      </p>
      <p class="faint">
        {{ tr('stopsAndDensitiesAddFactors') }}
      </p>
    </section>
    <section class="sheet" aria-labelledby="equal-title">
      <h2 id="equal-title">{{ tr('theSameExposureOtherwise') }}</h2>
      <ul class="equal">
        <li v-for="(e, i) in equal" :key="i">
          {{
            tr('shutterSApertureISOIso', {
              shutterS: shutterText(e.shutterS),
              aperture: apertureText(e.aperture),
              iso: e.iso,
            })
          }}
        </li>
      </ul>
      <p v-if="equal.length === 0" class="quiet">{{ tr('noneOnTheUsualDials') }}</p>
    </section>
    <GapMark class="sheet" />
    <FixedTilt class="sheet" />
    <section v-if="here" class="sheet" aria-labelledby="hour-title">
      <h2 id="hour-title">
        {{ tr('theHourFromClockAt', { clock: clock(here.startMs), name: here.place.name }) }}
      </h2>
      <p class="quiet">
        {{ tr('light') }} <Fig :value="here.ev" quantity="ev" /> {{ tr('to') }}
        <Fig :value="here.endEv" quantity="ev" />{{ tr('withCamera', { camera: here.camera }) }}
        <ElButton class="btn" @click="useHere">{{ tr('takeThisLight') }}</ElButton>
      </p>
      <ul class="hour">
        <li v-for="r in here.rows" :key="r.key">
          <b>{{ r.name }}</b>
          <span class="quiet">{{
            r.stops > 0.05 ? tr('stopsStops', { stops: fixed(r.stops, 1) }) : ''
          }}</span>
          <span>{{ tr('clockToClock2', { clock: clock(r.from), clock2: clock(r.to) }) }}</span>
          <span class="bar"><i :style="{ width: `${(r.minutes / 61) * 100}%` }" /></span>
        </li>
      </ul>
      <p v-if="here.rows.length === 0" class="quiet">
        {{ tr('noFilterOfTheKit') }}
      </p>
    </section>
  </main>
</template>

<style scoped>
.quick {
  background: var(--bench);
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 1px;
  align-content: start;
}
.sheet {
  background: var(--slab);
  padding: 14px 20px 18px;
  display: grid;
  gap: 10px;
  align-content: start;
}
.sheet:first-child {
  grid-column: 1 / -1;
}
.knobs {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px;
}
.knob {
  border: 1px solid var(--line);
  background: var(--bench);
  padding: 6px 8px 10px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.knob.on {
  border-color: var(--pick);
  background: var(--pick-dim);
}
.pick {
  border: 0;
  background: none;
  text-align: left;
  font-weight: 620;
  min-height: var(--touch);
  cursor: pointer;
  padding: 0;
}
.out {
  font-size: 21px;
  font-weight: 640;
  font-stretch: 84%;
  line-height: 1.15;
}
.quick :deep(.big) {
  font-size: 19px;
  font-weight: 620;
  font-stretch: 90%;
}
.quick :deep(.pair) {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.equal {
  columns: 2;
  column-gap: 18px;
  font-stretch: 90%;
}
.hour {
  display: grid;
  gap: 4px;
}
.hour li {
  display: grid;
  grid-template-columns: minmax(90px, auto) minmax(96px, auto) minmax(110px, auto) 1fr;
  gap: 8px;
  align-items: center;
}
.bar {
  height: 9px;
  background: var(--bench);
  border: 1px solid var(--line);
  display: block;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--verdigris);
}
@media (max-width: 700px) {
  .knobs {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .quick {
    grid-template-columns: 1fr;
  }
  .hour li {
    grid-template-columns: 1fr 1fr;
  }
  .sheet {
    padding: 12px;
  }
}
/* Five boxes fill a wide row; the hour goes across under them. */
@media (min-width: 1690px) {
  .sheet:last-child {
    grid-column: 1 / -1;
  }
  .hour {
    grid-template-columns: repeat(auto-fill, minmax(440px, 1fr));
    column-gap: 36px;
  }
}
</style>
