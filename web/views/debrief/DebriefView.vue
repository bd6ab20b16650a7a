<script setup lang="ts">
import { flownFlights, forecastError, secondDay, shotsFlown } from '@core/debrief';
import { computed } from 'vue';
import { useDeferred } from '../../composables/deferred';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import DebriefFlights from './DebriefFlights.vue';
import DebriefShots from './DebriefShots.vue';
import DebriefTries from './DebriefTries.vue';
import RecordPane from './RecordPane.vue';
import SecondDay from './SecondDay.vue';
import { errorText } from './errors';
import { tr } from './messages';

/** Plan against what happened: shots, flights, forecasts, tries, and what a second day would have to bring. */
const store = useFilm();
const derivedFilm = useDerivedFilm();
const shots = useDeferred(() =>
  store.input && derivedFilm.derived ? shotsFlown(store.input, derivedFilm.derived) : [],
);
const flights = computed(() => (store.input ? flownFlights(store.input) : []));
const simulated = computed(() => flights.value.filter((f) => f.entry.simulated).length);
const missing = computed(() => (store.input ? secondDay(store.input, shots.value) : []));
const count = (status: string): number => shots.value.filter((s) => s.status === status).length;
const begun = computed(() => flights.value.length > 0 || shots.value.some((s) => s.takes.length > 0));
const minutes = computed(() => forecastError(flights.value.map((f) => f.minutesError)));
const energy = computed(() => forecastError(flights.value.map((f) => f.energyError)));
</script>

<template>
  <main class="debrief scroll" tabindex="-1">
    <header>
      <h1>{{ tr('debrief') }}</h1>
      <p v-if="shots.length > 0" class="sum">
        <b>{{ count('kept') }}</b>
        {{
          tr('ofShotsShotsKeptCount', {
            shots: shots.length,
            count: count('tried'),
            count2: count('missing'),
          })
        }}
        <template v-if="minutes">{{
          tr('flightsTookBiasMinutesThan', {
            minutes: errorText(minutes.bias),
            energy: energy ? errorText(energy.bias) : '–',
          })
        }}</template>
      </p>
      <p v-if="simulated > 0" class="quiet">{{ tr('flightsAreSimulated', { n: simulated }) }}</p>
    </header>
    <p v-if="!begun" class="empty quiet">
      {{ tr('nothingIsFlownYetTakes') }}
      <RouterLink :to="{ name: 'field' }">{{ tr('field') }}</RouterLink>{{ tr('hereTheyStandBesideTheir') }}
    </p>
    <div class="columns">
      <DebriefShots :shots="shots" />
      <div class="side">
        <SecondDay v-if="missing.length > 0" :missing="missing" />
        <template v-if="begun">
          <DebriefFlights :flights="flights" :minutes="minutes" :energy="energy" />
          <DebriefTries :shots="shots" />
        </template>
        <RecordPane v-if="shots.length > 0" />
      </div>
    </div>
  </main>
</template>

<style scoped>
.debrief {
  padding: 16px 20px 40px;
  display: grid;
  gap: 12px;
  align-content: start;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
}
.sum {
  margin: 0;
  font-size: 17px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.side {
  display: grid;
  gap: 16px;
  min-width: 0;
}
.debrief :deep(section) {
  background: var(--slab);
  padding: 14px 18px 16px;
  min-width: 0;
}
.debrief :deep(h2) {
  font-size: 16px;
  margin-bottom: 6px;
}
@media (max-width: 1000px) {
  .debrief {
    padding: 10px;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
