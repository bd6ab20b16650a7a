<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { landedMs, logFlight, plannedFigures, plannedShares } from '@core/day';
import type { Entity } from '@core/model';
import { calibrationOf } from '@core/energy';
import { dateIn, clockText } from '@core/time';
import { computed, reactive, ref, watch } from 'vue';
import { v4 as uuid } from 'uuid';
import {
  choices,
  counted,
  dateText,
  fixed,
  OUTCOME_WORDS,
  PACK_STATE_WORDS,
  signedPercent,
} from '../../format';
import DataTable from '../../parts/DataTable.vue';
import { ElCheckbox } from '../../parts/element-checkbox';
import Fig from '../../parts/Fig.vue';
import type { TableColumn } from '../../parts/table-column';
import LearnedFromLog from '../../parts/LearnedFromLog.vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TwinFlights from '../../parts/TwinFlights.vue';
import TimeField from '../../parts/TimeField.vue';
import { recordedBy } from '../../composables/card-log';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { useDerivedFilm } from '../../stores/derived-film';
import type { Day } from './useDay';
import { tr } from './messages';

type Flown = Entity<'flightLogEntry'>;
/** What really happened: what a pack showed at take-off and landing, and what the plan learns from it. */
const props = defineProps<{ day: Day }>();
const film = useFilm();
const selection = useSelection();
const derivedFilm = useDerivedFilm();
const VERDICTS = choices(OUTCOME_WORDS);
const STATES = choices(PACK_STATE_WORDS);

const draft = reactive({
  packId: '',
  at: '08:00',
  minutes: 12,
  startShare: 1,
  endShare: 0.4,
  plannedWh: null as number | null,
  plannedMinutes: null as number | null,
  plannedSetUpMin: null as number | null,
  temperatureC: 15,
  verdict: 'as-planned' as Flown['outcome'],
  condition: 'sound' as Flown['condition'],
  notes: '',
});
const inCan = ref<ReadonlySet<string>>(new Set());
const fault = ref('');
const row = computed(() => props.day.row.value);
const place = computed(
  () =>
    props.day.places.value.find((p) => p.location.id === row.value?.locationId) ??
    props.day.places.value[0] ??
    null,
);
/** The form starts from the flight in hand, as it was planned. */
watch(
  row,
  (r) => {
    if (!r) Object.assign(draft, { plannedWh: null, plannedMinutes: null, plannedSetUpMin: null });
    if (!r || !place.value) return;
    const { flight } = r;
    const { startShare, endShare } = plannedShares(flight);
    Object.assign(draft, {
      packId: flight.packId ?? '',
      at: clockText(flight.startMs, place.value.location.zone),
      minutes: Math.round(flight.seconds / 6) / 10,
      startShare: Math.round(startShare * 100) / 100,
      endShare: Math.round(endShare * 100) / 100,
      ...plannedFigures(flight, derivedFilm.along.aircraft, derivedFilm.derived?.shots),
      temperatureC: place.value.location.temperatureC,
      verdict: 'as-planned',
      condition: 'sound',
      notes: '',
    });
    inCan.value = new Set(flight.stops.map((s) => s.shotId));
  },
  { immediate: true },
);
const stops = computed(
  () =>
    row.value?.flight.stops.map((s) => ({
      id: s.shotId,
      shot: derivedFilm.derived?.shots.get(s.shotId) ?? null,
    })) ?? [],
);
const toggle = (id: string): void => {
  const next = new Set(inCan.value);
  if (!next.delete(id)) next.add(id);
  inCan.value = next;
};
const packs = computed(() =>
  film
    .list('pack')
    .filter((p) => !p.retired)
    .map((p) => ({ value: p.id, label: p.name })),
);

