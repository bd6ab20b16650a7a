<script setup lang="ts">
import { explainFlight, explainSupply, windHoldsUntil } from '@core/day';
import { clockText } from '@core/time';
import { computed, ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import MarkSign from '../../parts/MarkSign.vue';
import PickField from '../../parts/PickField.vue';
import SumSheet from '../../parts/SumSheet.vue';
import TimeField from '../../parts/TimeField.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import EnergyChart from './EnergyChart.vue';
import type { Day } from './useDay';
import type { FlightActs } from './useFlightActs';

/** The flight in hand: its energy, its stops, what was decided about it. */
const props = defineProps<{ day: Day; acts: FlightActs }>();
const emit = defineEmits<{ log: [] }>();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const row = computed(() => props.day.row.value);
const place = computed(
  () => props.day.places.value.find((p) => p.location.id === row.value?.locationId) ?? null,
);
const pack = computed(() => film.get('pack', row.value?.flight.packId ?? ''));
const curve = computed(() => props.day.curve.value);
const opened = ref(false);
const sums = computed(() => {
  const { derived } = derivedFilm;
  const learned = derivedFilm.along.packs.find((p) => p.id === pack.value?.id);
  return opened.value && row.value && derived
    ? [
        explainFlight(row.value.flight, derived),
        ...(learned && film.film && place.value
          ? [explainSupply(row.value.flight, learned, film.film, place.value.hardest)]
          : []),
      ]
    : [];
});
const windUntil = computed(() => {
  const { derived } = derivedFilm;
  if (!row.value || !place.value || !film.film || !derived) return null;
  const { flight } = row.value;
  return windHoldsUntil(
    place.value,
    flight,
    flight.stops.flatMap((s) => derived.shots.get(s.shotId)?.facts ?? []),
    derivedFilm.along.aircraft.find((a) => a.id === flight.aircraftId),
    film.film.preferences,
  );
});
const zone = computed(() => place.value?.location.zone ?? 'UTC');
const clock = (ms: number): string => clockText(ms, zone.value);
const stops = computed(
  () =>
    row.value?.flight.stops.map((s) => ({
      ...s,
      shot: derivedFilm.derived?.shots.get(s.shotId) ?? null,
      at: clock(row.value?.flight.shotMs[s.shotId] ?? NaN),
    })) ?? [],
);
const packs = computed(() =>
  derivedFilm.along.packs
    .filter((p) => p.aircraftIds.includes(row.value?.flight.aircraftId ?? ''))
    .map((p) => ({ value: p.id as string | null, label: p.name, note: `${Math.round(p.charge * 100)} %` })),
);
const laid = computed(() => film.get('flight', row.value?.flight.planId ?? ''));
const setNotBefore = (text: string) => {
  const clean = text.trim();
  if (clean !== '' && !/^([01]\d|2[0-3]):[0-5]\d$/.test(clean))
    return [{ path: '', say: 'A time such as 07:40, or nothing.' }];
  if (row.value) props.acts.notBefore(row.value, clean === '' ? null : clean);
};
const TURNS = [
  { value: 'any' as const, label: 'whenever it suits' },
  { value: 'first' as const, label: 'first of its location' },
  { value: 'last' as const, label: 'last of its location' },
];
const shot = computed(() => stops.value.find((s) => s.shotId === selection.shotId)?.shot?.facts.shot ?? null);
const others = computed(() => [
  { value: null as string | null, label: 'none in particular' },
  ...[...(derivedFilm.derived?.shots.values() ?? [])]
    .filter((s) => s.facts.location.id === row.value?.locationId && s.facts.shot.id !== shot.value?.id)
    .map((s) => ({
      value: s.facts.shot.id as string | null,
      label: `${s.number} ${s.facts.shot.title || 'untitled'}`,
    })),
]);
/** The last stop lies on the way home: coming from the stop before, nothing of it is flown twice. */
const onWay = computed(() => {
  const s = row.value?.flight.stops;
  const [a, b] = [s?.at(-2), s?.at(-1)];
  return a && b && b.homeWh < a.homeWh * 0.8 ? b.shotId : '';
});
</script>

<template>
  <aside v-if="row" class="flight" aria-label="The flight in hand">
    <header>
      <h2>Flight {{ row.number }} on {{ row.packName }}</h2>
      <p class="quiet">
        {{ clock(row.flight.startMs) }} to {{ clock(row.flight.endMs) }} · {{ row.craftName }}
      </p>
    </header>
    <template v-if="curve">
      <EnergyChart :curve="curve" :key2="row.key" />
      <p class="say">
        <template v-if="curve.noReturn"
          ><MarkSign severity="stop" /> From {{ (curve.noReturn.tS / 60).toFixed(1) }} min on the way home
          would eat into the 10 % that is never planned: the point of no return.</template
        >
        <template v-else-if="row.flight.overWh > 0"
          ><MarkSign severity="stop" /> It would land {{ row.flight.overWh.toFixed(1) }} Wh under the
          reserve.</template
        >
        <template v-else
          >The way home never takes more than what is left: at most
          {{ Math.max(...curve.steps.map((s) => s.homeWh)).toFixed(1) }} Wh. Lands with
          <Fig :value="row.landsWith" quantity="percent" />.</template
        >
        <b v-if="windUntil !== null" class="wind">Its wind holds until {{ clock(windUntil) }}.</b>
        <span class="faint">
          Dashed: way home against the wind with what is never planned under it. Go by what the aircraft
          shows; turn back early in doubt.</span
        >
      </p>
    </template>
    <p v-else class="fault">Its pack is not along: give it another.</p>
    <button class="btn bare open" :aria-expanded="opened" @click="opened = !opened">
      Takes <Fig :value="row.flight.usedWh" quantity="wattHours" /> of
      <Fig :value="row.flight.supply.usableWh" quantity="wattHours" /> it may
    </button>
    <SumSheet v-for="s in sums" :key="s.label" :sum="s" class="sum" @close="opened = false" />
    <ol class="stops">
      <li v-for="s in stops" :key="s.shotId" :class="{ picked: s.shotId === selection.shotId }">
        <button class="stop" @click="day.choose(row.key, s.shotId)">
          <b>{{ s.shot?.number }}</b> <span dir="auto">{{ s.shot?.facts.shot.title || 'untitled' }}</span>
          <span class="quiet">{{ s.at }}</span>
          <span v-if="s.shotId === onWay" class="way">on the way home</span>
        </button>
        <Fig :value="s.wattHours" quantity="wattHours" />
        <button
          class="btn pin"
          :aria-pressed="s.pinned"
          :aria-label="`Pin ${s.shot?.facts.shot.title || 'the shot'} to this flight`"
          title="The planner keeps it in this flight (X)"
          @click="acts.pin(row, s.shotId)"
        >
          {{ s.pinned ? 'pinned' : 'pin' }}
        </button>
      </li>
    </ol>
    <div v-if="shot" class="turn">
      <PickField
        label="Shot comes"
        :value="shot.turn"
        :options="TURNS"
        :save="(v) => film.edit('shot', shot?.id ?? '', { turn: v }, 'turn')"
      />
      <PickField
        label="Not before shot"
        :value="shot.afterId"
        :options="others"
        :save="(v) => film.edit('shot', shot?.id ?? '', { afterId: v }, 'turn')"
      />
    </div>
    <div class="turn">
      <PickField
        label="Pack"
        :value="row.flight.packId"
        :options="packs"
        :save="
          (v) => {
            if (row) acts.givePack(row, v);
          }
        "
      />
      <TimeField
        label="Not before"
        :value="laid?.notBefore ?? ''"
        :save="setNotBefore"
        hint="Nobody takes off before this minute."
        clearable
      />
    </div>
    <p class="do">
      <button class="btn" title="Fly it before the flight before (+)" @click="acts.swap(row, -1)">
        Earlier</button
      ><button class="btn" title="Fly it after the next (−)" @click="acts.swap(row, 1)">Later</button>
      <button class="btn" :aria-pressed="row.flight.locked" @click="acts.lock(row)">
        {{ row.flight.locked ? 'Unlock' : 'Lock' }}</button><button
        class="btn lead"
        title="Enter what the pack showed"
        @click="emit('log')"
      >
        Log it
      </button>
    </p>
  </aside>
  <aside v-else class="flight quiet">Nothing flies on this day yet.</aside>
</template>

<style scoped>
.flight {
  display: grid;
  gap: 8px;
  align-content: start;
  min-width: 0;
  background: var(--slab);
  padding: 8px 12px;
}
h2 {
  font-size: 16px;
}
.say {
  font-size: 13px;
}
.say svg {
  display: inline-block;
  vertical-align: -1px;
}
.open {
  justify-self: start;
  min-height: 26px;
  padding: 0 4px;
  font-size: 12.5px;
  white-space: normal;
  text-align: left;
  min-width: 0;
}
.sum {
  overflow-x: auto;
  font-size: 12.5px;
}
.stops {
  display: grid;
  gap: 1px;
  list-style: none;
  padding: 0;
  margin: 0;
}
.stops li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  font-size: 13px;
}
.stops .picked {
  background: var(--pick-dim);
}
.stop {
  border: 0;
  background: none;
  text-align: left;
  padding: 3px 5px;
  cursor: pointer;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.way {
  color: var(--verdigris);
  font-size: 12px;
}
.pin {
  min-height: 24px;
  padding: 0 8px;
}
.pin[aria-pressed='true'] {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.turn {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.do {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
@media (max-width: 1099px) {
  .pin {
    min-height: var(--touch);
  }
  .stop {
    min-height: var(--touch);
  }
}
</style>
