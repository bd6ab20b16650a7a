<script setup lang="ts">
import { ElButton } from '../../../parts/element-button';
import { phrase } from '../../../format';
import { locationVariety } from '@core/story';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { computed, ref } from 'vue';
import { useShotCommands } from '../../../composables/useShotCommands';
import { useFilm } from '../../../stores/film';
import { tr } from './messages';

const props = defineProps<{ derived: DerivedFilm; place: LocationPlan }>();
const acts = useShotCommands();
const film = useFilm();
const whole = ref(false);
const reading = computed(() =>
  locationVariety(
    [...props.derived.shots.values()].filter(
      (s) => whole.value || s.facts.location.id === props.place.location.id,
    ),
    film.kit,
  ),
);
const rows = computed(() => [
  { name: tr('howNear'), counts: Object.entries(reading.value.distance) },
  { name: tr('howHigh'), counts: Object.entries(reading.value.height) },
  { name: tr('lens'), counts: Object.entries(reading.value.lens) },
  { name: tr('whichWay'), counts: Object.entries(reading.value.direction) },
]);
</script>

<template>
  <section class="variety" :aria-label="tr('varietyOfTheList')">
    <p class="of">
      <ElButton
        v-for="w in [false, true]"
        :key="String(w)"
        class="btn"
        :class="{ on: whole === w }"
        :aria-pressed="whole === w"
        @click="whole = w"
      >
        {{ w ? tr('wholeFilm') : tr('thisLocation') }}
      </ElButton>
    </p>
    <dl>
      <template v-for="r in rows" :key="r.name"
        ><dt class="label">{{ r.name }}</dt>
        <dd>
          <span v-for="[word, n] in r.counts" :key="word" class="count" :class="{ none: n === 0 }"
            ><b>{{ n }}</b> {{ word }}</span
          >
        </dd></template
      >
    </dl>
    <ul v-if="reading.lacks.length > 0">
      <li v-for="l in reading.lacks.slice(0, 3)" :key="l.say">
        <p>
          {{ phrase(l.say) }} <span class="quiet">{{ phrase(l.why) }}</span>
        </p>
        <ElButton class="btn" @click="acts.addLacking(place.location.id, l)">{{ tr('addOne') }}</ElButton>
      </li>
    </ul>
    <p v-else class="quiet">{{ tr('nothingIsMissingThatWould') }}</p>
  </section>
</template>

<style scoped>
.variety {
  background: var(--slab-2);
  padding: 8px 10px;
  font-size: 13px;
  margin: 0 8px 6px;
}
.of {
  display: flex;
  gap: 4px;
  margin-bottom: 6px;
}
.of .btn {
  min-height: 26px;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
dl {
  display: grid;
  grid-template-columns: 62px 1fr;
  gap: 2px 8px;
  margin: 0 0 6px;
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0 9px;
  font-stretch: 88%;
}
.count.none {
  color: var(--chalk-3);
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
li .btn {
  white-space: nowrap;
  min-height: 26px;
}
</style>
