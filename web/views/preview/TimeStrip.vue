<script setup lang="ts">
import { bandsOf, type Track } from '@core/shot';
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import { tr } from './messages';
import { BAND_WORDS, fixed } from '../../format';

const props = defineProps<{ track: Track; timeS: number }>();
const emit = defineEmits<{ seek: [timeS: number] }>();
const box = useTemplateRef<HTMLElement>('box');
const width = ref(700);
let watcher: ResizeObserver | null = null;
onMounted(() => {
  watcher = new ResizeObserver(([e]) => {
    if (e) width.value = Math.max(200, e.contentRect.width);
  });
  if (box.value) watcher.observe(box.value);
});
onBeforeUnmount(() => watcher?.disconnect());

const from = computed(() => -props.track.preRollS);
const to = computed(() => props.track.totalS + props.track.postRollS);
const x = (s: number): number => ((s - from.value) / Math.max(1e-6, to.value - from.value)) * width.value;
const BAR = 20;
/** How fast is told by height and word; the tone only helps. */
const LEVEL = { still: 0.12, calm: 0.28, gentle: 0.44, lively: 0.62, fast: 0.82, frantic: 1 } as const;
const bands = computed(() =>
  bandsOf(props.track).map((b) => ({
    key: b.fromS,
    x: x(b.fromS),
    width: Math.max(0.5, x(b.toS) - x(b.fromS)),
    height: BAR * LEVEL[b.band],
    word: BAND_WORDS[b.band],
    hot: b.band === 'fast' || b.band === 'frantic',
  })),
);
const runs = (test: (s: Track['samples'][number]) => boolean) => {
  const found: { fromS: number; toS: number }[] = [];
  let open = false;
  for (const s of props.track.samples) {
    const last = found.at(-1);
    if (!test(s)) {
      open = false;
      continue;
    }
    if (open && last) last.toS = s.timeS;
    else found.push({ fromS: s.timeS, toS: s.timeS });
    open = true;
  }
  return found;
};
const cautions = computed(() =>
  [
    { word: tr('strobes'), list: runs((s) => s.strobes) },
    { word: tr('sunInTheLens'), list: runs((s) => s.sunInLens) },
  ].filter((c) => c.list.length > 0),
);
const seekTo = (event: PointerEvent): void => {
  const rect = box.value?.getBoundingClientRect();
  if (rect) emit('seek', from.value + ((event.clientX - rect.left) / rect.width) * (to.value - from.value));
};
const down = (event: PointerEvent): void => {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  seekTo(event);
};
const drag = (event: PointerEvent): void => {
  if (event.buttons > 0) seekTo(event);
};
</script>

<template>
  <div
    ref="box"
    class="strip"
    role="slider"
    tabindex="0"
    :aria-label="tr('secondOfTheMove')"
    :aria-valuemin="from.toFixed(1)"
    :aria-valuemax="to.toFixed(1)"
    :aria-valuenow="timeS.toFixed(1)"
    :aria-valuetext="tr('timeSSeconds', { timeS: fixed(timeS, 1) })"
    @pointerdown="down"
    @pointermove="drag"
    @keydown.left.prevent="emit('seek', timeS - ($event.shiftKey ? 1 : 0.25))"
    @keydown.right.prevent="emit('seek', timeS + ($event.shiftKey ? 1 : 0.25))"
    @keydown.home.prevent="emit('seek', from)"
    @keydown.end.prevent="emit('seek', to)"
  >
    <svg :width="width" height="70" aria-hidden="true">
      <rect class="roll" x="0" y="16" :width="x(0)" height="24" />
      <rect
        class="roll"
        :x="x(track.totalS)"
        y="16"
        :width="Math.max(0, width - x(track.totalS))"
        height="24"
      />
      <text class="faint" :x="4" y="31">{{ x(0) > 46 ? tr('preRoll') : '' }}</text>
      <g v-for="b in bands" :key="b.key">
        <rect
          class="band"
          :class="{ hot: b.hot }"
          :x="b.x"
          :y="40 - b.height"
          :width="b.width"
          :height="b.height"
        />
        <text v-if="b.width > 46" :x="b.x + 4" y="51">{{ b.word }}</text>
      </g>
      <g v-if="track.usableToS > track.usableFromS" class="use">
        <path :d="`M${x(track.usableFromS)} 14V4H${x(track.usableToS)}V14`" />
        <path
          v-if="track.handleS > 0 && track.usableToS - track.usableFromS > 2 * track.handleS"
          class="handles"
          :d="`M${x(track.usableFromS + track.handleS)} 4V10M${x(track.usableToS - track.handleS)} 4V10`"
        />
        <text :x="(x(track.usableFromS) + x(track.usableToS)) / 2" y="13" text-anchor="middle">
          {{ tr('usableUsableToSS', { usableToS: fixed(track.usableToS - track.usableFromS, 1) }) }}
        </text>
      </g>
      <g v-for="(c, i) in cautions" :key="c.word">
        <rect
          v-for="r in c.list"
          :key="r.fromS"
          class="caution"
          :x="x(r.fromS)"
          :y="56 + i * 5"
          :width="Math.max(2, x(r.toS) - x(r.fromS))"
          height="3"
        />
        <text class="warn" :x="Math.min(x(c.list[0]?.fromS ?? 0) + 2, width - 80)" :y="68">
          {{ i === 0 ? c.word : '' }}
        </text>
      </g>
      <g v-for="m in track.marks" :key="m.say">
        <path class="mark" :d="`M${x(m.timeS)} 14V42`" />
        <text :x="Math.min(x(m.timeS) + 3, width - 110)" y="27">{{ m.say }}</text>
      </g>
      <path class="now" :d="`M${x(timeS)} 0V56M${x(timeS) - 5} 0H${x(timeS) + 5}L${x(timeS)} 7Z`" />
    </svg>
  </div>
</template>

<style scoped>
.strip {
  cursor: ew-resize;
  touch-action: pan-y;
  height: 70px;
  overflow: hidden;
  background: var(--bench);
}
svg {
  display: block;
}
.roll {
  fill: var(--slab-2);
}
.band {
  fill: var(--slab-3);
}
.band.hot {
  fill: var(--care);
}
.use path {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.5;
}
.use text {
  fill: var(--chalk);
  paint-order: stroke;
  stroke: var(--bench);
  stroke-width: 4px;
}
.mark {
  stroke: var(--chalk);
  stroke-dasharray: 2 2;
}
.now {
  stroke: var(--pick);
  stroke-width: 2;
  fill: var(--pick);
}
.caution {
  fill: var(--care);
}
text {
  fill: var(--chalk-2);
  font-size: 10.5px;
  font-stretch: 84%;
}
.warn {
  fill: var(--care);
}
.faint {
  fill: var(--chalk-3);
}
</style>
