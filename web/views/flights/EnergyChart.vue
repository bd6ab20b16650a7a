<script setup lang="ts">
import type { EnergyCurve } from '@core/day';
import { computed, defineAsyncComponent } from 'vue';
import { roundBounds } from '../../format/ticks';
import { tr } from './messages';
import { fixed } from '../../format';

const CurveChart = defineAsyncComponent(() => import('../../parts/CurveChart.vue'));
/** Energy left along a flight, over what the way home would take from each moment. */
const props = defineProps<{ curve: EnergyCurve; key2: string }>();
const series = computed(() => [
  {
    name: tr('energyLeft'),
    type: 'line',
    data: props.curve.steps.map((s) => ({ x: s.tS / 60, y: Number(s.leftWh.toFixed(2)) })),
  },
  {
    name: tr('wayHome'),
    type: 'line',
    data: props.curve.steps.map((s) => ({
      x: s.tS / 60,
      y: Number((s.homeWh + props.curve.criticalWh).toFixed(2)),
    })),
  },
]);
const options = computed(() => {
  const { steps, reserveWh, criticalWh, noReturn, turnBackS } = props.curve;
  const bounds = roundBounds([0, ...steps.map((s) => s.leftWh)], 6);
  const end = Math.ceil((steps.at(-1)?.tS ?? 0) / 60);
  const line = (y: number, text: string, left = false) => ({
    y,
    borderColor: 'var(--chalk-3)',
    strokeDashArray: 4,
    label: {
      text,
      borderWidth: 0,
      position: left ? 'left' : 'right',
      textAnchor: left ? 'start' : 'end',
      offsetY: left ? 13 : -1,
      style: { background: 'transparent', color: 'var(--chalk-3)', fontSize: '11px' },
    },
  });
  const mark = (x: number, text: string, colour: string) => ({
    x,
    borderColor: colour,
    strokeDashArray: 0,
    label: {
      text,
      orientation: 'horizontal',
      borderWidth: 0,
      offsetY: 10,
      textAnchor: 'end',
      offsetX: -3,
      style: { background: 'transparent', color: colour, fontSize: '11px' },
    },
  });
  return {
    chart: { id: `energy${props.key2}` },
    colors: ['var(--ember)', 'var(--note)'],
    stroke: { width: [2.5, 2], curve: 'straight' as const, dashArray: [0, 4] },
    xaxis: {
      type: 'numeric' as const,
      min: 0,
      max: end,
      tickAmount: Math.min(5, Math.max(1, end)),
      labels: { rotate: 0, formatter: (v: string) => tr('numberMin', { number: fixed(Number(v), 0) }) },
    },
    yaxis: { ...bounds, min: 0, labels: { formatter: (v: number) => `${v.toFixed(0)} Wh` } },
    annotations: {
      yaxis: [line(reserveWh, tr('reserve')), line(criticalWh, tr('neverPlanned'), true)],
      xaxis: [
        ...(noReturn ? [mark(noReturn.tS / 60, tr('noReturn'), 'var(--stop)')] : []),
        ...(turnBackS !== null ? [mark(turnBackS / 60, tr('turnBack'), 'var(--care)')] : []),
      ],
    },
  };
});
const spoken = computed(() => {
  const [first, last] = [props.curve.steps[0], props.curve.steps.at(-1)];
  return tr('energyFromLeftWhToLeftWh2', {
    leftWh: fixed(first?.leftWh, 1),
    leftWh2: fixed(last?.leftWh, 1),
    max: fixed(Math.max(...props.curve.steps.map((s) => s.homeWh)), 1),
  });
});
</script>

<template><CurveChart :series="series" :options="options" :height="168" :label="spoken" /></template>
