<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { clockText, localToUtc, minutesOf } from '@core/time';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { counted, dateText } from '../../format';
import TimeField from '../../parts/TimeField.vue';
import InTurn from '../../parts/InTurn.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { usePlanSnapshot } from '../../stores/plan-snapshot';
import { useFilm } from '../../stores/film';
import { useFindings } from '../../stores/findings';
import { useFlightEdits } from '../../stores/flight-edits';
import { useFlights } from '../../stores/flights';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import TabbedView from '../../parts/TabbedView.vue';
import { useLocationRoute } from '../../composables/useLocationRoute';
import WarningList from '../../parts/WarningList.vue';
import ChancesTab from './ChancesTab.vue';
import ChargeLanes from './ChargeLanes.vue';
import ChargingTab from './ChargingTab.vue';
import FlightPane from './FlightPane.vue';
import LogTab from './LogTab.vue';
import LossLine from './LossLine.vue';
import ProposalPane from './ProposalPane.vue';
import RailPane from './RailPane.vue';
import UnfitRows from './UnfitRows.vue';
import { useVerdict } from '../../composables/useVerdict';
import { useDay } from './useDay';
import { useFlightActs } from './useFlightActs';
import { useFlightKeys } from './useFlightKeys';
import { usePreferences } from '../../composables/preferences';
import { tr } from './messages';

const props = defineProps<{ film: string; location?: string }>();
const store = useFilm();
const aside = usePlanSnapshot();
const edits = useFlightEdits();
const flights = useFlights();
const findings = useFindings();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const day = useDay();
const acts = useFlightActs(day);
const TABS = [
  {
    id: 'flights',
    get label() {
      return tr('flights');
    },
  },
  {
    id: 'charging',
    get label() {
      return tr('chargingUpper');
    },
  },
  {
    id: 'chances',
    get label() {
      return tr('chances');
    },
  },
  {
    id: 'log',
    get label() {
      return tr('log');
    },
  },
] as const;
const tab = ref<(typeof TABS)[number]['id']>('flights');
const unfit = useTemplateRef<{ apply: (n: number) => void }>('unfit');
const plan = (): void => void flights.plan(day.date.value);
useFlightKeys(
  day,
  acts,
  (n) => unfit.value?.apply(n),
  plan,
  () => tab.value === 'flights' && !selection.keysShown,
);
useLocationRoute('flights', props);
watch(day.date, () => {
  flights.stop();
  flights.drop();
  flights.nowMs = -Infinity;
});
const zone = computed(() => day.places.value[0]?.location.zone ?? 'UTC');
const laid = computed(() =>
  day.places.value.some((p) => p.flights.some((f) => f.planId !== null && !f.locked)),
);
const now = computed(() => (Number.isFinite(flights.nowMs) ? clockText(flights.nowMs, zone.value) : ''));
const setNow = (text: string): void => {
  flights.nowMs = text === '' ? -Infinity : localToUtc(day.date.value, minutesOf(text), zone.value);
};
const { ofPlaces } = useVerdict();
const verdict = computed(() => ofPlaces(day.places.value.map((p) => p.location.id)));
const counts = computed(() => {
  const done = derivedFilm.derived?.done.size ?? 0;
  return [
    counted(day.rows.value.length, 'flight'),
    done > 0 ? tr('shotsDone2', { shots: counted(done, 'shot') }) : '',
  ]
    .filter(Boolean)
    .join(' · ');
});
const warnings = computed(() => [
  ...day.places.value.flatMap((p) =>
    [
      ...(derivedFilm.derived?.locationWarnings.get(p.location.id) ?? []),
      ...(findings.places.get(p.location.id) ?? []),
    ].filter((w) => w.code.startsWith('flight')),
  ),
  ...(derivedFilm.derived?.budget.warnings.filter((w) => /^(flight|pack|card)/.test(w.code)) ?? []),
]);
const set = usePreferences(() => tr('flying'));
const choices = computed(() => day.dates.value.map((d) => ({ id: d, label: dateText(d) })));
</script>

<template>
  <TabbedView
    name="flights"
    :title="tr('flights')"
    :data-grounds="store.terrain.size"
    :tabs-label="tr('partsOfTheFlights')"
    :tabs="TABS"
    :tab="tab"
    :choices-label="tr('days')"
    :choices="choices"
    :chosen="day.date.value"
    :verdict="verdict"
    :counts="counts"
    @tab="
      (id) => {
        tab = id;
      }
    "
    @choose="day.go"
  >
    <p v-if="day.places.value.length === 0" class="quiet">
      {{ tr('flightsBelongToALocation') }}
      <RouterLink :to="{ name: 'locations' }">{{ tr('addTheFirstLocation') }}</RouterLink>.
    </p>
    <div v-else-if="tab === 'flights'" class="cols">
      <div class="main">
        <div class="do no-print">
          <ElButton
            class="btn lead"
            :title="tr('whichShotsOnWhichPack')"
            :disabled="flights.busy"
            @click="plan"
          >
            {{ tr('planTheDay') }}
          </ElButton>
          <label class="now" :title="tr('nothingIsLaunchedBeforeFor')"
            >{{ tr('from') }} <TimeField bare clearable :label="tr('planFrom')" :value="now" :save="setNow"
          /></label>
          <ElButton class="btn" :title="tr('keepThisPlanToCompare')" @click="aside.put(day.date.value)">
            {{ tr('keepForComparison') }}
          </ElButton>
          <ElButton
            class="btn"
            :disabled="!laid"
            :title="tr('letShotsFallOntoPacks')"
            @click="edits.release(flights.placeIds(day.date.value))"
          >
            {{ tr('revertToListOrder') }}
          </ElButton>
          <SwitchField
            :label="tr('twoPilots')"
            :value="store.film?.preferences.flyAtOnce ?? false"
            :save="(v) => set({ flyAtOnce: v })"
            :hint="tr('eachAircraftHasItsOwn')"
          />
          <SwitchField
            :label="tr('keepASpare')"
            :value="store.film?.preferences.holdBackSpare ?? false"
            :save="(v) => set({ holdBackSpare: v })"
            :hint="tr('onePackOfEachAircraft')"
          />
        </div>
        <ProposalPane :day="day" />
        <InTurn><RailPane :day="day" :acts="acts" /></InTurn>
        <InTurn
          ><UnfitRows ref="unfit" :day="day" />
          <LossLine v-if="derivedFilm.derived" :cards="derivedFilm.derived.budget.cards"
        /></InTurn>
        <InTurn><ChargeLanes :day="day" /></InTurn>
        <WarningList :warnings="warnings" />
      </div>
      <InTurn><FlightPane :day="day" :acts="acts" @log="tab = 'log'" /></InTurn>
    </div>
    <ChargingTab v-else-if="tab === 'charging'" :day="day" />
    <ChancesTab v-else-if="tab === 'chances'" :day="day" />
    <LogTab v-else :day="day" />
  </TabbedView>
</template>

<style scoped>
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 14px;
  align-items: start;
}
.main {
  min-width: 0;
  display: grid;
  gap: 6px;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
.now {
  display: flex;
  align-items: center;
  gap: 6px;
  color: var(--chalk-2);
}
.now :deep(.field) {
  width: 92px;
}
@media (max-width: 1099px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .cols,
  .main {
    display: block;
  }
}
</style>
