<script setup lang="ts">
import { weighFlights, type FlightsWeighed } from '@core/proposals';
import { clockText } from '@core/time';
import { computed } from 'vue';
import Fig from '../../parts/Fig.vue';
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
      <button class="btn" @click="flights.stop">{{ tr('stopKeepTheBestSo') }}</button>
    </p>
    <table v-if="lines.length > 1">
      <thead>
        <tr>
          <th />
          <th scope="col">{{ tr('flown') }}</th>
          <th scope="col">{{ tr('mustShots') }}</th>
          <th scope="col">{{ tr('flightsLower') }}</th>
          <th scope="col">{{ tr('packs') }}</th>
          <th scope="col">{{ tr('inTheAir') }}</th>
          <th scope="col">{{ tr('energy') }}</th>
          <th scope="col">{{ tr('late') }}</th>
          <th scope="col">{{ tr('over') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="[name, w] in lines" :key="name">
          <th scope="row">{{ name }}</th>
          <td>
            {{ flown(w) }}<span class="unit">{{ tr('ofFlown', { flown: flown(w) + w.unflown }) }}</span>
          </td>
          <td>{{ w.flown.must }}</td>
          <td>{{ w.flights }}</td>
          <td>{{ w.packs }}</td>
          <td><Fig :value="w.airborneS / 60" quantity="minutes" /></td>
          <td><Fig :value="w.usedWh" quantity="wattHours" /></td>
          <td>{{ w.late }}</td>
          <td>{{ w.over }}</td>
        </tr>
      </tbody>
    </table>
    <template v-if="flights.proposal && !flights.busy">
      <ul class="pieces">
        <li v-for="r in rows" :key="r.i">
          <label
            ><input
              type="checkbox"
              :checked="r.f.fixed || !flights.refused.has(r.i)"
              :disabled="r.f.fixed"
              @change="flights.refuse(r.i)" />
            <b>{{ clockText(r.f.launchMs, r.place?.zone ?? 'UTC') }} {{ r.pack }}</b>
            <span>{{ r.shots }}</span>
            <span class="quiet" dir="auto">{{ r.place?.name }}{{ r.f.fixed ? tr('locked2') : '' }}</span>
            <Fig :value="r.f.airborneS / 60" quantity="minutes"
          /></label>
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
        <button class="btn lead" :title="'Enter'" @click="flights.take">
          {{ flights.refused.size > 0 ? tr('applyWhatIsTicked') : tr('applyPlan') }}</button><button
          class="btn"
          :title="tr('esc')"
          @click="flights.drop"
        >
          {{ tr('discardPlan') }}
        </button>
        <span class="faint"
          >{{ bound }}
          <template v-if="rows.some((r) => r.turned > 0)">{{ tr('flownTheOtherWayRound') }}</template></span
        >
      </p>
    </template>
    <p v-if="aside.kept && !flights.proposal && !flights.busy" class="do">
      <button class="btn" @click="aside.bringBack">{{ tr('restoreTheKeptPlan') }}</button><button
        class="btn bare"
        @click="aside.forget"
      >
        {{ tr('dropTheKeptPlan') }}
      </button>
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
table {
  border-collapse: collapse;
  font-stretch: 88%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 1px 12px 1px 0;
  white-space: nowrap;
}
thead th {
  color: var(--chalk-2);
  font-size: 12px;
}
tbody tr:last-child {
  font-weight: 620;
}
.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
.pieces label {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  min-height: 26px;
  cursor: pointer;
}
.do {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
@media (max-width: 1099px) {
  .pieces label {
    min-height: var(--touch);
  }
}
</style>
