<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { BLUR_SHARE, momentAt, trackOf, type Track } from '@core/shot';
import type { DerivedShot } from '@core/film';
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { cropped, outline, thirdLines, type ScreenFrame } from '../../parts/crop-lines';
import Fig from '../../parts/Fig.vue';
import PickField from '../../parts/PickField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import { BAND_WORDS, fixed, INPUT_WORDS } from '../../format';
import EyePlain from './EyePlain.vue';
import type { Eye } from './EyeCanvas.vue';
import PathPane from './PathPane.vue';
import TimeStrip from './TimeStrip.vue';
import { usePlayback } from './usePlayback';
import { tr } from './messages';

const { text } = useMessages();

// The three-dimensional part comes only when somebody looks.
const EyeCanvas = defineAsyncComponent(() => import('./EyeCanvas.vue'));

const props = defineProps<{ shot: DerivedShot }>();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const plain = ref(document.createElement('canvas').getContext('webgl2') === null);
const overlay = ref<'thirds' | 'centre' | 'none'>('thirds');
const otherId = ref<string | null>(null);
const frames = ref<ScreenFrame[]>([]);

const track = computed(() => trackOf(props.shot));
const other = computed(() =>
  otherId.value ? (derivedFilm.derived?.shots.get(otherId.value) ?? null) : null,
);
const otherTrack = computed(() => (other.value ? trackOf(other.value) : null));
const subjectsOf = (shot: DerivedShot) =>
  film.list('subject').filter((s) => s.locationId === shot.facts.location.id);
const thingsOf = (shot: DerivedShot) =>
  film.list('feature').filter((f) => f.locationId === shot.facts.location.id);
const eyes = computed<Eye[]>(() => {
  const eye = (shot: DerivedShot, t: Track | null): Eye[] =>
    t ? [{ shot, track: t, subjects: subjectsOf(shot), things: thingsOf(shot) }] : [];
  return [...eye(props.shot, track.value), ...(other.value ? eye(other.value, otherTrack.value) : [])];
});
const startS = computed(() => -(track.value?.preRollS ?? 0));
const endS = computed(() =>
  Math.max((track.value?.totalS ?? 0) + (track.value?.postRollS ?? 0), otherTrack.value?.totalS ?? 0),
);
const { timeS, playing, rate, loops, seek, toggle, step } = usePlayback(startS, endS);
watch(
  () => props.shot.facts.shot.id,
  () => {
    otherId.value = null;
    seek(0);
  },
);
seek(0);

const moment = computed(() => (track.value ? momentAt(track.value, timeS.value) : null));
const index = computed(() =>
  track.value
    ? Math.round(
        (Math.min(track.value.totalS, Math.max(0, timeS.value)) / track.value.totalS) *
          (track.value.samples.length - 1),
      )
    : 0,
);
const told = computed(() => {
  const m = moment.value;
  if (!m) return [];
  const rolling =
    timeS.value < 0 ? tr('preRoll') : track.value && timeS.value > track.value.totalS ? tr('postRoll') : '';
  return [
    rolling,
    m.strobes ? tr('strobes') : '',
    m.sunInLens ? tr('sunInTheLens') : '',
    m.blurPx > props.shot.facts.frame.cutPx[0] * BLUR_SHARE ? tr('edgesSmear') : '',
  ].filter(Boolean);
});
const others = computed(() => [
  { value: null as string | null, label: tr('nothing') },
  ...(derivedFilm.derived?.order ?? [])
    .filter((id) => id !== props.shot.facts.shot.id)
    .map((id) => {
      const s = derivedFilm.derived?.shots.get(id);
      return {
        value: id as string | null,
        label: `${s?.number ?? ''} ${s?.facts.shot.title || tr('untitled')}`,
      };
    }),
]);
const bySecond = (m: NonNullable<typeof moment.value>): string => fixed(m.pose.at.z, 1);

