<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { messageKey } from '@core/messages';
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
import { tr } from './messages';
import { fixed } from '../../format';

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
    return [{ path: '', say: tr('aTimeSuchAs07') }];
  if (row.value) props.acts.notBefore(row.value, clean === '' ? null : clean);
};
const TURNS = [
  {
    value: 'any' as const,
    get label() {
      return tr('wheneverItSuits');
    },
  },
  {
    value: 'first' as const,
    get label() {
      return tr('firstOfItsLocation');
    },
  },
  {
    value: 'last' as const,
    get label() {
      return tr('lastOfItsLocation');
    },
  },
];
const shot = computed(() => stops.value.find((s) => s.shotId === selection.shotId)?.shot?.facts.shot ?? null);
const others = computed(() => [
  { value: null as string | null, label: tr('noneInParticular') },
  ...[...(derivedFilm.derived?.shots.values() ?? [])]
    .filter((s) => s.facts.location.id === row.value?.locationId && s.facts.shot.id !== shot.value?.id)
    .map((s) => ({
      value: s.facts.shot.id as string | null,
      label: `${s.number} ${s.facts.shot.title || tr('untitled')}`,
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
  <aside v-if="row" class="flight" :aria-label="tr('theFlightInHand')">
    <header>
      <h2>{{ tr('flightNumberOnPackName', { number: row.number, packName: row.packName }) }}</h2>
      <p class="quiet">
        {{
          tr('clockToClock2CraftName', {
            clock: clock(row.flight.startMs),
            clock2: clock(row.flight.endMs),
            craftName: row.craftName,
          })
        }}
      </p>
    </header>
    <template v-if="curve">
      <EnergyChart :curve="curve" :key2="row.key" />
      <p class="say">
        <template v-if="curve.noReturn"
          ><MarkSign severity="stop" />
          {{ tr('fromTSMinOnThe', { tS: fixed(curve.noReturn.tS / 60, 1) }) }}</template
        >
        <template v-else-if="row.flight.overWh > 0"
          ><MarkSign severity="stop" />
          {{ tr('itWouldLandOverWhWh', { overWh: fixed(row.flight.overWh, 1) }) }}</template
        >
        <template v-else
          >{{ tr('theWayHomeNeverTakes', { max: fixed(Math.max(...curve.steps.map((s) => s.homeWh)), 1) }) }}
          <Fig :value="row.landsWith" quantity="percent" />.</template
        >
        <b v-if="windUntil !== null" class="wind">{{
          tr('itsWindHoldsUntilClock', { clock: clock(windUntil) })
        }}</b>
        <span class="faint"> {{ tr('dashedWayHomeAgainstThe') }}</span>
      </p>
    </template>
    <p v-else class="fault">{{ tr('itsPackIsNotAlong') }}</p>
    <ElButton class="btn bare open" :aria-expanded="opened" @click="opened = !opened">
      {{ tr('takes') }} <Fig :value="row.flight.usedWh" quantity="wattHours" /> {{ tr('of') }}
      <Fig :value="row.flight.supply.usableWh" quantity="wattHours" /> {{ tr('itMay') }}
    </ElButton>
    <SumSheet v-for="s in sums" :key="messageKey(s.label)" :sum="s" class="sum" @close="opened = false" />
    <ol class="stops">
      <li v-for="s in stops" :key="s.shotId" :class="{ picked: s.shotId === selection.shotId }">
        <button class="stop" @click="day.choose(row.key, s.shotId)">
          <b>{{ s.shot?.number }}</b>
          <span dir="auto">{{ s.shot?.facts.shot.title || tr('untitled') }}</span>
          <span class="quiet">{{ s.at }}</span>
          <span v-if="s.shotId === onWay" class="way">{{ tr('onTheWayHome') }}</span>
        </button>
        <Fig :value="s.wattHours" quantity="wattHours" />
        <ElButton
          class="btn pin"
          :aria-pressed="s.pinned"
          :aria-label="tr('pinTitleToThisFlight', { title: s.shot?.facts.shot.title || tr('theShot') })"
          :title="tr('thePlannerKeepsItIn')"
          @click="acts.pin(row, s.shotId)"
        >
          {{ s.pinned ? tr('pinned') : tr('pin') }}
        </ElButton>
      </li>
    </ol>
    <div v-if="shot" class="turn">
      <PickField
        :label="tr('shotComes')"
        :value="shot.turn"
        :options="TURNS"
        :save="(v) => film.edit('shot', shot?.id ?? '', { turn: v }, tr('turnOfShot'))"
      />
      <PickField
        :label="tr('notBeforeShot')"
        :value="shot.afterId"
        :options="others"
        :save="(v) => film.edit('shot', shot?.id ?? '', { afterId: v }, tr('turnOfShot'))"
      />
    </div>
    <div class="turn">
      <PickField
        :label="tr('pack')"
        :value="row.flight.packId"
        :options="packs"
        :save="
          (v) => {
            if (row) acts.givePack(row, v);
          }
        "
      />
      <TimeField
        :label="tr('notBefore')"
        :value="laid?.notBefore ?? ''"
        :save="setNotBefore"
        :hint="tr('nobodyTakesOffBeforeThis')"
        clearable
      />
    </div>
    <p class="do">
      <ElButton class="btn" :title="tr('flyItBeforeTheFlight')" @click="acts.swap(row, -1)">
        {{ tr('earlier') }}</ElButton><ElButton
        class="btn"
        :title="tr('flyItAfterTheNext')"
        @click="acts.swap(row, 1)"
      >
        {{ tr('later') }}
      </ElButton>
      <ElButton class="btn" :aria-pressed="row.flight.locked" @click="acts.lock(row)">
        {{ row.flight.locked ? tr('unlock') : tr('lock') }}</ElButton><ElButton
        class="btn lead"
        :title="tr('enterWhatThePackShowed')"
        @click="emit('log')"
      >
        {{ tr('logIt') }}
      </ElButton>
    </p>
  </aside>
  <aside v-else class="flight quiet">{{ tr('nothingFliesOnThisDay') }}</aside>
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
