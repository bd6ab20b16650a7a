<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import type { Shot } from '@core/model';
import { meanFactor } from '@core/footage';
import { computed } from 'vue';
import NumberField from '../../../parts/NumberField.vue';
import type { Fault } from '../../../sync/validation';
import { tr } from './messages';
import { fixed } from '../../../format';

type Segment = Shot['cut']['segments'][number];
const props = defineProps<{
  segments: readonly Segment[];
  bySeconds: boolean;
  save: (segments: Segment[]) => readonly Fault[];
}>();
const WIDTH = 560;
const HEIGHT = 74;
const FOOT = 14;

const set = (i: number, fields: Partial<Segment>) =>
  props.save(props.segments.map((s, n) => (n === i ? { ...s, ...fields } : s)));
const split = (i: number): void => {
  const s = props.segments[i];
  if (!s) return;
  const half = { ...s, timelineS: s.timelineS / 2 };
  const middle = meanFactor(s);
  props.save([
    ...props.segments.slice(0, i),
    { ...half, endFactor: s.endFactor === null ? null : middle },
    { ...half, speedFactor: s.endFactor === null ? s.speedFactor : middle },
    ...props.segments.slice(i + 1),
  ]);
};
const total = computed(() => props.segments.reduce((sum, s) => sum + s.timelineS, 0));
const top = computed(() =>
  Math.max(1.2, ...props.segments.flatMap((s) => [s.speedFactor, s.endFactor ?? s.speedFactor])),
);
/** Speed over the seconds of the timeline; its area is what has to be captured. Logarithmic, since sixteen times and half are both drawn. */
const y = (factor: number): number => {
  const low = Math.log2(0.2);
  return (
    HEIGHT -
    FOOT -
    ((Math.log2(Math.max(0.2, factor)) - low) / (Math.log2(top.value * 1.15) - low)) * (HEIGHT - FOOT - 6)
  );
};
const curve = computed(() => {
  let at = 0;
  return props.segments.map((s) => {
    const from = (at / Math.max(total.value, 1e-6)) * WIDTH;
    at += s.timelineS;
    const to = (at / Math.max(total.value, 1e-6)) * WIDTH;
    const end = s.endFactor ?? s.speedFactor;
    const steps = Array.from(
      { length: 13 },
      (_, i) =>
        `${i === 0 ? 'M' : 'L'}${(from + ((to - from) * i) / 12).toFixed(1)} ${y(s.speedFactor + ((end - s.speedFactor) * i) / 12).toFixed(1)}`,
    ).join('');
    return {
      line: steps,
      area: `${steps}L${to.toFixed(1)} ${HEIGHT - FOOT}L${from.toFixed(1)} ${HEIGHT - FOOT}Z`,
      from,
      to,
      text: `\u00d7${fixed(meanFactor(s), meanFactor(s) < 10 ? 1 : 0)}`,
    };
  });
});
</script>

<template>
  <section class="segments" :aria-label="tr('speedAlongTheClip')">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="tr('speedAlongTotalSecondsOf', { total: fixed(total, 1) })"
    >
      <g v-for="(c, i) in curve" :key="i">
        <path class="area" :d="c.area" />
        <path class="line" :d="c.line" />
        <path class="edge" :d="`M${c.from} 0V${HEIGHT - FOOT}`" />
        <text :x="(c.from + c.to) / 2" :y="HEIGHT - 3" text-anchor="middle">{{ c.text }}</text>
      </g>
      <path class="real" :d="`M0 ${y(1)}H${WIDTH}`" />
    </svg>
    <div
      v-for="(s, i) in segments"
      :key="i"
      class="row"
      role="group"
      :aria-label="tr('stretchValue', { value: i + 1 })"
    >
      <NumberField
        help="shot.timelineS"
        :label="bySeconds ? tr('inTheCut') : tr('shareOfIt')"
        :value="s.timelineS"
        quantity="seconds"
        :unit="bySeconds ? '' : tr('parts')"
        :step="0.5"
        :save="(v) => set(i, { timelineS: v })"
      />
      <NumberField
        help="shot.speedFactor"
        :label="tr('playedAt')"
        :value="s.speedFactor"
        quantity="factor"
        :step="0.5"
        :hint="tr('againstRealTime16Plays')"
        :save="(v) => set(i, { speedFactor: v })"
      />
      <NumberField
        help="shot.endFactor"
        v-if="s.endFactor !== null"
        :label="tr('to')"
        :value="s.endFactor"
        quantity="factor"
        :step="0.5"
        :save="(v) => set(i, { endFactor: v })"
      />
      <ElButton
        class="btn"
        :class="{ on: s.endFactor !== null }"
        :aria-pressed="s.endFactor !== null"
        @click="set(i, { endFactor: s.endFactor === null ? s.speedFactor * 4 : null })"
      >
        {{ s.endFactor === null ? tr('ramp') : tr('even') }}
      </ElButton>
      <ElButton class="btn" :disabled="segments.length >= 40" @click="split(i)">{{ tr('split') }}</ElButton>
      <ElButton
        class="btn"
        :disabled="segments.length === 1"
        :aria-label="tr('takeStretchValueOut', { value: i + 1 })"
        @click="save(segments.filter((_, n) => n !== i))"
      >
        {{ tr('out') }}
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
.segments {
  display: grid;
  gap: 5px;
}
svg {
  width: 100%;
  max-width: 560px;
  height: auto;
  background: var(--bench);
  display: block;
}
.area {
  fill: var(--slab-3);
}
.line {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 2;
}
.edge {
  stroke: var(--line);
}
.real {
  stroke: var(--chalk-3);
  stroke-dasharray: 2 4;
}
text {
  fill: var(--chalk-2);
  font-size: 11px;
  font-stretch: 84%;
}
.row {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 110px)) auto auto auto;
  gap: 8px;
  align-items: end;
  justify-content: start;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
</style>
