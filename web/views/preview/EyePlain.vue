<script setup lang="ts">
import EyeView from '../../parts/EyeView.vue';
import type { Eye } from './EyeCanvas.vue';

defineProps<{ eyes: readonly Eye[]; timeS: number }>();
const shareOf = (eye: Eye, timeS: number): number => Math.min(1, Math.max(0, timeS / eye.track.totalS));
</script>

<template>
  <div class="plain" :class="{ two: eyes.length > 1 }">
    <EyeView
      v-for="e in eyes"
      :key="e.shot.facts.shot.id"
      :shot="e.shot"
      :share="shareOf(e, timeS)"
      :width="580"
      :height="326"
    />
  </div>
</template>

<style scoped>
.plain {
  height: 100%;
  display: grid;
  place-items: center;
}
.plain.two {
  grid-template-columns: 1fr 1fr;
  gap: 4px;
}
</style>
