<script setup lang="ts">
import { fixed } from '../../format';
import type { FlightExposure } from '@core/light-timeline';
import type { OnLens } from '@core/shot';
import type { LocationPlan } from '@core/day';
import { clockText } from '@core/time';
import { lightCurve, type SceneConditions } from '@core/light';
import { computed, defineAsyncComponent } from 'vue';
import { roundBounds, roundTimes } from '../../format/ticks';
import { tr } from './messages';

const CurveChart = defineAsyncComponent(() => import('../../parts/CurveChart.vue'));
/** Light under a flight with the stretches its filters hold: where the curve leaves them, it is time to land. */
const props = defineProps<{
  flight: FlightExposure;
  place: LocationPlan;
  conditions: SceneConditions;
  name: (id: string | null, stops: number) => string;
}>();
const clock = (ms: number): string => clockText(ms, props.place.location.zone);
const MARGIN_MS = 15 * 60_000;
const span = computed(() =>
  roundTimes(props.flight.flight.startMs - MARGIN_MS, props.flight.flight.endMs + MARGIN_MS),
);
const fromMs = computed(() => span.value.fromMs);
const toMs = computed(() => span.value.toMs);
const curve = computed(() => lightCurve(fromMs.value, toMs.value, 60_000, props.conditions));
const series = computed(() => [
  {
    name: tr('sceneEV'),
    type: 'line',
    data: curve.value.map((p) => ({ x: p.utcMs, y: Math.round(p.ev100 * 100) / 100 })),
  },
]);
const nameOf = (p: OnLens): string => props.name(p.filterId, p.stops);
const options = computed(() => {
  const all = curve.value.map((p) => p.ev100);
  return {
    chart: { id: `hold${props.flight.index}` },
    colors: ['var(--care)'],
    stroke: { width: 2.5 },
    xaxis: {
      type: 'numeric' as const,
      min: fromMs.value,
      max: toMs.value,
      tickAmount: span.value.ticks,
      labels: { formatter: (v: string) => clock(Number(v)) },
    },
    yaxis: { ...roundBounds(all, 5), labels: { formatter: (v: number) => `${fixed(v, 1)} EV` } },
    annotations: {
      xaxis: [
        ...props.flight.parts.flatMap((p) =>
          p.holds
            ? [
                {
                  x: Math.max(fromMs.value, p.holds.fromMs),
                  x2: Math.min(toMs.value, p.holds.toMs),
                  fillColor: 'var(--verdigris)',
                  opacity: 0.18,
                  label: {
                    text: nameOf(p),
                    borderWidth: 0,
                    orientation: 'horizontal',
                    offsetX: 30,
                    offsetY: 12,
                    style: { background: 'transparent', color: 'var(--verdigris)' },
                  },
                },
              ]
            : [],
        ),
        ...props.flight.rows.map((r) => ({
          x: r.start.utcMs,
          x2: r.end.utcMs,
          fillColor: 'var(--pick)',
          opacity: 0.22,
        })),
      ],
    },
  };
});
const spoken = computed(() =>
  props.flight.parts
    .map(
      (p) =>
        `${nameOf(p)} ${p.holds ? tr('holdsFromToTo', { from: clock(p.holds.fromMs), to: clock(p.holds.toMs) }) : tr('fail')}`,
    )
    .join('; '),
);
</script>

<template>
  <CurveChart
    :series="series"
    :options="options"
    :height="150"
    :label="tr('lightUnderTheFlightSpoken', { spoken })"
  />
</template>
