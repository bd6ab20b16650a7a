<script setup lang="ts">
import type { MoveSubject, Trajectory } from '@core/moves';
import { computed } from 'vue';
import { thumb } from '@core/drawing';

/** The path of a move with the aircraft running along it, again and again. */
const props = defineProps<{ flown: Trajectory | null; subject: MoveSubject }>();
const WIDTH = 132;
const HEIGHT = 84;
const drawn = computed(() => (props.flown ? thumb(props.flown, props.subject, WIDTH, HEIGHT) : null));
/** A loop is short enough to wait for, and still tells a slow move from a quick one. */
const loop = computed(() => {
  const seconds = Math.min(6, Math.max(2.2, (props.flown?.totalS ?? 0) / 4));
  return { offsetPath: `path('${drawn.value?.path ?? ''}')`, animationDuration: `${seconds.toFixed(1)}s` };
});
</script>

<template>
  <svg class="thumb" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
    <template v-if="drawn">
      <path class="shadow" :d="drawn.shadow" />
      <path class="body" :d="drawn.subject" />
      <line v-for="(stem, i) in drawn.stems" :key="i" class="stem" v-bind="stem" />
      <path class="path" :d="drawn.path" />
      <path class="to" :d="drawn.head" />
      <circle class="flier" r="3.4" :style="loop" />
    </template>
    <path v-else class="none" d="M56 32l20 20M76 32L56 52" />
  </svg>
</template>

<style scoped>
.thumb {
  width: 132px;
  height: 84px;
  display: block;
  align-self: center;
}
.path {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.7;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.shadow {
  fill: none;
  stroke: var(--hatch);
  stroke-dasharray: 1.5 2;
}
.stem {
  stroke: var(--hatch);
  stroke-width: 0.8;
}
.body {
  fill: var(--hatch);
}
.to {
  fill: var(--chalk);
}
.none {
  stroke: var(--chalk-3);
  stroke-width: 2;
}
.flier {
  fill: var(--pick);
  animation: fly 3s linear infinite;
}
@keyframes fly {
  from {
    offset-distance: 0%;
  }
  to {
    offset-distance: 100%;
  }
}
@media (prefers-reduced-motion: reduce) {
  .flier {
    display: none;
  }
}
</style>
