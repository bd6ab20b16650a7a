<script setup lang="ts">
import type { DerivedShot } from '@core/film';
import { skyColour } from '@core/light';
import type { Pose } from '@core/moves';
import { computed } from 'vue';
import LensView from './LensView.vue';

/** A shot through the lens at a share of its move, or from where the camera was flown, in the light of its minute. */
const props = defineProps<{
  shot: Pick<DerivedShot, 'facts' | 'light'>;
  share: number;
  width: number;
  height: number;
  pose?: Pose | null;
}>();
const colour = (deg: number): string => `rgb(${skyColour(deg).join(' ')})`;
/** The ground darkens with the sky, down to a quarter at night. */
const landColour = (deg: number): string => {
  const share = Math.min(1, Math.max(0.25, (deg + 10) / 20));
  return `rgb(${[86, 80, 70].map((part) => Math.round(part * share)).join(' ')})`;
};
const altitude = computed(() => props.shot.light?.sun.altitudeDeg ?? 40);
</script>

<template>
  <LensView
    :facts="shot.facts"
    :share="share"
    :pose="pose ?? null"
    :width="width"
    :height="height"
    :sky-top="colour(altitude + 8)"
    :sky-low="colour(altitude)"
    :land="landColour(altitude)"
  />
</template>
