<script setup lang="ts">
import { siteDrawing } from '@core/drawing';
import type { DerivedShot } from '@core/film';
import type { Feature, Location } from '@core/model';
import { featureWords } from '@core/site';
import type { UnitSystem } from '@core/units';
import { computed } from 'vue';
import { drawingWords } from '../../composables/drawing-words';
import { dateText, phrase, writeText } from '../../format';
import LineDrawing from '../../parts/LineDrawing.vue';
import { tr } from './messages';

/** The site map as it is printed from the page: in lines, black on white, what is marked numbered alike in drawing and list. */
const props = defineProps<{
  location: Location;
  things: readonly Feature[];
  shots: readonly DerivedShot[];
  units: UnitSystem;
}>();
const WIDTH = 680;
const HEIGHT = 480;
const drawing = computed(() =>
  siteDrawing(
    props.things,
    props.shots.map((s) => (s.facts.trajectory?.samples ?? []).map((x) => x.pose.at)),
    WIDTH,
    HEIGHT,
    drawingWords(props.units),
  ),
);
const about = (f: Feature): string =>
  [
    f.name ? phrase(featureWords(f.kind).name) : '',
    f.heightM > 0 ? writeText(f.heightM, 'metres', props.units) : '',
    f.keepM > 0 ? tr('keptAway', { distance: writeText(f.keepM, 'metres', props.units) }) : '',
    f.notes,
  ]
    .filter((text) => text !== '')
    .join(', ');
</script>

<template>
  <div class="paper">
    <h1 dir="auto">{{ location.name }}, {{ dateText(location.date) }}</h1>
    <LineDrawing v-if="drawing" :drawing="drawing" :label="tr('howTheMapIsPrinted')" />
    <div class="lists">
      <ol>
        <li v-for="f in things" :key="f.id">
          <b dir="auto">{{ f.name || phrase(featureWords(f.kind).name) }}</b> {{ about(f) }}
        </li>
      </ol>
      <ul>
        <li v-for="s in shots" :key="s.facts.shot.id">
          <b>{{ s.number }}</b> <span dir="auto">{{ s.facts.shot.title || tr('untitled') }}</span>
        </li>
      </ul>
    </div>
    <p class="quiet">{{ tr('whatIsNotMarked') }}</p>
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 18px;
  font-size: 13px;
}
ol {
  list-style: decimal;
  padding-left: 24px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  break-inside: avoid;
}
</style>
