<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { eveningWork } from '@core/field';
import { clockText } from '@core/time';
import { computed } from 'vue';
import { logCard } from '../../composables/card-log';
import { dateText, fixed, OUTCOME_WORDS } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import TwinFlights from '../../parts/TwinFlights.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** The evening of a day: copies, packs, and the flights read over once while they are remembered. */
const props = defineProps<{ date: string; zone: string }>();
defineEmits<{ close: [] }>();
const store = useFilm();
const selection = useSelection();
const work = computed(() => (store.input ? eveningWork(store.input, props.date) : null));
const nameOf = (kind: 'pack' | 'card', id: string): string => store.get(kind, id)?.name ?? '';
const percent = (share: number): string => `${Math.round(100 * share)} %`;
const GOALS = {
  get charge() {
    return tr('chargeToFull');
  },
  get storage() {
    return tr('bringToStorageCharge50');
  },
  get leave() {
    return tr('leaveAsItIs');
  },
};
const packs = computed(() => work.value?.packs.filter((p) => p.goal !== 'leave') ?? []);
const copy = (id: string): void => {
  const fault = logCard(store, id, 'copy');
  if (fault) selection.say(fault);
};
</script>

<template>
  <DialogBox
    :title="tr('eveningOfDate', { date: dateText(date) })"
    width="min(640px, 96vw)"
    @close="$emit('close')"
  >
    <template v-if="work">
      <section :aria-label="tr('copies')">
        <h3>{{ tr('copies') }}</h3>
        <p v-if="work.cards.length === 0" class="good">{{ tr('noCardHoldsFootageThat') }}</p>
        <ul>
          <li v-for="c in work.cards" :key="c.cardId">
            <b>{{ nameOf('card', c.cardId) }}</b>
            <span>{{
              tr('gbGBCopiesOfWanted', { gb: fixed(c.gb, 1), copies: c.copies, wanted: c.wanted })
            }}</span>
            <ElButton class="btn" @click="copy(c.cardId)">{{ tr('logCopy') }}</ElButton>
          </li>
        </ul>
      </section>
      <section :aria-label="tr('packs')">
        <h3>{{ tr('packs') }}</h3>
        <p v-if="packs.length === 0" class="good">{{ tr('everyPackIsChargedAs') }}</p>
        <ul>
          <li v-for="p in packs" :key="p.packId">
            <b>{{ nameOf('pack', p.packId) }}</b>
            <span>{{ percent(p.share) }}: {{ GOALS[p.goal] }}</span>
          </li>
        </ul>
        <p class="quiet">
          <template v-if="work.nextDate">{{
            tr('nextDayOfTheFilm', { nextDate: dateText(work.nextDate) })
          }}</template>
          <template v-else>{{ tr('noFurtherDayIsPlanned') }}</template>
          {{ tr('letPacksCoolFirstAnd') }}
        </p>
      </section>
      <section :aria-label="tr('flights')">
        <h3>{{ tr('flights') }}</h3>
        <TwinFlights :zone="zone" />
        <p v-if="work.flights.length === 0" class="quiet">{{ tr('noFlightOfTheDay') }}</p>
        <ul>
          <li v-for="f in work.flights" :key="f.id">
            <b>{{ clockText(f.utcMs, zone) }}</b>
            <span>
              {{
                tr('nameOfMinutesMinLandedWith', {
                  nameOf: nameOf('pack', f.packId),
                  minutes: fixed(f.minutes, 1),
                  percent: percent(f.endShare),
                  OUTCOME_WORDS: OUTCOME_WORDS[f.outcome],
                })
              }}
            </span>
          </li>
        </ul>
        <p class="quiet">
          {{ tr('correctionsAndNotesAreEntered') }}
          <RouterLink :to="{ name: 'flights' }">{{ tr('flightsLog') }}</RouterLink>.
        </p>
      </section>
    </template>
  </DialogBox>
</template>

<style scoped>
h3 {
  margin: 14px 0 6px;
  font-size: 16px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  min-height: 40px;
  font-size: 17px;
  border-top: 1px solid var(--line);
}
li .btn {
  margin-inline-start: auto;
  min-height: 44px;
}
.good {
  color: var(--verdigris);
}
</style>
