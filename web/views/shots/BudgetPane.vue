<script setup lang="ts">
import { counted, fixed } from '../../format';
import type { DerivedFilm } from '@core/film';
import type { LocationPlan } from '@core/day';
import { computed, ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useDeferred } from '../../composables/deferred';
import CardStack from './CardStack.vue';
import { FlightSheet } from './later';
import PackRail from './PackRail.vue';
import VerdictLine from '../../parts/VerdictLine.vue';
import WarningList from '../../parts/WarningList.vue';
import { useVerdict } from '../../composables/useVerdict';
import { tr } from './messages';

const props = defineProps<{ derived: DerivedFilm; place: LocationPlan }>();
const film = useFilm();
const findings = useFindings();
const opened = ref(false);
/** The rail of a long day is much to draw: it has a picture of its own. */
const rail = useDeferred(() => ({ derived: props.derived, place: props.place }));
const b = computed(() => props.derived.budget);
const { film: verdict } = useVerdict();
/** What there is more than is needed, or less. */
const supply = computed(() => {
  const { packsShort, cardOverBytes, shotsUnfit, shotsFitting, packsSpare } = b.value;
  if (shotsFitting + shotsUnfit === 0) return '';
  if (packsShort === 0 && cardOverBytes === 0)
    return tr('packsToSpare', { packs: counted(packsSpare, 'pack') });
  return [
    packsShort > 0 ? tr('packsShort', { packs: counted(packsShort, 'pack') }) : '',
    cardOverBytes > 0 ? tr('cardsOverGBShort', { over: fixed(cardOverBytes / 1e9, 1) }) : '',
  ]
    .filter(Boolean)
    .join(' · ');
});
const warnings = computed(() => [
  ...(props.derived.locationWarnings.get(props.place.location.id) ?? []),
  ...(findings.places.get(props.place.location.id) ?? []),
  ...b.value.warnings,
]);
</script>

<template>
  <aside class="budget" :aria-label="tr('budget')">
    <VerdictLine :verdict="verdict" :most="2" />
    <p class="supply quiet">{{ supply }}</p>
    <button class="sums" :aria-expanded="opened" :title="tr('howTheseComeAbout')" @click="opened = !opened">
      <span class="sum"
        ><span class="label">{{ tr('inTheAir') }}</span
        ><b><Fig :value="b.airborneS / 60" quantity="minutes" /></b
      ></span>
      <span class="sum"
        ><span class="label">{{ tr('energy') }}</span
        ><b class="ember"><Fig :value="b.usedWh" quantity="wattHours" /></b
      ></span>
      <span class="sum"
        ><span class="label">{{ tr('packs') }}</span
        ><b
          >{{ b.packsUsed
          }}<span class="unit">{{ tr('ofPacksUsed', { packsUsed: b.packsUsed + b.packsSpare }) }}</span></b
        ></span
      >
      <span class="sum"
        ><span class="label">{{ tr('onCards') }}</span
        ><b class="verdigris"><Fig :value="b.bytes / 1e9" quantity="gigabytes" /></b
      ></span>
    </button>
    <FlightSheet v-if="opened" :derived="derived" :packs="film.kit.packs" />
    <RouterLink
      class="btn ask"
      :to="{ name: 'flights', params: { film: film.filmId, location: place.location.id } }"
      :title="tr('flightsOfTheDayBy')"
      >{{ tr('flightsOfTheDay') }}</RouterLink
    >
    <PackRail :derived="rail.derived" :place="rail.place" />
    <CardStack :budget="b" :cards="film.kit.cards" />
    <WarningList :warnings="warnings" />
  </aside>
</template>

<style scoped>
.budget {
  display: flex;
  flex-direction: column;
  gap: 7px;
  height: 100%;
  min-height: 0;
  padding: 8px 12px 8px;
  overflow: auto;
  scrollbar-width: thin;
}
/* As high as its reasons before they are there: nothing below may move under a hand. */
.budget > .verdict {
  flex: none;
  min-height: 66px;
}
.supply {
  margin: 4px 0 0 14px;
}
.sums {
  display: grid;
  grid-template-columns: repeat(4, auto);
  justify-content: space-between;
  border: 0;
  background: none;
  padding: 2px 0;
  cursor: pointer;
  text-align: left;
}
.sums:hover {
  background: var(--slab-2);
}
.sum {
  display: grid;
}
.ask {
  align-self: start;
  text-decoration: none;
  min-height: 26px;
  padding: 1px 9px;
  flex: none;
}
@media (max-width: 1099px) {
  .ask {
    min-height: var(--touch);
  }
}
.sum b {
  font-size: 16px;
  font-stretch: 86%;
  font-weight: 560;
}
.ember {
  color: var(--ember);
}
.verdigris {
  color: var(--verdigris);
}
</style>
