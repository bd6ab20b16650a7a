<script setup lang="ts">
import type { Drill, DrillRecord } from '@core/drills';
import { tr } from './messages';

/** Drills of the day first, then the others, each with its level and best mark. */
defineProps<{
  rows: readonly { readonly drill: Drill; readonly today: boolean; readonly record: DrillRecord }[];
  chosen: string | null;
}>();
defineEmits<{ choose: [id: string] }>();
</script>

<template>
  <ul class="drills" :aria-label="tr('drills')">
    <li v-for="{ drill, today, record } in rows" :key="drill.id">
      <button
        class="drill"
        :class="{ chosen: chosen === drill.id }"
        :aria-pressed="chosen === drill.id"
        :data-drill="drill.id"
        @click="$emit('choose', drill.id)"
      >
        <b>{{ tr(`drill.${drill.id}`) }}</b>
        <span v-if="today" class="today">{{ tr('today') }}</span>
        <span v-if="chosen === drill.id" class="quiet says">{{ tr(`drillSays.${drill.id}`) }}</span>
        <span class="quiet level">{{
          record.best === null
            ? tr('levelOnly', { level: record.level })
            : tr('levelTriesBest', {
                level: record.level,
                tries: record.tries,
                best: Math.round(record.best),
              })
        }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.drills {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.drill {
  width: 100%;
  min-height: 44px;
  display: grid;
  grid-template-columns: 1fr max-content;
  gap: 0 8px;
  padding: 7px 10px;
  text-align: left;
  font: inherit;
  color: inherit;
  background: var(--slab-2);
  border: 1px solid transparent;
  cursor: pointer;
}
.drill.chosen {
  border-color: var(--pick);
}
.says {
  grid-column: 1 / -1;
}
.today {
  font-size: 12.5px;
  color: var(--pick);
  font-weight: 600;
}
.drill > .quiet {
  grid-column: 1 / -1;
  font-size: 13.5px;
}
.drill > .level {
  grid-row: 2;
}
</style>
