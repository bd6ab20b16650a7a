<script setup lang="ts">
import 'apexcharts/dist/apexcharts.css';
import type { ApexOptions } from 'apexcharts';
import { computed } from 'vue';
import VueApexCharts from 'vue3-apexcharts';
import { tokenColour } from '../design/token-colour';
import { useSelection } from '../stores/selection';

/** A curve that answers a question, in this program's own colours. Series and options as the chart library takes them. */
const props = defineProps<{
  series: ApexOptions['series'];
  options: ApexOptions;
  height: number;
  type?: 'line' | 'rangeArea' | 'bar' | 'area';
  label: string;
}>();
const selection = useSelection();
// The library writes its style sheet into the page unless it finds it there; the page allows none written in.
if (!document.getElementById('apexcharts-css')) {
  const mark = document.createElement('meta');
  mark.id = 'apexcharts-css';
  document.head.append(mark);
}

/** The fonts of the design: no colour, so read as it is written. */
const font = (): string => getComputedStyle(document.documentElement).getPropertyValue('--font').trim();
/** Options with every colour that names a token resolved: charts are drawn on a canvas of their own. */
const resolved = <T,>(value: T): T => {
  if (typeof value === 'string') {
    const name = /^var\((--[a-z0-9-]+)\)$/.exec(value)?.[1];
    return (name ? tokenColour(name) : value) as T;
  }
  if (Array.isArray(value)) return value.map(resolved) as T;
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, resolved(v)])) as T;
  return value;
};
const themed = computed<ApexOptions>(() => {
  // Read when the theme changes.
  void selection.colours;
  const [chalk, quiet, line] = [tokenColour('--chalk'), tokenColour('--chalk-2'), tokenColour('--line')];
  const text = { colors: quiet, fontSize: '11.5px', fontFamily: font() };
  const o = resolved(props.options);
  const yaxis = Array.isArray(o.yaxis) ? o.yaxis : [o.yaxis ?? {}];
  return {
    ...o,
    chart: {
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      background: 'transparent',
      foreColor: chalk,
      fontFamily: font(),
      redrawOnParentResize: true,
      ...o.chart,
    },
    grid: {
      borderColor: line,
      strokeDashArray: 2,
      padding: { left: 8, right: 12, top: -14, bottom: 0 },
      ...o.grid,
    },
    legend: { show: false },
    dataLabels: { enabled: false },
    tooltip: { enabled: false, ...o.tooltip },
    xaxis: {
      axisBorder: { color: line },
      axisTicks: { color: line },
      ...o.xaxis,
      labels: { ...o.xaxis?.labels, style: text },
    },
    yaxis: yaxis.map((y) => ({ ...y, labels: { ...y.labels, style: text } })),
  };
});
</script>

<template>
  <figure class="chart" role="img" :aria-label="label">
    <VueApexCharts :type="type ?? 'line'" width="100%" :height="height" :series="series" :options="themed" />
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
  min-width: 0;
}
</style>
