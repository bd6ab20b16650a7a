<script setup lang="ts">
import type { DerivedFilm } from '@core/film';
import type { Pack } from '@core/model';
import { clockText } from '@core/time';
import { computed } from 'vue';
import Fig from '../../../parts/Fig.vue';
import { useSelection } from '../../../stores/selection';
import { comesTo } from '../../flights/would-be';
import { tr } from './messages';

const props = defineProps<{ derived: DerivedFilm; packs: readonly Pack[] }>();
const selection = useSelection();
const rows = computed(() =>
  [...props.derived.places.values()].flatMap((place) =>
    place.flights.map((f, i) => {
      const pack = props.packs.find((p) => p.id === f.packId);
      return {
        key: `${place.location.id}${i}`,
        place: place.location.name,
        pack: pack?.name ?? '',
        at: clockText(f.startMs, place.location.zone),
        first: f.stops[0]?.shotId ?? '',
        shots: f.stops.map((s) => props.derived.shots.get(s.shotId)?.number ?? 0).join(' '),
        minutes: f.seconds / 60,
        wattHours: f.usedWh,
        landsWith: comesTo(f, props.packs).landsWith,
      };
    }),
  ),
);
const total = computed(() => ({
  minutes: rows.value.reduce((s, r) => s + r.minutes, 0),
  wattHours: rows.value.reduce((s, r) => s + r.wattHours, 0),
}));
</script>

<template>
  <section class="flights" :aria-label="tr('flights')">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ tr('off') }}</th>
          <th scope="col">{{ tr('pack') }}</th>
          <th scope="col">{{ tr('shots') }}</th>
          <th scope="col">{{ tr('time') }}</th>
          <th scope="col">{{ tr('energy') }}</th>
          <th scope="col">{{ tr('landsWith') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.key" :title="r.place" @click="selection.pick(r.first)">
          <td>{{ r.at }}</td>
          <td>{{ r.pack }}</td>
          <td>{{ r.shots }}</td>
          <td><Fig :value="r.minutes" quantity="minutes" /></td>
          <td><Fig :value="r.wattHours" quantity="wattHours" /></td>
          <td><Fig :value="r.landsWith" quantity="percent" /></td>
        </tr>
        <tr class="total">
          <td colspan="3">{{ tr('rowsFlights', { rows: rows.length }) }}</td>
          <td><Fig :value="total.minutes" quantity="minutes" /></td>
          <td><Fig :value="total.wattHours" quantity="wattHours" /></td>
          <td />
        </tr>
      </tbody>
    </table>
    <p class="faint">
      {{ tr('takeOffAndLandingHover') }}
    </p>
  </section>
</template>

<style scoped>
.flights {
  background: var(--slab-2);
  padding: 6px 8px;
  font-size: 12.5px;
  font-stretch: 88%;
  max-height: 260px;
  overflow: auto;
  flex: none;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--chalk-2);
}
td {
  padding: 1px 6px 1px 0;
  white-space: nowrap;
}
td:nth-child(3) {
  white-space: normal;
}
tbody tr:not(.total) {
  cursor: pointer;
}
tbody tr:not(.total):hover {
  background: var(--slab-3);
}
.total td {
  border-top: 1px solid var(--line);
  font-weight: 640;
}
</style>
