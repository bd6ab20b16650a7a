<script setup lang="ts">
import { skyColour } from '@core/light';
import type { DerivedShot } from '@core/film';
import LensView from '../../parts/LensView.vue';
import type { Eye } from './EyeCanvas.vue';

defineProps<{ eyes: readonly Eye[]; timeS: number }>();
const altitude = (shot: DerivedShot): number => shot.light?.sun.altitudeDeg ?? 40;
const colour = (deg: number): string => `rgb(${skyColour(deg).join(' ')})`;
const shareOf = (eye: Eye, timeS: number): number => Math.min(1, Math.max(0, timeS / eye.track.totalS));
</script>

<template>
  <div class="plain" :class="{ two: eyes.length > 1 }">
    <LensView v-for="e in eyes" :key="e.shot.facts.shot.id" :facts="e.shot.facts" :share="shareOf(e, timeS)" :width="580" :height="326" :sky-top="colour(altitude(e.shot) + 8)" :sky-low="colour(altitude(e.shot))" land="rgb(86 80 70)" />
  </div>
</template>

<style scoped>
.plain { height: 100%; display: grid; place-items: center; }
.plain.two { grid-template-columns: 1fr 1fr; gap: 4px; }
</style>
