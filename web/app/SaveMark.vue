<script setup lang="ts">
import { counted } from '@core/units';
import { computed } from 'vue';
import { useFilm } from '../stores/film';

const store = useFilm();
const WORDS = {
  saved: 'saved',
  saving: 'saving',
  waiting: 'saving',
  offline: 'offline',
  refused: 'not saved',
} as const;
const word = computed(() =>
  store.saveState === 'offline' && store.unsent > 0
    ? `offline, ${counted(store.unsent, 'change')} kept here`
    : WORDS[store.saveState],
);
</script>

<template>
  <span class="save" :class="store.saveState" role="status" :title="store.trouble" data-save>{{ word }}</span>
</template>

<style scoped>
.save {
  font-size: 12.5px;
  font-stretch: 88%;
  color: var(--chalk-2);
  white-space: nowrap;
  padding: 0 8px;
}
.offline {
  color: var(--care);
  font-weight: 600;
}
.refused {
  color: var(--stop);
  font-weight: 600;
}
</style>