const keys = (event: KeyboardEvent): void => {
  if (event.target instanceof HTMLElement && event.target.matches('input, textarea, [role="combobox"]'))
    return;
  if (event.key === 'Escape') selection.previewing = false;
  if (event.key === ' ') {
    event.preventDefault();
    toggle();
  }
  if (event.key === ',') step(-0.25);
  if (event.key === '.') step(0.25);
};
onMounted(() => window.addEventListener('keydown', keys));
onBeforeUnmount(() => window.removeEventListener('keydown', keys));
const framing = (i: number) => (i === 0 ? props.shot : other.value)?.facts.frame;
const cutOf = (f: ScreenFrame, i: number): ScreenFrame => {
  const frame = framing(i);
  return frame ? cropped(f, frame) : f;
};
const isCropped = (i: number): boolean => (framing(i)?.pixelShare ?? 1) < 0.999;
const alsoOf = (f: ScreenFrame, i: number): string => {
  const also = framing(i)?.also;
  return also ? outline(cropped(f, also)) : '';
};
const lines = (f: ScreenFrame): string =>
  overlay.value === 'thirds'
    ? thirdLines(f)
    : overlay.value === 'centre'
      ? `M${f.x + f.width / 2 - 14} ${f.y + f.height / 2}h28M${f.x + f.width / 2} ${f.y + f.height / 2 - 14}v28`
      : '';
</script>

<template>
  <section class="stage" :aria-label="tr('theMoveAsItWill')">
    <header>
      <h2>
        <span class="number">{{ shot.number }}</span> {{ shot.facts.shot.title || tr('untitled') }}
      </h2>
      <span class="quiet">{{
        tr('nameReversedName2HorizontalDegWide', {
          name: shot.facts.move?.name,
          reversed: shot.facts.shot.move.reversed ? tr('reversed') : '',
          name2: shot.facts.camera?.name,
          horizontalDeg: fixed(shot.facts.fov.horizontalDeg, 0),
        })
      }}</span>
      <span class="gap" />
      <PickField
        class="beside"
        :label="tr('besideIt')"
        :value="otherId"
        :options="others"
        :save="
          (v) => {
            otherId = v;
          }
        "
      />
      <ElButton class="btn" :title="tr('backToTheNumbersP')" @click="selection.previewing = false">
        {{ tr('numbers') }}
      </ElButton>
    </header>
    <p v-if="!track" class="quiet none">{{ shot.facts.noPath ? text(shot.facts.noPath) : '' }}</p>
    <template v-else>
      <div class="panes" :class="{ two: eyes.length > 1 }">
        <div class="eye">
          <EyePlain v-if="plain" :eyes="eyes" :time-s="timeS" />
          <template v-else>
            <EyeCanvas
              :eyes="eyes"
              :time-s="timeS"
              @frames="
                (f: ScreenFrame[]) => {
                  frames = f;
                }
              "
              @lost="plain = true"
            />
            <svg class="over" aria-hidden="true">
              <g v-for="(f, i) in frames" :key="i">
                <path v-if="isCropped(i)" class="outside" :d="outline(f) + outline(cutOf(f, i))" />
                <path v-if="isCropped(i)" class="cut" :d="outline(cutOf(f, i))" />
                <path v-if="alsoOf(f, i)" class="cut also" :d="alsoOf(f, i)" />
                <path :d="lines(cutOf(f, i))" />
              </g>
            </svg>
          </template>
        </div>
        <div class="way">
          <figure v-for="f in ['above', 'side'] as const" :key="f">
            <PathPane :shot="shot" :track="track" :index="index" :from="f" />
            <figcaption class="label">{{ f === 'above' ? tr('fromAbove') : tr('fromTheSide') }}</figcaption>
          </figure>
        </div>
      </div>
      <TimeStrip
        :track="track"
        :time-s="timeS"
        @seek="
          (s) => {
            playing = false;
            seek(s);
          }
        "
      />
      <div class="controls">
        <ElButton class="btn lead play" :title="tr('playOrHoldSpace')" @click="toggle">
          {{ playing ? tr('hold') : tr('play') }}
        </ElButton>
        <ElButton
          class="btn"
          :title="tr('aQuarterSecondBack')"
          :aria-label="tr('aQuarterSecondBack2')"
          @click="step(-0.25)"
        >
          −¼ s
        </ElButton>
        <ElButton
          class="btn"
          :title="tr('aQuarterSecondOn')"
          :aria-label="tr('aQuarterSecondOn2')"
          @click="step(0.25)"
        >
          +¼ s
        </ElButton>
        <ElButton
          v-for="r in [0.25, 0.5, 1, 4]"
          :key="r"
          class="btn"
          :class="{ on: rate === r }"
          :aria-pressed="rate === r"
          @click="rate = r"
        >
          {{ { 0.25: '¼', 0.5: '½', 1: '1', 4: '4' }[r] }}×
        </ElButton>
        <ElButton class="btn" :class="{ on: loops }" :aria-pressed="loops" @click="loops = !loops">
          {{ tr('againAndAgain') }}
        </ElButton>
        <span class="gap" />
        <ElButton
          v-for="o in ['thirds', 'centre', 'none'] as const"
          :key="o"
          class="btn"
          :class="{ on: overlay === o }"
          :aria-pressed="overlay === o"
          @click="overlay = o"
        >
          {{ { thirds: tr('thirds'), centre: tr('centre'), none: tr('clear') }[o] }}
        </ElButton>
      </div>
      <dl v-if="moment" class="moment">
        <div>
          <dt class="label">{{ tr('second') }}</dt>
          <dd data-moment="time">{{ fixed(timeS, 1) }}<span class="unit">s</span></dd>
        </div>
        <div>
          <dt class="label">{{ tr('height') }}</dt>
          <dd data-moment="height" :data-raw="bySecond(moment)">
            <Fig :value="moment.pose.at.z" quantity="metres" />
          </dd>
        </div>
        <div>
          <dt class="label">{{ tr('toTheSubject') }}</dt>
          <dd data-moment="distance"><Fig :value="moment.distanceM" quantity="metres" /></dd>
        </div>
        <div>
          <dt class="label">{{ tr('speed') }}</dt>
          <dd data-moment="speed"><Fig :value="moment.speedMs" quantity="speed" /></dd>
        </div>
        <div>
          <dt class="label">{{ tr('looksTo') }}</dt>
          <dd><Fig :value="(moment.pose.headingDeg + 360) % 360" quantity="degrees" /></dd>
        </div>
        <div>
          <dt class="label">{{ tr('tilt') }}</dt>
          <dd><Fig :value="moment.pose.tiltDeg" quantity="degrees" /></dd>
        </div>
        <div>
          <dt class="label">{{ tr('pace') }}</dt>
          <dd>{{ BAND_WORDS[moment.band] }}</dd>
        </div>
        <div>
          <dt class="label">{{ tr('sticks') }}</dt>
          <dd class="inputs">
            {{ shot.facts.trajectory?.inputs.map((i) => INPUT_WORDS[i]).join(', ') || tr('none') }}
          </dd>
        </div>
        <div v-if="told.length > 0" class="told">{{ told.join(', ') }}</div>
      </dl>
    </template>
  </section>
