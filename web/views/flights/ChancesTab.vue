<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { riskDay } from '@core/risk';
import 'element-plus/es/components/progress/style/css';
import { ElProgress } from 'element-plus';
import { proxy } from 'comlink';
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import DataTable from '../../parts/DataTable.vue';
import Fig from '../../parts/Fig.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { planWorker, type PlanWorker } from '../../composables/plan-worker';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Chances } from '../../workers/plan.worker';
import type { Day } from './useDay';
import type { TableColumn } from '../../parts/table-column';
import { usePreferences } from '../../composables/preferences';
import { rehearsedOf, SIMULATOR_WEIGHT } from '@core/pilot';
import SwitchField from '../../parts/SwitchField.vue';
import { tr } from './messages';
import { fixed, grouped } from '../../format';

const CurveChart = defineAsyncComponent(() => import('../../parts/CurveChart.vue'));
/** The day thrown two thousand times: what comes home, and what would help. */
const props = defineProps<{ day: Day }>();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const answer = shallowRef<Chances | null>(null);
const busy = ref(false);
const empty = ref(false);
/** Why it could not be worked out. */
const failed = ref('');
/** Share of the days that is thrown, %. */
const thrown = ref(0);
let beside: PlanWorker | null = null;
const end = (): void => {
  beside?.end();
  beside = null;
};
const ask = async (): Promise<void> => {
  end();
  const { input } = film;
  const day = input && derivedFilm.derived && riskDay(input, derivedFilm.derived, props.day.date.value);
  empty.value = !day;
  failed.value = '';
  if (!day) {
    answer.value = null;
    busy.value = false;
    return;
  }
  const mine = (beside = planWorker());
  busy.value = true;
  thrown.value = 0;
  try {
    const told = await mine.remote.chances(
      JSON.parse(JSON.stringify(day)),
      proxy((share) => {
        if (mine === beside) thrown.value = Math.round(100 * share);
      }),
    );
    if (mine === beside) answer.value = told;
  } catch (error) {
    if (mine !== beside) return;
    answer.value = null;
    failed.value = tr('chancesStopped', {
      message: error instanceof Error ? error.message : String(error),
    });
  } finally {
    if (mine === beside) cancel();
  }
};
const cancel = (): void => {
  end();
  busy.value = false;
};
onBeforeUnmount(end);
onMounted(ask);
watch(
  () => [derivedFilm.derived, props.day.date.value],
  () => void ask(),
);
const percent = (share: number): string => `${(share * 100).toFixed(0)} %`;
const shot = (id: string) => derivedFilm.derived?.shots.get(id);
const naming = (id: string): string => {
  const s = shot(id);
  return s ? `${s.number} ${s.facts.shot.title || tr('untitled')}` : tr('aShot');
};
const first = computed(() => answer.value?.plain.missing[0] ?? null);
const odds = computed(() => {
  const a = answer.value;
  if (!a) return '';
  const said =
    a.plain.allMusts > 0.995
      ? tr('everyMustShotIsDone')
      : tr('onPercentOfSuchDays', { percent: percent(a.plain.allMusts) });
  return first.value
    ? tr('saidNamingIsTheMust', {
        said,
        naming: naming(first.value.id),
        must: first.value.must ? tr('must') : tr('shot'),
        percent: percent(first.value.chance),
      })
    : tr('saidNothingFallsOut', { said });
});
const gains = computed(() => {
  const a = answer.value;
  if (!a) return [];
  const better = (chance: number): string =>
    chance > a.plain.allMusts + 0.005
      ? tr('raisesThatToPercent', { percent: percent(chance) })
      : tr('changesNextToNothing');
  return [
    tr('oneFullPackMoreBetter', {
      better: better(a.packMore.allMusts),
      percent: percent(a.packMore.all),
      percent2: percent(a.plain.all),
    }),
    ...(a.takeLess
      ? [
          tr('oneTakeLessOfNaming', {
            naming: naming(a.takeLess.id),
            better: better(a.takeLess.answer.allMusts),
          }),
        ]
      : []),
  ];
});
const series = computed(() => [
  {
    name: 'days',
    data: answer.value?.plain.histogram.map((b) => ({ x: `${b.fromMin}–${b.toMin}`, y: b.runs })) ?? [],
  },
]);
const options = {
  chart: { id: 'chances' },
  colors: ['var(--ember)'],
  plotOptions: { bar: { columnWidth: '92%' } },
  xaxis: {
    type: 'category' as const,
    labels: { rotate: 0, hideOverlappingLabels: true },
    title: {
      get text() {
        return tr('minutesInTheAir');
      },
      style: { fontWeight: 400, fontSize: '11.5px', color: 'var(--chalk-3)' },
    },
  },
  yaxis: { labels: { formatter: (v: number) => v.toFixed(0) } },
};
const figures = computed(() => {
  const a = answer.value?.plain;
  return a
    ? ([
        { name: tr('inTheAir'), of: a.minutes, quantity: 'minutes' },
        { name: tr('leftOnPacks'), of: a.minutesLeft, quantity: 'minutes' },
        { name: tr('flightsFlown'), of: a.flights, quantity: 'count' },
      ] as const)
    : [];
});
const COLUMNS = computed((): readonly TableColumn<'name' | 'p10' | 'p50' | 'p90'>[] => [
  { key: 'name', label: '', minWidth: 110 },
  { key: 'p10', label: tr('figure1Of10Below'), figure: true, minWidth: 84 },
  { key: 'p50', label: tr('halfBelow'), figure: true, minWidth: 84 },
  { key: 'p90', label: tr('figure9Of10Below'), figure: true, minWidth: 84 },
]);
/** What is thrown for each shot that is planned: how often a take is kept, and how long its set-up takes. */
const thrownFor = computed(() => {
  const { input } = film;
  const day =
    answer.value && input && derivedFilm.derived && riskDay(input, derivedFilm.derived, props.day.date.value);
  return day
    ? day.flights
        .flatMap((f) => f.stops)
        .map((s) => ({ ...s, tries: rehearsedOf(film.list('practice'), s.id).tries }))
    : [];
});
const THROWN_COLUMNS = computed(
  (): readonly TableColumn<'shot' | 'takes' | 'kept' | 'setUp' | 'share' | 'tries'>[] => [
    { key: 'shot', label: tr('shotColumn'), minWidth: 150 },
    { key: 'takes', label: tr('takes'), figure: true, minWidth: 70 },
    { key: 'kept', label: tr('aTakeIsKept'), figure: true, minWidth: 90 },
    { key: 'setUp', label: tr('setUpOf'), figure: true, minWidth: 80 },
    { key: 'share', label: tr('ofThePlanned'), figure: true, minWidth: 90 },
    { key: 'tries', label: tr('rehearsedTries'), figure: true, minWidth: 90, wideOnly: true },
  ],
);
const counts = computed(() => film.film?.preferences.countRehearsed ?? true);
const prefer = usePreferences(() => tr('chances'));
const countRehearsed = (v: boolean) => prefer({ countRehearsed: v });
const hands = computed(() => film.list('pilot').find((p) => p.id === film.film?.pilotId)?.name ?? null);
const missing = computed(
  () => answer.value?.plain.missing.filter((m) => m.chance >= 0.005).slice(0, 12) ?? [],
);
</script>

