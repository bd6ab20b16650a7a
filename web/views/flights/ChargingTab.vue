<script setup lang="ts">
import { addDays, clockText, daysBetween } from '@core/time';
import { eveningBefore, PACK_CAUTIONS, STORAGE_SHARES } from '@core/charge';
import { computed, ref } from 'vue';
import { dateText, fixed, phrase, write } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import Fig from '../../parts/Fig.vue';
import MarkSign from '../../parts/MarkSign.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import ChargeLanes from './ChargeLanes.vue';
import type { Day } from './useDay';
import { usePreferences } from '../../composables/preferences';
import { tr } from './messages';

/** Packs through the day, and the evening before it. */
const props = defineProps<{ day: Day }>();
const film = useFilm();
const derivedFilm = useDerivedFilm();
const eve = computed(() => addDays(props.day.date.value, -1));
const today = ref('eve');
const from = computed(() => (today.value === 'eve' ? eve.value : today.value));
const start = ref('20:00');
const kit = computed(() => derivedFilm.along);
const hours = computed(() => {
  // On from a quarter of an hour before the first flight of a place until one after the last.
  const spans = props.day.places.value
    .filter((p) => p.flights.length > 0)
    .map(
      (p) =>
        Math.max(...p.flights.map((f) => f.endMs)) - Math.min(...p.flights.map((f) => f.startMs)) + 1_800_000,
    );
  return Math.max(1, spans.reduce((sum, ms) => sum + ms, 0) / 3_600_000);
});
const evening = computed(() =>
  eveningBefore(
    kit.value.packs,
    kit.value.devices,
    kit.value.chargers,
    from.value,
    props.day.date.value,
    hours.value,
  ),
);
/** A clock some seconds after the start of the evening. */
const at = (s: number): string => {
  const [h, m] = start.value.split(':').map(Number);
  const total = Math.round((h ?? 0) * 60 + (m ?? 0) + s / 60);
  return `${String(Math.floor(total / 60) % 24).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}${total >= 1440 ? ` ${tr('nextDay')}` : ''}`;
};
const charger = (id: string): string => film.get('charger', id)?.name ?? tr('aCharger');
const order = computed(() =>
  evening.value.topUp.map((t) => ({
    ...t,
    run: evening.value.runs.find((r) => r.packId === t.pack.id) ?? null,
  })),
);
const set = usePreferences(() => tr('charging'));
const STARTS = ['17:00', '18:00', '19:00', '20:00', '21:00', '22:00', '23:00'].map((value) => ({
  value,
  label: value,
}));
const whens = computed(() => [
  { value: 'eve', label: tr('theEveningBefore') },
  ...[2, 3, 5, 7, 14].map((n) => ({
    value: addDays(props.day.date.value, -n),
    label: tr('valueDaysBefore', { value: n }),
  })),
]);
/** Latest start of charging that is over an hour before the first flight of the day. */
const latest = computed(() => {
  const [first] = props.day.places.value;
  const startsMs = Math.min(...props.day.places.value.flatMap((p) => p.flights.map((f) => f.startMs)));
  return first && Number.isFinite(startsMs)
    ? clockText(startsMs - evening.value.doneS * 1000 - 3_600_000, first.location.zone)
    : '';
});
const days = computed(() => daysBetween(from.value, props.day.date.value));
const percent = (share: number): string => write(share * 100, 'percent').number;
const COLUMNS = computed((): readonly TableColumn<'pack' | 'holds' | 'on' | 'from' | 'full'>[] => [
  { key: 'pack', label: tr('inThisOrder'), minWidth: 130 },
  { key: 'holds', label: tr('wouldHold'), figure: true, minWidth: 80 },
  { key: 'on', label: tr('on'), minWidth: 130 },
  { key: 'from', label: tr('from'), minWidth: 64 },
  { key: 'full', label: tr('fullAt'), minWidth: 90 },
]);
/** When a pack is full, or with what its charging ends where the source runs dry. */
const fullAt = (run: (typeof order.value)[number]['run']): string => {
  if (!run) return '';
  return run.dry ? tr('endsAtPercentTheSource', { percent: percent(run.toShare) }) : at(run.toS);
};
</script>