const enter = (): void => {
  const { location } = place.value ?? {};
  const pack = film.get('pack', draft.packId);
  if (!location || !pack) {
    fault.value = tr('chooseThePackItWas');
    return;
  }
  const {
    minutes,
    startShare,
    endShare,
    plannedWh,
    plannedMinutes,
    plannedSetUpMin,
    temperatureC,
    condition,
    notes,
    verdict,
    at,
  } = draft;
  const report = {
    minutes,
    startShare,
    endShare,
    plannedWh,
    plannedMinutes,
    plannedSetUpMin,
    windMs: null,
    temperatureC,
    condition,
    notes,
  };
  const flight = row.value?.flight ?? null;
  const recorded =
    flight && derivedFilm.derived
      ? recordedBy(film, derivedFilm.derived, flight, inCan.value, landedMs(location, at, draft.minutes))
      : null;
  const changes = logFlight(
    {
      ...report,
      takeOff: at,
      outcome: verdict,
      filmId: film.filmId,
      flightId: flight?.id ?? null,
      aircraftId: flight?.aircraftId ?? null,
      shotIds: [...inCan.value],
    },
    pack,
    location,
    recorded,
    uuid(),
  );
  const faults = film.commit(tr('logFlight'), changes);
  fault.value = faults[0]?.say ?? '';
  if (faults.length === 0)
    selection.say(
      tr('loggedNameDownToEndShare', {
        name: pack.name,
        endShare: Math.round(draft.endShare * 100),
        gb: recorded ? tr('gbGBOnItsCard', { gb: fixed(recorded.gb, 1) }) : '',
      }),
    );
};
const forget = (f: Flown): void => {
  film.remove(tr('deleteLogEntry'), [{ kind: 'flightLogEntry', id: f.id }]);
  selection.say(tr('takenOutOfTheLog'));
};

const calibration = computed(() => calibrationOf(film.kit));
const log = computed(() =>
  [...calibration.value.counted]
    .sort((a, b) => b.flown.utcMs - a.flown.utcMs)
    .slice(0, 60)
    .map((c) => ({
      ...c,
      pack: film.get('pack', c.flown.packId)?.name ?? '',
      craft: film.get('aircraft', c.flown.aircraftId)?.name ?? '',
      date: dateText(dateIn(c.flown.utcMs, place.value?.location.zone ?? 'UTC')),
      entry: film.get('flightLogEntry', c.flown.id),
    })),
);
const COLUMNS = computed(
  (): readonly TableColumn<
    'day' | 'pack' | 'aircraft' | 'minutes' | 'from' | 'to' | 'planned' | 'took' | 'against' | 'delete'
  >[] => [
    { key: 'day', label: tr('day'), minWidth: 120 },
    { key: 'pack', label: tr('packLower'), minWidth: 50 },
    { key: 'aircraft', label: tr('aircraft'), minWidth: 84, wideOnly: true },
    { key: 'minutes', label: tr('inTheAir'), figure: true, minWidth: 70 },
    { key: 'from', label: tr('from'), figure: true, minWidth: 60, wideOnly: true },
    { key: 'to', label: tr('to'), figure: true, minWidth: 56 },
    { key: 'planned', label: tr('planned'), figure: true, minWidth: 84, wideOnly: true },
    { key: 'took', label: tr('took'), figure: true, minWidth: 84, wideOnly: true },
    { key: 'against', label: tr('againstPlan'), minWidth: 88 },
    { key: 'delete', label: '', width: 84 },
  ],
);
/** Energy against plan of a logged flight; said where it does not count. */
const against = ({ ratio, outlier }: (typeof log.value)[number]): string => {
  if (ratio === null) return tr('notCounted');
  const more = signedPercent(ratio - 1);
  return outlier ? tr('moreFarOffNotCounted', { more }) : more;
};
</script>

