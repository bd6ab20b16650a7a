<script setup lang="ts">
import type { ShotFlown } from '@core/debrief';
import { PRIORITY_WORDS, REASON_WORDS } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import { useSelection } from '../../stores/selection';

/** Every shot beside its takes. */
defineProps<{ shots: readonly ShotFlown[] }>();
const selection = useSelection();
const WORDS = { kept: 'kept', tried: 'no good take', missing: 'not flown' } as const;
const why = (s: ShotFlown): string =>
  s.reasons.map((r) => `${REASON_WORDS[r.reason]}${r.takes > 1 ? ` ×${r.takes}` : ''}`).join(', ');
const COLUMNS = [
  { key: 'shot', label: 'Shot', minWidth: 170 },
  { key: 'priority', label: 'Priority', width: 74, wideOnly: true },
  { key: 'planned', label: 'Planned', width: 76, figure: true, wideOnly: true },
  { key: 'takes', label: 'Takes', width: 62, figure: true },
  { key: 'good', label: 'Good', width: 60, figure: true },
  { key: 'result', label: 'Result', minWidth: 130 },
] as const;
</script>

<template>
  <section aria-labelledby="debrief-shots">
    <h2 id="debrief-shots">Shots</h2>
    <p v-if="shots.length === 0" class="quiet">
      No shot yet. <RouterLink :to="{ name: 'shots' }">Add the first shot</RouterLink>.
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
          <span dir="auto">{{ row.shot.facts.shot.title || 'untitled' }}</span></RouterLink
        >
      </template>
      <template #priority="{ row }">{{
        PRIORITY_WORDS[row.shot.facts.shot.priority].toLowerCase()
      }}</template>
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
