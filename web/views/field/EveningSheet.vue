<script setup lang="ts">
import { eveningWork } from '@core/field';
import { clockText } from '@core/time';
import { computed } from 'vue';
import { logCard } from '../../composables/card-log';
import { dateText, OUTCOME_WORDS } from '../../format';
import DialogBox from '../../parts/DialogBox.vue';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';

/** The evening of a day: copies, packs, and the flights read over once while they are remembered. */
const props = defineProps<{ date: string; zone: string }>();
defineEmits<{ close: [] }>();
const store = useFilm();
const selection = useSelection();
const work = computed(() => (store.input ? eveningWork(store.input, props.date) : null));
const nameOf = (kind: 'pack' | 'card', id: string): string => store.get(kind, id)?.name ?? '';
const percent = (share: number): string => `${Math.round(100 * share)} %`;
const GOALS = {
  charge: 'charge to full',
  storage: 'bring to storage charge, 50 to 60 %',
  leave: 'leave as it is',
};
const packs = computed(() => work.value?.packs.filter((p) => p.goal !== 'leave') ?? []);
const copy = (id: string): void => {
  const fault = logCard(store, id, 'copy');
  if (fault) selection.say(fault);
};
</script>

<template>
  <DialogBox :title="`Evening of ${dateText(date)}`" width="min(640px, 96vw)" @close="$emit('close')">
    <template v-if="work">
      <section aria-label="Copies">
        <h3>Copies</h3>
        <p v-if="work.cards.length === 0" class="good">No card holds footage that still wants a copy.</p>
        <ul>
          <li v-for="c in work.cards" :key="c.cardId">
            <b>{{ nameOf('card', c.cardId) }}</b>
            <span>{{ c.gb.toFixed(1) }} GB, {{ c.copies }} of {{ c.wanted }} copies</span>
            <button class="btn" @click="copy(c.cardId)">Log copy</button>
          </li>
        </ul>
      </section>
      <section aria-label="Packs">
        <h3>Packs</h3>
        <p v-if="packs.length === 0" class="good">Every pack is charged as it should be.</p>
        <ul>
          <li v-for="p in packs" :key="p.packId">
            <b>{{ nameOf('pack', p.packId) }}</b>
            <span>{{ percent(p.share) }}: {{ GOALS[p.goal] }}</span>
          </li>
        </ul>
        <p class="quiet">
          <template v-if="work.nextDate">Next day of the film: {{ dateText(work.nextDate) }}.</template>
          <template v-else>No further day is planned.</template>
          Let packs cool first, and stay near while they charge.
        </p>
      </section>
      <section aria-label="Flights">
        <h3>Flights</h3>
        <p v-if="work.flights.length === 0" class="quiet">No flight of the day is in the log.</p>
        <ul>
          <li v-for="f in work.flights" :key="f.id">
            <b>{{ clockText(f.utcMs, zone) }}</b>
            <span>
              {{ nameOf('pack', f.packId) }}, {{ f.minutes.toFixed(1) }} min, landed with
              {{ percent(f.endShare) }}, {{ OUTCOME_WORDS[f.outcome] }}
            </span>
          </li>
        </ul>
        <p class="quiet">
          Corrections and notes are entered under
          <RouterLink :to="{ name: 'flights' }">Flights, Log</RouterLink>.
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
