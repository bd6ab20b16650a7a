<script setup lang="ts">
import type { CardFacts } from '@core/film';
import { clockText } from '@core/light';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useReckoning } from '../../stores/reckoning';

/** How much footage would be lost with the aircraft at the worst moment, and what would lower it. */
const props = defineProps<{ cards: CardFacts }>();
const film = useFilm();
const reckoning = useReckoning();
const at = computed(() => {
  const flight = props.cards.aboardFlight;
  const location = flight && reckoning.locations.find((l) => l.id === flight.locationId);
  return flight && location ? `${clockText(flight.startMs, location.zone)} at ${location.name}` : '';
});
const fresh = computed(() => film.film?.preferences.cardPolicy === 'fresh');
const enough = computed(() => reckoning.along.cards.length >= props.cards.byFlight.length);
const take = (): void => { film.edit('film', film.filmId, { preferences: { ...film.film?.preferences, cardPolicy: 'fresh' } as never }, 'cards'); };
</script>

<template>
  <p v-if="cards.aboardS > 0" class="loss">
    At the worst moment, the flight of <span dir="auto">{{ at }}</span>, <b><Fig :value="cards.aboardS / 60" quantity="minutes" /></b> of footage that exists nowhere else are in the air, copied each evening.
    <template v-if="!fresh && cards.aboardFreshS < cards.aboardS * 0.98">A fresh card each flight would make it <Fig :value="cards.aboardFreshS / 60" quantity="minutes" />. <button v-if="enough" class="btn" @click="take">Fresh card each flight</button><span v-else class="quiet">That takes {{ cards.byFlight.length }} cards; {{ reckoning.along.cards.length }} come along.</span></template>
  </p>
</template>

<style scoped>
.loss { font-size: 13px; display: block; }
.btn { min-height: 26px; padding: 1px 8px; }
@media (max-width: 1099px) { .btn { min-height: var(--touch); } }
</style>