</template>

<style scoped>
.stage {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 8px 12px 12px;
  min-height: 0;
  background: var(--slab);
}
header {
  display: flex;
  gap: 12px;
  align-items: end;
}
h2 {
  font-size: 18px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.number {
  font-stretch: 80%;
}
.gap {
  flex: 1;
}
.beside {
  width: 210px;
}
.panes {
  flex: 1 1 0;
  min-height: 240px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 6px;
}
.panes.two {
  grid-template-columns: minmax(0, 1fr) 210px;
}
.eye,
.way {
  position: relative;
  background: var(--bench);
  min-width: 0;
  min-height: 0;
}
.over {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
.over path {
  stroke: #fff;
  stroke-opacity: 0.4;
  fill: none;
}
.over .outside {
  fill: #0d0b10;
  fill-opacity: 0.55;
  fill-rule: evenodd;
  stroke: none;
}
.over .cut {
  stroke-opacity: 0.9;
}
.over .also {
  stroke-dasharray: 5 4;
}
.way {
  display: grid;
  grid-template-rows: 1fr 1fr;
  gap: 6px;
  background: none;
}
figure {
  margin: 0;
  position: relative;
  background: var(--bench);
  min-height: 0;
}
figcaption {
  position: absolute;
  left: 7px;
  top: 4px;
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.play {
  min-width: 72px;
  justify-content: center;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.moment {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin: 0;
  align-items: end;
}
dd {
  margin: 0;
  font-size: 16px;
  font-stretch: 88%;
  font-weight: 560;
  min-width: 54px;
}
.inputs {
  font-size: 14px;
  font-weight: 400;
}
.told {
  color: var(--care);
  font-weight: 600;
}
.none {
  padding: 24px;
}
@media (max-width: 700px) {
  .panes,
  .panes.two {
    grid-template-columns: 1fr;
    grid-template-rows: 230px 230px;
    flex: none;
  }
  header {
    flex-wrap: wrap;
  }
  .stage {
    overflow: auto;
  }
}
</style>
