<script setup lang="ts">
import { clipName, offload, stateOf, wordsOf, CLIP_WORDS } from '@core/cards';
import { clockText } from '@core/time';
import { livingCards, readerMBs, toCopy } from '@core/checks';
import { computed } from 'vue';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import Fig from '../../parts/Fig.vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import { useFilm } from '../../stores/film';
import LossLine from '../flights/LossLine.vue';
import CardLifeRow from './CardLifeRow.vue';
import type { Ready } from './useChecks';
import { usePreferences } from '../../composables/preferences';
import { useMessages } from '../../composables/useMessages';
import { tr } from './messages';

/** Cards as they stand and what is planned onto them, until everything is copied. */
const props = defineProps<{ ready: Ready }>();
const { text } = useMessages();
const film = useFilm();
const c = computed(() => props.ready.context.value);
const p = computed(() => film.film?.preferences);
const prefer = usePreferences(() => tr('cardsLower'));
const facts = computed(() => c.value?.derived.budget.cards ?? null);
const cards = computed(() => {
  const now = c.value;
  if (!now) return [];
  return livingCards(now).map(({ card, life }) => ({
    card,
    life,
    state: stateOf(life, p.value?.copiesWanted ?? 2),
    planned: facts.value?.fills.find((f) => f.cardId === card.id)?.bytes ?? 0,
  }));
});
const evening = computed(() =>
  c.value ? offload(toCopy(c.value), p.value?.copiesWanted ?? 2, readerMBs(c.value), true) : null,
);
const long = computed(() => (evening.value?.seconds ?? 0) / 60 > (p.value?.eveningMinutes ?? 0));
const nameOf = (id: string | null): string => film.get('card', id ?? '')?.name ?? '';
const AWAY = {
  get water() {
    return tr('overWater');
  },
  get far() {
    return tr('farAway');
  },
} as const;
const flights = computed(() =>
  (facts.value?.byFlight ?? []).map((l) => {
    const place = c.value?.derived.places.get(l.flight.locationId)?.location;
    return {
      ...l,
      key: `${l.flight.locationId}${l.flight.startMs}${l.flight.packId}`,
      at: place ? `${place.date.slice(8)} ${clockText(l.flight.startMs, place.zone)}` : '',
      place: place?.name ?? '',
      pack: film.get('pack', l.flight.packId ?? '')?.name ?? '',
    };
  }),
);
const byPlace = computed(() =>
  [...(facts.value?.byPlace ?? [])].map(([id, bytes]) => ({
    id,
    bytes,
    name: film.get('location', id)?.name ?? '',
  })),
);
const whole = computed(() => byPlace.value.reduce((sum, x) => sum + x.bytes, 0));
const saveTemplate = (template: string) => {
  const words = wordsOf(template);
  return words.ok ? prefer({ clipTemplate: template }) : [{ path: '', say: text(words.reason) }];
};
const example = computed(() => {
  const [first] = props.ready.shots.value;
  const name = clipName(p.value?.clipTemplate ?? '', {
    film: film.film?.name ?? '',
    place: props.ready.place.value?.location.name ?? '',
    shot: String(first?.number ?? 1).padStart(2, '0'),
    title: first?.facts.shot.title ?? '',
    take: '1',
    date: props.ready.place.value?.location.date ?? '',
    card: flights.value[0] ? nameOf(flights.value[0].cardId) : '',
    n: '0001',
  });
  return name.ok ? name.value : text(name.reason);
});
const COLUMNS = computed(
  (): readonly TableColumn<'at' | 'place' | 'pack' | 'card' | 'recorded' | 'bytes' | 'note'>[] => [
    { key: 'at', label: tr('dayOffAt'), minWidth: 130 },
    { key: 'place', label: tr('location'), minWidth: 120, wideOnly: true },
    { key: 'pack', label: tr('pack'), minWidth: 60 },
    { key: 'card', label: tr('card'), minWidth: 90 },
    { key: 'recorded', label: tr('recordedLower'), figure: true, minWidth: 80, wideOnly: true },
    { key: 'bytes', label: tr('onIt'), figure: true, minWidth: 80 },
    { key: 'note', label: '', minWidth: 120, wideOnly: true },
  ],
);
</script>

