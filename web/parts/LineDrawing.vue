<script setup lang="ts">
import type { LineDrawing } from '@core/drawing';

/** A drawing in lines, as it stands on paper. */
defineProps<{ drawing: LineDrawing; label: string }>();
</script>

<template>
  <figure>
    <svg
      :width="drawing.width"
      :height="drawing.height"
      :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
      role="img"
      :aria-label="label"
    >
      <path class="weak" :d="drawing.weak" />
      <path class="strong" :d="drawing.strong" />
      <path class="filled" :d="drawing.filled" />
      <text v-for="(w, i) in drawing.words" :key="i" :x="w.at.x" :y="w.at.y">{{ w.text }}</text>
    </svg>
    <figcaption>{{ label }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
path {
  fill: none;
}
.weak {
  stroke: var(--chalk-3);
  stroke-width: 0.7;
}
.strong {
  stroke: var(--chalk);
  stroke-width: 1.1;
}
.filled {
  fill: var(--chalk);
}
text {
  fill: var(--chalk);
  font-size: 8px;
}
figcaption {
  font-size: 11px;
  color: var(--chalk-2);
}
</style>
