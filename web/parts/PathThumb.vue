<script setup lang="ts">
import type { Trajectory, MoveSubject } from '@core/moves';
import { computed } from 'vue';
import { thumb } from '@core/drawing';

const props = defineProps<{ flown: Trajectory | null; subject: MoveSubject | null }>();
const WIDTH = 58;
const HEIGHT = 42;
const drawn = computed(() =>
  props.flown && props.subject ? thumb(props.flown, props.subject, WIDTH, HEIGHT) : null,
);
</script>

<template>
  <svg class="thumb" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
    <template v-if="drawn">
      <path class="shadow" :d="drawn.shadow" />
      <path class="body" :d="drawn.subject" />
      <line v-for="(stem, i) in drawn.stems" :key="i" class="stem" v-bind="stem" />
      <path class="path" :d="drawn.path" />
      <circle class="from" :cx="drawn.start.x" :cy="drawn.start.y" r="2.2" />
      <path class="to" :d="drawn.head" />
    </template>
    <path v-else class="none" d="M20 12l18 18M38 12L20 30" />
  </svg>
</template>

<style scoped>
.thumb {
  width: 58px;
  height: 42px;
  flex: none;
  display: block;
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
  stroke-width: 1;
  stroke-dasharray: 1.5 2;
}
.stem {
  stroke: var(--hatch);
  stroke-width: 0.8;
}
.body {
  fill: var(--hatch);
}
.from {
  fill: var(--slab);
  stroke: var(--chalk);
  stroke-width: 1.4;
}
.to {
  fill: var(--chalk);
}
.none {
  stroke: var(--stop);
  stroke-width: 2;
}
</style>
