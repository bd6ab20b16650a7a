<script setup lang="ts">
import { calibrationOf, FAILING_FACTOR } from '@core/energy';
import { setUpTimes } from '@core/pilot';
import { computed } from 'vue';
import { counted, fixed, signedPercent } from '../format';
import { useFilm } from '../stores/film';
import { usePreferences } from '../composables/preferences';
import { tr } from './messages';
import MarkSign from './MarkSign.vue';
import SwitchField from './SwitchField.vue';

/** What logged flights have taught: energy and set-up time of each aircraft, single packs against their sisters; and whether the plan takes it. */
const film = useFilm();
const calibration = computed(() => calibrationOf(film.kit));
const times = computed(() => setUpTimes(film.kit.flightLog));
const craft = computed(() =>
  film.list('aircraft').flatMap(({ id, name }) => {
    const [energy, time] = [calibration.value.craft.get(id), times.value.get(id)];
    return energy || time ? [{ id, name, energy, time }] : [];
  }),
);
const against = computed(() =>
  [...calibration.value.packs]
    .map(([id, f]) => ({ id, name: film.get('pack', id)?.name ?? '', ...f }))
    .sort((a, b) => b.factor - a.factor),
);
const prefer = usePreferences(() => tr('learning'));
const learn = (v: boolean) => prefer({ learn: v });
</script>

<template>
  <div class="learned">
    <SwitchField
      :label="tr('loggedFlightsCorrectThePlan')"
      :value="film.film?.preferences.learn ?? true"
      :save="learn"
    />
    <p v-if="craft.length === 0" class="quiet">{{ tr('fromThreeLoggedFlights') }}</p>
    <ul v-else class="teach">
      <template v-for="c in craft" :key="c.id">
        <li v-if="c.energy">
          <span
            ><b dir="auto">{{ c.name }}</b>
            {{
              tr('takesMoreEnergy', {
                more: signedPercent(c.energy.factor - 1),
                spread: fixed(c.energy.spread * 100),
                flights: counted(c.energy.flights, 'flight'),
              })
            }}</span
          >
        </li>
        <li v-if="c.time">
          <span
            ><b dir="auto">{{ c.name }}</b>
            {{
              tr('setUpsTakeMore', {
                more: signedPercent(c.time.factor - 1),
                flights: counted(c.time.flights, 'flight'),
              })
            }}</span
          >
        </li>
      </template>
      <li v-for="p in against" :key="p.id">
        <MarkSign v-if="p.factor > FAILING_FACTOR" severity="care" /><span
          ><b dir="auto">{{ p.name }}</b>
          {{
            tr('againstItsSisters', {
              more: signedPercent(p.factor - 1),
              flights: counted(p.flights, 'flight'),
            })
          }}</span
        >
      </li>
    </ul>
  </div>
</template>

<style scoped>
.teach {
  display: grid;
  gap: 6px;
  margin: 8px 0;
  padding: 0;
  list-style: none;
}
.teach li {
  display: flex;
  gap: 7px;
  align-items: center;
}
</style>
