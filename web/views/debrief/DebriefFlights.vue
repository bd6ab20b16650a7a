<script setup lang="ts">
import { packsFlown, type FlownFlight, type ForecastError } from '@core/debrief';
import { clockText } from '@core/time';
import { mean } from '@core/units';
import { computed } from 'vue';
import { counted, fixed, OUTCOME_WORDS, signedPercent } from '../../format';
import Fig from '../../parts/Fig.vue';
import LearnedFromLog from '../../parts/LearnedFromLog.vue';
import DataTable from '../../parts/DataTable.vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

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
  {
    key: 'takeOff',
    get label() {
      return tr('takeOff');
    },
    width: 72,
  },
  {
    key: 'pack',
    get label() {
      return tr('pack');
    },
    minWidth: 50,
  },
  {
    key: 'minutes',
    get label() {
      return tr('minutes');
    },
    width: 108,
    figure: true,
  },
  {
    key: 'energy',
    get label() {
      return tr('energy');
    },
    width: 84,
    figure: true,
    wideOnly: true,
  },
  {
    key: 'error',
    get label() {
      return tr('plan');
    },
    width: 64,
    figure: true,
  },
  {
    key: 'landed',
    get label() {
      return tr('landed');
    },
    width: 68,
    figure: true,
  },
  {
    key: 'outcome',
    get label() {
      return tr('outcome');
    },
    minWidth: 84,
    wideOnly: true,
  },
] as const;
const trend = (e: ForecastError): string => {
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const off = tr('offByPercentOnAverage', { percent: percent(e.off), flights: counted(e.flights, 'flight') });
  return e.halves
    ? tr('offPercentAtFirstPercent2', { off, percent: percent(e.halves[0]), percent2: percent(e.halves[1]) })
    : off;
};
</script>

<template>
  <section aria-labelledby="debrief-flights">
    <h2 id="debrief-flights">{{ tr('flights') }}</h2>
    <p v-if="flights.length === 0" class="quiet">{{ tr('noFlightOfThisFilm') }}</p>
    <template v-else>
      <DataTable :rows="flights" :columns="COLUMNS" :key-of="(row) => row.entry.id">
        <template #takeOff="{ row }">{{ clockText(row.entry.utcMs, zone) }}</template>
        <template #pack="{ row }">{{ store.get('pack', row.entry.packId)?.name ?? '–' }}</template>
        <template #minutes="{ row }"
          >{{ fixed(row.entry.minutes, 1) }}&nbsp;<span class="quiet">{{
            tr('ofPlannedMinutes', { plannedMinutes: fixed(row.entry.plannedMinutes, 1) })
          }}</span></template
        >
        <template #energy="{ row }"><Fig :value="row.usedWh" quantity="wattHours" /></template>
        <template #error="{ row }">{{ signedPercent(row.energyError) }}</template>
        <template #landed="{ row }">{{ Math.round(100 * row.entry.endShare) }} %</template>
        <template #outcome="{ row }">{{ OUTCOME_WORDS[row.entry.outcome] }}</template>
      </DataTable>
      <dl>
        <template v-if="minutes">
          <dt>{{ tr('minutes') }}</dt>
          <dd>{{ trend(minutes) }}</dd>
        </template>
        <template v-if="energy">
          <dt>{{ tr('energy') }}</dt>
          <dd>{{ trend(energy) }}</dd>
        </template>
        <template v-if="windError !== null">
          <dt>{{ tr('wind') }}</dt>
          <dd>
            {{ tr('windErrorThanPlannedBy', { windError: windError < 0 ? tr('weaker') : tr('stronger') }) }}
            <Fig :value="Math.abs(windError)" quantity="speed" /> {{ tr('onAverage') }}
          </dd>
        </template>
        <template v-for="p in packs" :key="p.packId">
          <dt>{{ store.get('pack', p.packId)?.name ?? tr('aPack') }}</dt>
          <dd>
            {{
              tr('signedEnergyAgainstPlanFlights', {
                signed: signedPercent(p.bias),
                flights: counted(p.flights, 'flight'),
              })
            }}
          </dd>
        </template>
      </dl>
      <LearnedFromLog />
      <p class="quiet">
        <RouterLink :to="{ name: 'flights' }">{{ tr('flightsLog') }}</RouterLink>
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
