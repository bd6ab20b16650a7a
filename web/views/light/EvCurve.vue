<script setup lang="ts">
import { conditionsOf, type LocationLight } from '@core/shot';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { lightCurve } from '@core/light';
import { computed, defineAsyncComponent } from 'vue';
import { fixed, WINDOW_WORDS, write } from '../../format';
import { roundBounds, roundTimes } from '../../format/ticks';
import { tr } from './messages';

const CurveChart = defineAsyncComponent(() => import('../../parts/CurveChart.vue'));
const props = defineProps<{
  place: LocationPlan;
  lit: LocationLight;
  fromMs: number;
  toMs: number;
  height: number;
}>();
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const STEPS = 72;
const curve = computed(() =>
  lightCurve(
    props.fromMs,
    props.toMs,
    Math.max(60_000, (props.toMs - props.fromMs) / STEPS),
    conditionsOf(props.lit),
  ),
);
const series = computed(() => [
  {
    type: 'rangeArea',
    name: tr('mayBe'),
    data: curve.value.map((p) => ({ x: p.utcMs, y: [p.ev100 - p.spread, p.ev100 + p.spread] })),
  },
  { type: 'line', name: tr('sceneEV'), data: curve.value.map((p) => ({ x: p.utcMs, y: p.ev100 })) },
]);
const bounds = computed(() =>
  roundBounds(curve.value.flatMap((p) => [p.ev100 - p.spread, p.ev100 + p.spread])),
);
const inside = (ms: number | null): ms is number => ms !== null && ms >= props.fromMs && ms <= props.toMs;
const options = computed(() => {
  const { light, windowFromMs, windowToMs } = props.place;
  const mark = (x: number, text: string, colour: string) => ({
    x,
    borderColor: colour,
    strokeDashArray: 3,
    label: {
      text,
      orientation: 'horizontal',
      borderWidth: 0,
      style: { background: 'transparent', color: colour, fontSize: '11px' },
      offsetY: -2,
    },
  });
  return {
    chart: { id: 'ev' },
    colors: ['var(--note)', 'var(--care)'],
    stroke: { width: [0, 2.5], curve: 'straight' as const },
    fill: { opacity: [0.28, 1] },
    xaxis: {
      type: 'numeric' as const,
      min: props.fromMs,
      max: props.toMs,
      tickAmount: roundTimes(props.fromMs, props.toMs).ticks,
      labels: { formatter: (v: string) => clock(Number(v)) },
    },
    yaxis: { ...bounds.value, labels: { formatter: (v: number) => `${write(v, 'ev').number} EV` } },
    annotations: {
      xaxis: [
        ...(light?.windows ?? [])
          .filter((w) => w.toMs > props.fromMs && w.fromMs < props.toMs)
          .map((w) => ({
            x: Math.max(w.fromMs, props.fromMs),
            x2: Math.min(w.toMs, props.toMs),
            fillColor: w.kind === 'golden' ? '#e8a45f' : '#6f86d8',
            opacity: 0.16,
            label: {
              text: WINDOW_WORDS[w.kind],
              borderWidth: 0,
              orientation: 'horizontal',
              // The sun's own windows lie over the golden ones: their names stand under those.
              offsetY: w.kind === 'golden' || w.kind === 'blue' ? 12 : 26,
              offsetX: 18,
              style: { background: 'transparent', color: 'var(--chalk-3)' },
            },
          })),
        ...(
          [
            [windowFromMs, tr('window')],
            [windowToMs, tr('closes')],
          ] as const
        )
          .filter(([ms]) => inside(ms))
          .map(([ms, text]) => mark(ms, text, 'var(--chalk-3)')),
        ...(inside(light?.lampsOnMs ?? null) && props.place.location.lamps !== 'none'
          ? [mark(light?.lampsOnMs ?? 0, tr('lampsOn'), 'var(--care)')]
          : []),
      ],
      points: props.lit.readings
        .filter((r) => inside(r.utcMs))
        .map((r) => ({
          x: r.utcMs,
          y: r.ev100,
          marker: { size: 5, fillColor: 'var(--verdigris)', strokeColor: 'var(--bench)' },
          label: {
            get text() {
              return tr('meter');
            },
            borderWidth: 0,
            style: { background: 'transparent', color: 'var(--verdigris)' },
          },
        })),
    },
  };
});
const spoken = computed(() => {
  const [first, last] = [curve.value[0], curve.value.at(-1)];
  return first && last
    ? tr('sceneLightFromEv100EV', {
        ev100: fixed(first.ev100, 1),
        clock: clock(first.utcMs),
        ev1002: fixed(last.ev100, 1),
        clock2: clock(last.utcMs),
        spread: fixed(first.spread, 1),
        spread2: fixed(last.spread, 1),
      })
    : tr('noLight');
});
</script>

<template>
  <CurveChart type="rangeArea" :series="series" :options="options" :height="height" :label="spoken" />
</template>
