<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { weighFlights, type FlightsWeighed } from '@core/proposals';
import { clockText } from '@core/time';
import { computed } from 'vue';
import DataTable from '../../parts/DataTable.vue';
import { ElCheckbox } from '../../parts/element-checkbox';
import Fig from '../../parts/Fig.vue';
import type { TableColumn } from '../../parts/table-column';
import { usePlanSnapshot } from '../../stores/plan-snapshot';
import { useFilm } from '../../stores/film';
import { useFlights } from '../../stores/flights';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Day } from './useDay';
import { tr } from './messages';

/** What the planner proposes, beside what is there now and what was put aside; taken whole or flight by flight. */
const props = defineProps<{ day: Day }>();
const aside = usePlanSnapshot();
const film = useFilm();
const flights = useFlights();
const derivedFilm = useDerivedFilm();
const ids = computed(() => flights.placeIds(props.day.date.value));
const now = computed(() => (derivedFilm.derived ? weighFlights(derivedFilm.derived, ids.value) : null));
const would = computed(() => (flights.would ? weighFlights(flights.would, ids.value) : null));
const lines = computed(() => {
  const named: [string, FlightsWeighed | null][] = [
    [tr('asItIs'), now.value],
    [tr('keptPlan'), aside.kept?.weighed ?? null],
    [flights.refused.size > 0 ? tr('asTicked') : tr('asProposed'), would.value],
  ];
  return named.flatMap(([name, w]): [string, FlightsWeighed][] => (w ? [[name, w]] : []));
});
const COLUMNS = computed(
  (): readonly TableColumn<
    'name' | 'flown' | 'musts' | 'flights' | 'packs' | 'air' | 'energy' | 'late' | 'over'
  >[] => [
    { key: 'name', label: '', minWidth: 84 },
    { key: 'flown', label: tr('flown'), minWidth: 64 },
    { key: 'musts', label: tr('mustShots'), minWidth: 54 },
    { key: 'flights', label: tr('flightsLower'), minWidth: 70, wideOnly: true },
    { key: 'packs', label: tr('packs'), minWidth: 64, wideOnly: true },
    { key: 'air', label: tr('inTheAir'), minWidth: 66 },
    { key: 'energy', label: tr('energy'), minWidth: 68 },
    { key: 'late', label: tr('late'), minWidth: 56, wideOnly: true },
    { key: 'over', label: tr('over'), minWidth: 56, wideOnly: true },
  ],
);
const flown = (w: FlightsWeighed): number => w.flown.must + w.flown.should + w.flown.could;
const rows = computed(
  () =>
    flights.proposal?.flights.map((f, i) => ({
      f,
      i,
      pack: film.get('pack', f.packId)?.name ?? '',
      place: film.get('location', f.locationId),
      turned: f.stops.filter((s) => s.turned).length,
      shots: f.stops
        .map((s) => `${derivedFilm.derived?.shots.get(s.shotId)?.number ?? ''}${s.turned ? '\u21c4' : ''}`)
        .join(' '),
    })) ?? [],
);
const left = computed(
  () =>
    flights.proposal?.left.map((id) => derivedFilm.derived?.shots.get(id)).filter((s) => s !== undefined) ??
    [],
);
const bound = computed(() => {
  const p = flights.proposal;
  if (!p) return '';
  if (p.proven) return tr('provenNoOrderPackOr');
  const more = Math.floor(p.weightBound - p.weight + 0.001);
  const [musts, rest] = [Math.floor(more / 1_000_000), more % 1_000_000];
  const shoulds = Math.floor(rest / 1000);
  const gain = [
    musts > 0 ? tr('musts', { n: musts }) : '',
    shoulds > 0 ? tr('shoulds', { n: shoulds }) : '',
    rest % 1000 > 0 ? tr('coulds', { n: rest % 1000 }) : '',
  ]
    .filter(Boolean)
    .join(', ');
  return gain ? tr('theBestThatWasFound', { gain }) : tr('everyShotItCouldBe');
});
</script>