<template>
  <div class="log">
    <section :aria-label="tr('logAFlight')">
      <h2>
        {{ tr('logAFlight') }}
        <span class="quiet">{{
          row
            ? tr('flightNumberShots', { number: row.number, shots: counted(row.flight.stops.length, 'shot') })
            : tr('withoutAPlan')
        }}</span>
      </h2>
      <div class="form">
        <PickField
          :label="tr('pack')"
          :value="draft.packId"
          :options="packs"
          :save="
            (v) => {
              draft.packId = v;
            }
          "
        />
        <TimeField
          :label="tr('takeOffTime')"
          :value="draft.at"
          :save="
            (v) => {
              draft.at = v;
            }
          "
        />
        <NumberField
          :label="tr('minutesInTheAirUpper')"
          :value="draft.minutes"
          quantity="minutes"
          :save="
            (v) => {
              draft.minutes = v;
            }
          "
        />
        <NumberField
          :label="tr('chargeAtTakeOff')"
          :value="draft.startShare"
          :scale="100"
          quantity="percent"
          :step="1"
          :save="
            (v) => {
              draft.startShare = v;
            }
          "
        />
        <NumberField
          :label="tr('chargeAtLanding')"
          :value="draft.endShare"
          :scale="100"
          quantity="percent"
          :step="1"
          :save="
            (v) => {
              draft.endShare = v;
            }
          "
        />
        <NumberField
          :label="tr('air')"
          :value="draft.temperatureC"
          quantity="celsius"
          :save="
            (v) => {
              draft.temperatureC = v;
            }
          "
        />
        <PickField
          :label="tr('outcome')"
          :value="draft.verdict"
          :options="VERDICTS"
          :save="
            (v) => {
              draft.verdict = v;
            }
          "
        />
        <PickField
          :label="tr('packCondition')"
          :value="draft.condition"
          :options="STATES"
          :save="
            (v) => {
              draft.condition = v;
            }
          "
        />
      </div>
      <fieldset v-if="stops.length > 0">
        <legend>{{ tr('shotsDone') }}</legend>
        <ElCheckbox v-for="s in stops" :key="s.id" :model-value="inCan.has(s.id)" @change="toggle(s.id)"
          >{{ s.shot?.number }}
          <span dir="auto">{{ s.shot?.facts.shot.title || tr('untitled') }}</span></ElCheckbox
        >
      </fieldset>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <p class="do">
        <ElButton class="btn lead" @click="enter">{{ tr('logFlightUpper') }}</ElButton>
        <span class="faint">{{ tr('aShotThatIsDone') }}</span>
      </p>
    </section>
    <section :aria-label="tr('whatTheLogTeaches')">
      <h2>{{ tr('whatItTeaches') }}</h2>
      <TwinFlights :zone="place?.location.zone ?? 'UTC'" />
      <LearnedFromLog />
      <DataTable
        :rows="log"
        :columns="COLUMNS"
        :key-of="(c) => c.flown.id"
        :class-of="(c) => (c.outlier ? 'odd' : '')"
        :aria-label="tr('loggedFlights')"
      >
        <template #day="{ row: c }">{{ c.date }}</template>
        <template #pack="{ row: c }"
          ><span dir="auto">{{ c.pack }}</span></template
        >
        <template #aircraft="{ row: c }"
          ><span dir="auto">{{ c.craft }}</span></template
        >
        <template #minutes="{ row: c }"><Fig :value="c.flown.minutes" quantity="minutes" /></template>
        <template #from="{ row: c }"><Fig :value="c.flown.startShare * 100" quantity="percent" /></template>
        <template #to="{ row: c }"><Fig :value="c.flown.endShare * 100" quantity="percent" /></template>
        <template #planned="{ row: c }"
          ><Fig v-if="c.flown.plannedWh !== null" :value="c.flown.plannedWh" quantity="wattHours"
        /></template>
        <template #took="{ row: c }"><Fig :value="c.usedWh" quantity="wattHours" /></template>
        <template #against="{ row: c }">{{ against(c) }}</template>
        <template #delete="{ row: c }">
          <ElButton
            v-if="c.entry"
            class="btn bare"
            :aria-label="tr('deleteTheEntryOfDate', { date: c.date, pack: c.pack })"
            @click="c.entry && forget(c.entry)"
          >
            {{ tr('delete') }}
          </ElButton>
        </template>
      </DataTable>
    </section>
  </div>
</template>

<style scoped>
.log {
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
  gap: 24px;
  align-items: start;
}
.log > * {
  min-width: 0;
}
h2 {
  font-size: 16px;
  margin-bottom: 6px;
}
.form {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
fieldset {
  border: 1px solid var(--line);
  margin: 10px 0;
  padding: 6px 10px;
  display: grid;
  gap: 3px;
}
fieldset :deep(.el-checkbox) {
  height: auto;
  min-height: 26px;
  margin: 0;
}
:deep(.odd) {
  color: var(--care);
}
.do {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
@media (max-width: 1099px) {
  .log {
    grid-template-columns: minmax(0, 1fr);
  }
  .form {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  fieldset :deep(.el-checkbox) {
    min-height: var(--touch);
  }
}
</style>