<template>
  <div class="chances" :aria-busy="busy">
    <p v-if="failed" class="fault" role="alert">{{ failed }}</p>
    <p v-if="empty" class="quiet">{{ tr('nothingIsPlannedOnThis') }}</p>
    <template v-else-if="answer">
      <p class="big">{{ odds }}</p>
      <ul class="gains">
        <li v-for="g in gains" :key="g">{{ g }}</li>
      </ul>
      <div class="two">
        <section :aria-label="tr('minutesInTheAirUpper')">
          <h2>{{ tr('runsSuchDaysByMinutes', { runs: grouped(answer.plain.runs) }) }}</h2>
          <CurveChart
            type="bar"
            :series="series"
            :options="options"
            :height="220"
            :label="
              tr('minutesInTheAirNine', {
                p90: fixed(answer.plain.minutes.p90, 0),
                p10: fixed(answer.plain.minutes.p10, 0),
              })
            "
          />
        </section>
        <section :aria-label="tr('figures')">
          <DataTable :rows="figures" :columns="COLUMNS" :key-of="(f) => f.name">
            <template #name="{ row }">{{ row.name }}</template>
            <template #p10="{ row }"><Fig :value="row.of.p10" :quantity="row.quantity" /></template>
            <template #p50="{ row }"><Fig :value="row.of.p50" :quantity="row.quantity" /></template>
            <template #p90="{ row }"><Fig :value="row.of.p90" :quantity="row.quantity" /></template>
          </DataTable>
          <h2>{{ tr('whatFallsOut') }}</h2>
          <p v-if="missing.length === 0" class="quiet">{{ tr('nothingWorthNaming') }}</p>
          <ol v-else class="missing">
            <li v-for="m in missing" :key="m.id">
              <button class="name" @click="selection.pick(m.id)">{{ naming(m.id) }}</button>
              <span class="quiet">{{ m.must ? tr('must') : '' }}</span>
              <i :style="{ width: `${m.chance * 100}%` }" /><b>{{ percent(m.chance) }}</b>
            </li>
          </ol>
        </section>
      </div>
      <section :aria-label="tr('whatIsThrownForEach')" class="thrown">
        <h2>{{ tr('whatIsThrownForEach') }}</h2>
        <SwitchField
          :label="tr('rehearsedTriesCount')"
          :value="counts"
          :hint="tr('aRehearsedTryCounts', { tries: fixed(1 / SIMULATOR_WEIGHT, 0) })"
          :save="countRehearsed"
        />
        <DataTable :rows="thrownFor" :columns="THROWN_COLUMNS" :key-of="(s) => s.id">
          <template #shot="{ row }">{{ naming(row.id) }}</template>
          <template #takes="{ row }"><Fig :value="row.takes" quantity="count" /></template>
          <template #kept="{ row }">{{ percent(row.keeperRate) }}</template>
          <template #setUp="{ row }"><Fig :value="row.setupS" quantity="seconds" /></template>
          <template #share="{ row }">{{ percent(row.setUpShare) }}</template>
          <template #tries="{ row }">{{ row.tries || '–' }}</template>
        </DataTable>
      </section>
      <p class="faint">
        {{ tr('aShotCountsWhenOne', { hands: hands ?? tr('anAveragePilot') }) }}
      </p>
    </template>
    <template v-else-if="busy">
      <p class="quiet" role="status">{{ tr('throwingTheDice') }}</p>
      <ElProgress :percentage="thrown" :aria-label="tr('throwingTheDice')" />
      <ElButton class="btn end" @click="cancel">{{ tr('cancel') }}</ElButton>
    </template>
    <ElButton v-else class="btn end" @click="ask">{{ tr('throwTheDice') }}</ElButton>
  </div>
</template>

<style scoped>
.chances {
  display: grid;
  gap: 10px;
  max-width: 1700px;
}
.big {
  font-size: 19px;
  font-stretch: 104%;
  font-weight: 600;
  max-width: 60ch;
  line-height: 1.3;
}
.gains {
  padding: 0;
  list-style: none;
  display: grid;
  gap: 2px;
}
h2 {
  font-size: 15px;
  margin-bottom: 4px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 22px;
}
.two > * {
  min-width: 0;
}
.missing {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 2px;
}
.missing li {
  position: relative;
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 1px 6px;
}
.missing i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--ember-dim);
  z-index: 0;
}
.missing li > :not(i) {
  position: relative;
  z-index: 1;
}
.missing b {
  margin-left: auto;
}
.missing .quiet {
  color: inherit;
}
.name {
  min-height: 24px;
  border: 0;
  background: none;
  padding: 0;
  cursor: pointer;
  text-align: left;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .name {
    min-height: var(--touch);
  }
}
.end {
  justify-self: start;
}
</style>