<template>
  <div class="cards">
    <section :aria-label="tr('cardsAsTheyStand')">
      <h2>{{ tr('cardsAsTheyStand') }}</h2>
      <p v-if="cards.length === 0" class="quiet">
        {{ tr('noCardComesAlong') }}
        <RouterLink :to="{ name: 'kit' }">{{ tr('addTheCardsYouOwn') }}</RouterLink>.
      </p>
      <ul>
        <CardLifeRow v-for="x in cards" :key="x.card.id" v-bind="x" />
      </ul>
    </section>
    <section class="side" :aria-label="tr('theEveningAndWhatIs')">
      <h2>{{ tr('theEvening') }}</h2>
      <p v-if="evening" :class="{ stop: long }">
        <b class="big"><Fig :value="evening.seconds / 60" quantity="minutes" /></b>
        {{ tr('toCopyWhatIsOn', { copiesWanted: p?.copiesWanted })
        }}<template v-if="c">
          {{ ` ${tr('at')}` }} <Fig :value="readerMBs(c)" quantity="megabytesPerSecond" /></template
        >{{ long ? tr('longerThanTheEveningIs') : '.' }}
      </p>
      <div class="fields">
        <NumberField
          :label="tr('copiesBeforeAFormat')"
          :value="p?.copiesWanted ?? 2"
          quantity="count"
          :save="(v) => prefer({ copiesWanted: v })"
        />
        <NumberField
          :label="tr('minutesOfAnEvening')"
          :value="p?.eveningMinutes ?? 120"
          quantity="minutes"
          :step="10"
          :save="(v) => prefer({ eveningMinutes: v })"
        />
        <NumberField
          :label="tr('farFrom')"
          :value="p?.awayM ?? 400"
          quantity="metres"
          :step="50"
          :hint="tr('fromThisDistanceAnAircraft')"
          :save="(v) => prefer({ awayM: v })"
        />
      </div>
      <LossLine v-if="facts" :cards="facts" />
      <h2>{{ tr('namesOfClips') }}</h2>
      <TextField
        :label="tr('template')"
        :value="p?.clipTemplate ?? ''"
        :hint="tr('wordsInBracesCLIPWORDS', { CLIP_WORDS: CLIP_WORDS.join(', ') })"
        :save="saveTemplate"
      />
      <p class="example">{{ example }}</p>
    </section>
    <section class="wide" :aria-label="tr('flightsAndTheirCards')">
      <h2>{{ tr('flightsAndTheirCards') }}</h2>
      <p v-if="flights.length === 0" class="quiet">{{ tr('noFlightIsPlannedYet') }}</p>
      <p v-else class="sums">
        <span v-for="x in byPlace" :key="x.id"
          ><span dir="auto">{{ x.name }}</span>
          <b><Fig :value="x.bytes / 1e9" quantity="gigabytes" /></b></span
        ><span
          >{{ tr('theFilm') }} <b><Fig :value="whole / 1e9" quantity="gigabytes" /></b
        ></span>
      </p>
      <div
        v-if="flights.length > 0"
        class="scroll"
        tabindex="0"
        role="region"
        :aria-label="tr('flightsAndTheirCardsTable')"
      >
        <DataTable :rows="flights" :columns="COLUMNS" :key-of="(f) => f.key">
          <template #at="{ row: f }">{{ f.at }}</template>
          <template #place="{ row: f }"
            ><span dir="auto">{{ f.place }}</span></template
          >
          <template #pack="{ row: f }">{{ f.pack }}</template>
          <template #card="{ row: f }">
            <span :class="{ stop: f.cardId === null && !f.internal }">{{
              f.cardId ? nameOf(f.cardId) : f.internal ? tr('memoryOfTheAircraft') : tr('noRoom')
            }}</span>
          </template>
          <template #recorded="{ row: f }"><Fig :value="f.recordedS" quantity="seconds" /></template>
          <template #bytes="{ row: f }"><Fig :value="f.bytes / 1e9" quantity="gigabytes" /></template>
          <template #note="{ row: f }"
            >{{ f.away ? AWAY[f.away] : '' }}{{ f.shares ? tr('sharesItsCard') : '' }}</template
          >
        </DataTable>
      </div>
    </section>
  </div>
</template>

<style scoped>
.cards {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 14px 28px;
  align-items: start;
}
.cards > * {
  min-width: 0;
}
.wide {
  grid-column: 1 / -1;
}
h2 {
  font-size: 16px;
  margin-bottom: 5px;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 20px;
}
.side {
  display: grid;
  gap: 8px;
}
.big {
  font-size: 22px;
  font-stretch: 88%;
}
.stop {
  color: var(--stop);
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
  align-items: end;
}
.example {
  background: var(--bench);
  padding: 6px 10px;
  font-stretch: 88%;
  overflow-wrap: anywhere;
}
.scroll {
  overflow: auto;
}
@media (max-width: 1099px) {
  .cards {
    grid-template-columns: minmax(0, 1fr);
  }
  .fields {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
