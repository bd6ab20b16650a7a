<script setup lang="ts">
import type { ShotFlown } from '@core/debrief';
import { inSentence, PRIORITY_WORDS, REASON_WORDS } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import { useSelection } from '../../stores/selection';
import { tr } from './messages';

/** Every shot beside its takes. */
defineProps<{ shots: readonly ShotFlown[] }>();
const selection = useSelection();
const WORDS = {
  get kept() {
    return tr('kept');
  },
  get tried() {
    return tr('noGoodTake');
  },
  get missing() {
    return tr('notFlown');
  },
} as const;
const why = (s: ShotFlown): string =>
  s.reasons.map((r) => `${REASON_WORDS[r.reason]}${r.takes > 1 ? ` ×${r.takes}` : ''}`).join(', ');
const COLUMNS = [
  {
    key: 'shot',
    get label() {
      return tr('shot');
    },
    minWidth: 170,
  },
  {
    key: 'priority',
    get label() {
      return tr('priority');
    },
    width: 74,
    wideOnly: true,
  },
  {
    key: 'planned',
    get label() {
      return tr('planned');
    },
    width: 76,
    figure: true,
    wideOnly: true,
  },
  {
    key: 'takes',
    get label() {
      return tr('takes');
    },
    width: 62,
    figure: true,
  },
  {
    key: 'good',
    get label() {
      return tr('good');
    },
    width: 60,
    figure: true,
  },
  {
    key: 'result',
    get label() {
      return tr('result');
    },
    minWidth: 130,
  },
] as const;
</script>

<template>
  <section aria-labelledby="debrief-shots">
    <h2 id="debrief-shots">{{ tr('shots') }}</h2>
    <p v-if="shots.length === 0" class="quiet">
      {{ tr('noShotYet') }} <RouterLink :to="{ name: 'shots' }">{{ tr('addTheFirstShot') }}</RouterLink>.
    </p>
    <DataTable
      v-else
      :rows="shots"
      :columns="COLUMNS"
      :key-of="(row) => row.shot.facts.shot.id"
      :class-of="(row) => row.status"
    >
      <template #shot="{ row }">
        <RouterLink :to="{ name: 'shots' }" class="name" @click="selection.pick(row.shot.facts.shot.id)"
          ><b>{{ row.shot.number }}</b>
          <span dir="auto">{{ row.shot.facts.shot.title || tr('untitled') }}</span></RouterLink
        >
      </template>
      <template #priority="{ row }">{{ inSentence(PRIORITY_WORDS[row.shot.facts.shot.priority]) }}</template>
      <template #planned="{ row }">{{ row.plannedTakes }}</template>
      <template #takes="{ row }">{{ row.takes.length }}</template>
      <template #good="{ row }">{{ row.good }}</template>
      <template #result="{ row }">
        <span class="status">{{ WORDS[row.status] }}</span>
        <div v-if="row.reasons.length > 0" class="quiet">{{ why(row) }}</div>
      </template>
    </DataTable>
  </section>
</template>

<style scoped>
.name {
  color: inherit;
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
:deep(.kept .status) {
  color: var(--verdigris);
}
:deep(.tried .status) {
  color: var(--care);
}
</style>
