<script setup lang="ts">
import type { LocationPlan } from '@core/day';
import type { DerivedShot } from '@core/film';
import { computed } from 'vue';
import EyeView from '../../parts/EyeView.vue';
import PlanSketch from '../../parts/PlanSketch.vue';
import { useElementSize } from '../../parts/useElementSize';
import { launchOfShot } from '../../composables/shot-launch';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

/** First and last frame, and the path from above with you, north, wind and sun. */
const props = defineProps<{ shot: DerivedShot; place: LocationPlan }>();
const film = useFilm();
const facts = computed(() => props.shot.facts);
const subjects = computed(() =>
  film
    .list('subject')
    .filter((s) => s.locationId === facts.value.location.id && s.id === facts.value.shot.subjectId),
);
/** Drawn to the size it has, so that its texts keep theirs. */
const { width } = useElementSize(590, 230);
const height = computed(() => Math.round(Math.min(280, Math.max(230, 0.62 * width.value))));
const launch = computed(() => launchOfShot(film, facts.value));
</script>

<template>
  <section class="drawing" :aria-label="tr('picturesOfTheShot')">
    <figure>
      <EyeView :shot="shot" :share="0" :width="290" :height="164" />
      <figcaption class="label">{{ tr('firstFrame') }}</figcaption>
    </figure>
    <figure>
      <EyeView :shot="shot" :share="1" :width="290" :height="164" />
      <figcaption class="label">{{ tr('lastFrame') }}</figcaption>
    </figure>
    <figure ref="target" class="above">
      <PlanSketch
        :subjects="subjects"
        :shots="[shot]"
        :picked="facts.shot.id"
        :width="width"
        :height="height"
        :text-px="16"
        :wind-from-deg="place.location.windFromDeg"
        :launch="launch"
        :sun-deg="shot.light && shot.light.sun.altitudeDeg > -6 ? shot.light.sun.azimuthDeg : undefined"
      />
      <figcaption class="label">{{ tr('fromAbove') }}</figcaption>
    </figure>
  </section>
</template>

<style scoped>
.drawing {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-content: start;
}
figure {
  margin: 0;
}
.above {
  grid-column: 1 / -1;
}
</style>
