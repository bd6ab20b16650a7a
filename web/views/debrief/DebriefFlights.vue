<script setup lang="ts">
import { packsFlown, type FlownFlight, type ForecastError } from '@core/debrief';
import { clockText } from '@core/time';
import { counted, mean } from '@core/units';
import { computed } from 'vue';
import { OUTCOME_WORDS } from '../../format';
import Fig from '../../parts/Fig.vue';
import DataTable from '../../parts/DataTable.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { signed } from './errors';

/** Logged flights beside their plan, and how far the forecasts were off. */
const props = defineProps<{
  flights: readonly FlownFlight[];
  minutes: ForecastError | null;
  energy: ForecastError | null;
}>();
const store = useFilm();
const derivedFilm = useDerivedFilm();
const zone = computed(() => derivedFilm.locations[0]?.zone ?? 'UTC');
/** Wind that was met less the wind of the plan, on average, m/s. */
const windError = computed(() => {
  const known = props.flights.flatMap((f) => f.windErrorMs ?? []);
  return known.length > 0 ? mean(known) : null;
});
const packs = computed(() => packsFlown(props.flights).filter((p) => p.bias !== null));
const COLUMNS = [
  { key: 'takeOff', label: 'Take-off', width: 72 },
  { key: 'pack', label: 'Pack', minWidth: 50 },
  { key: 'minutes', label: 'Minutes', width: 108, figure: true },
  { key: 'energy', label: 'Energy', width: 84, figure: true, wideOnly: true },
  { key: 'error', label: 'Plan', width: 64, figure: true },
  { key: 'landed', label: 'Landed', width: 68, figure: true },
  { key: 'outcome', label: 'Outcome', minWidth: 84, wideOnly: true },
] as const;
const trend = (e: ForecastError): string => {
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const off = `off by ${percent(e.off)} on average over ${counted(e.flights, 'flight')}`;
  return e.halves ? `${off}, ${percent(e.halves[0])} at first, ${percent(e.halves[1])} lately` : off;
};
</script>

<template>
  <section aria-labelledby="debrief-flights">
    <h2 id="debrief-flights">Flights</h2>
    <p v-if="flights.length === 0" class="quiet">No flight of this film is in the log.</p>
    <template v-else>
      <DataTable :rows="flights" :columns="COLUMNS" :key-of="(row) => row.entry.id">
        <template #takeOff="{ row }">{{ clockText(row.entry.utcMs, zone) }}</template>
        <template #pack="{ row }">{{ store.get('pack', row.entry.packId)?.name ?? '–' }}</template>
        <template #minutes="{ row }"
          >{{ row.entry.minutes.toFixed(1)
          }}<span class="quiet"> of {{ row.entry.plannedMinutes?.toFixed(1) ?? '–' }}</span></template
        >
        <template #energy="{ row }"><Fig :value="row.usedWh" quantity="wattHours" /></template>
        <template #error="{ row }">{{ signed(row.energyError) }}</template>
        <template #landed="{ row }">{{ Math.round(100 * row.entry.endShare) }} %</template>
        <template #outcome="{ row }">{{ OUTCOME_WORDS[row.entry.outcome] }}</template>
      </DataTable>
      <dl>
        <template v-if="minutes">
          <dt>Minutes</dt>
          <dd>{{ trend(minutes) }}</dd>
        </template>
        <template v-if="energy">
          <dt>Energy</dt>
          <dd>{{ trend(energy) }}</dd>
        </template>
        <template v-if="windError !== null">
          <dt>Wind</dt>
          <dd>
            {{ windError < 0 ? 'weaker' : 'stronger' }} than planned by
            <Fig :value="Math.abs(windError)" quantity="speed" /> on average
          </dd>
        </template>
        <template v-for="p in packs" :key="p.packId">
          <dt>{{ store.get('pack', p.packId)?.name ?? 'a pack' }}</dt>
          <dd>{{ signed(p.bias) }} energy against plan, {{ counted(p.flights, 'flight') }}</dd>
        </template>
      </dl>
      <p class="quiet">
        {{
          store.film?.preferences.learn
            ? 'Logged flights correct the plan from three flights of an aircraft on.'
            : 'Logged flights do not correct the plan.'
        }}
        <RouterLink :to="{ name: 'flights' }">Flights, Log</RouterLink>
      </p>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 14px;
  margin: 12px 0 8px;
}
dt {
  color: var(--chalk-2);
}
dd {
  margin: 0;
}
</style>