<template>
  <div class="charging">
    <section :aria-label="tr('chargingOnTheDay')">
      <h2>{{ tr('onTheDay') }}</h2>
      <ChargeLanes :day="day" />
      <p v-if="kit.chargers.length === 0" class="quiet">
        {{ tr('noChargerComesAlong') }}
        <RouterLink :to="{ name: 'kit' }">{{ tr('enterThoseYouOwn') }}</RouterLink>{{
          tr('aPackThatComesBack')
        }}
      </p>
      <div class="opts">
        <SwitchField
          :label="tr('packsAreChargedBetweenFlights')"
          :value="film.film?.preferences.chargeBetween ?? true"
          :save="(v) => set({ chargeBetween: v })"
          :hint="tr('onChargersInAVehicle')"
        />
      </div>
    </section>
    <section :aria-label="tr('theEveningBeforeUpper')">
      <h2>
        {{ tr('beforeTheShoot') }}
        <span class="quiet">{{ tr('onDate', { date: dateText(day.date.value) }) }}</span>
      </h2>
      <div class="opts">
        <PickField
          :label="tr('chargedOn')"
          :value="today"
          :options="whens"
          :save="
            (v) => {
              today = v;
            }
          "
        /><PickField
          :label="tr('chargingStarts')"
          :value="start"
          :options="STARTS"
          :save="
            (v) => {
              start = v;
            }
          "
        />
      </div>
      <SwitchField
        :label="tr('planWithThisCharge')"
        :value="film.film?.preferences.topUpBefore ?? true"
        :save="(v) => set({ topUpBefore: v })"
        :hint="tr('packsArePlannedAsThis')"
      />
      <p v-if="order.length === 0">{{ tr('everyPackThatComesAlong') }}</p>
      <DataTable v-else :rows="order" :columns="COLUMNS" :key-of="(t) => t.pack.id">
        <template #pack="{ row: t }">
          <b dir="auto">{{ t.pack.name }}</b><span v-if="t.drained" class="drained">
            {{ tr('drainedByItself') }}</span
          >
        </template>
        <template #holds="{ row: t }"><Fig :value="t.share * 100" quantity="percent" /></template>
        <template #on="{ row: t }">{{ t.run ? charger(t.run.chargerId) : tr('noChargerTakesIt') }}</template>
        <template #from="{ row: t }">{{ t.run ? at(t.run.fromS) : '' }}</template>
        <template #full="{ row: t }">{{ fullAt(t.run) }}</template>
      </DataTable>
      <p v-if="order.length > 0">
        <b>{{ tr('allFullByAt', { at: at(evening.doneS) }) }}</b> {{ tr('theyTake') }}
        <Fig :value="evening.doneS / 60" quantity="minutes" />{{
          latest === '' ? '' : tr('startByLatestToBe', { latest })
        }}.
        <span v-if="evening.notFull.length > 0" class="fault"
          ><MarkSign severity="stop" />
          {{ tr('notFullNotFullFindA', { notFull: evening.notFull.map((p) => p.name).join(', ') }) }}</span
        >
      </p>
      <ul v-if="evening.devices.length > 0" class="devices">
        <li v-for="d in evening.devices" :key="d.device.id">
          <MarkSign v-if="!d.lasts" severity="care" /><span
            >{{ d.device.name }}: <Fig :value="d.device.charge * 100" quantity="percent" />{{
              tr('chargeFullInMinutesMin', {
                charge: d.lasts
                  ? tr('lastsTheDay')
                  : tr('lastsChargeOfHoursH', {
                      charge: fixed(d.device.charge * d.device.hours, 1),
                      hours: fixed(hours, 1),
                    }),
                minutes: Math.round(d.minutes),
              })
            }}</span
          >
        </li>
      </ul>
      <p v-if="evening.storage.length > 0">
        <MarkSign severity="note" />
        {{
          tr('daysDaysUntilTheShoot', {
            days,
            storage: evening.storage.map((p) => p.name).join(', '),
            STORAGE_SHARES: STORAGE_SHARES[0] * 100,
            STORAGE_SHARES2: STORAGE_SHARES[1] * 100,
          })
        }}
      </p>
      <ul class="cautions">
        <li v-for="c in PACK_CAUTIONS" :key="c">{{ phrase(c) }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.charging {
  display: grid;
  gap: 18px;
  max-width: 1000px;
}
.charging > * {
  min-width: 0;
}
@media (min-width: 1500px) {
  .charging {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    column-gap: 36px;
    max-width: none;
  }
}
h2 {
  font-size: 16px;
}
p svg {
  display: inline-block;
  vertical-align: -1px;
}
.opts {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
  margin-top: 6px;
}
.opts > * {
  min-width: 170px;
}
.drained {
  color: var(--care);
  font-weight: 400;
  font-size: 12px;
}
.devices,
.cautions {
  display: grid;
  gap: 2px;
  padding: 0;
  list-style: none;
}
.devices li {
  display: flex;
  gap: 7px;
  align-items: center;
}
.cautions {
  color: var(--chalk-2);
  margin-top: 8px;
  border-left: 3px solid var(--care);
  padding-left: 10px;
}
</style>