<template>
  <section
    v-if="flights.busy || flights.proposal || flights.failed || aside.kept"
    class="proposal"
    :aria-label="tr('plannedDay')"
  >
    <p v-if="flights.failed" class="fault" role="alert">{{ flights.failed }}</p>
    <p v-if="flights.busy" role="status">
      {{ tr('planningProgress', { progress: flights.progress }) }}
      <ElButton class="btn" @click="flights.stop">{{ tr('stopKeepTheBestSo') }}</ElButton>
    </p>
    <DataTable
      v-if="lines.length > 1"
      :rows="lines"
      :columns="COLUMNS"
      :key-of="([name]) => name"
      :class-of="([name]) => (name === lines.at(-1)?.[0] ? 'last' : '')"
    >
      <template #name="{ row: [name] }">{{ name }}</template>
      <template #flown="{ row: [, w] }"
        >{{ flown(w)
        }}<span class="unit">{{ tr('ofFlown', { flown: flown(w) + w.unflown }) }}</span></template
      >
      <template #musts="{ row: [, w] }">{{ w.flown.must }}</template>
      <template #flights="{ row: [, w] }">{{ w.flights }}</template>
      <template #packs="{ row: [, w] }">{{ w.packs }}</template>
      <template #air="{ row: [, w] }"><Fig :value="w.airborneS / 60" quantity="minutes" /></template>
      <template #energy="{ row: [, w] }"><Fig :value="w.usedWh" quantity="wattHours" /></template>
      <template #late="{ row: [, w] }">{{ w.late }}</template>
      <template #over="{ row: [, w] }">{{ w.over }}</template>
    </DataTable>
    <template v-if="flights.proposal && !flights.busy">
      <ul class="pieces">
        <li v-for="r in rows" :key="r.i">
          <ElCheckbox
            :model-value="r.f.fixed || !flights.refused.has(r.i)"
            :disabled="r.f.fixed"
            @change="flights.refuse(r.i)"
          >
            <b>{{ clockText(r.f.launchMs, r.place?.zone ?? 'UTC') }} {{ r.pack }}</b>
            <span>{{ r.shots }}</span>
            <span class="quiet" dir="auto">{{ r.place?.name }}{{ r.f.fixed ? tr('locked2') : '' }}</span>
            <Fig :value="r.f.airborneS / 60" quantity="minutes" />
          </ElCheckbox>
        </li>
      </ul>
      <p v-if="left.length > 0" class="quiet">
        {{
          tr('leftOutLeft', {
            left: left.map((s) => `${s.number} ${s.facts.shot.title || tr('untitled')}`).join(', '),
          })
        }}
      </p>
      <p class="do">
        <ElButton class="btn lead" :title="'Enter'" @click="flights.take">
          {{ flights.refused.size > 0 ? tr('applyWhatIsTicked') : tr('applyPlan') }}</ElButton><ElButton
          class="btn"
          :title="tr('esc')"
          @click="flights.drop"
        >
          {{ tr('discardPlan') }}
        </ElButton>
        <span class="faint"
          >{{ bound }}
          <template v-if="rows.some((r) => r.turned > 0)">{{ tr('flownTheOtherWayRound') }}</template></span
        >
      </p>
    </template>
    <p v-if="aside.kept && !flights.proposal && !flights.busy" class="do">
      <ElButton class="btn" @click="aside.bringBack">{{ tr('restoreTheKeptPlan') }}</ElButton><ElButton
        class="btn bare"
        @click="aside.forget"
      >
        {{ tr('dropTheKeptPlan') }}
      </ElButton>
    </p>
  </section>
</template>

<style scoped>
.proposal {
  background: var(--slab-2);
  padding: 8px 10px;
  display: grid;
  gap: 6px;
  font-size: 13px;
  min-width: 0;
  overflow-x: auto;
}
.proposal :deep(.last) {
  font-weight: 620;
}
.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
.pieces :deep(.el-checkbox) {
  height: auto;
  min-height: 26px;
  margin: 0;
}
.pieces :deep(.el-checkbox__label) {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 7px;
  white-space: normal;
  font-size: inherit;
  color: inherit;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
@media (max-width: 1099px) {
  .pieces :deep(.el-checkbox) {
    min-height: var(--touch);
  }
}
</style>
