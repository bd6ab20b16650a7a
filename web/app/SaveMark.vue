<script setup lang="ts">
import { counted } from '../format';
import { computed } from 'vue';
import { useFilm } from '../stores/film';
import { tr } from './messages';

const store = useFilm();
const WORDS = {
  get saved() {
    return tr('saved');
  },
  get saving() {
    return tr('saving');
  },
  get waiting() {
    return tr('saving');
  },
  get offline() {
    return tr('offline');
  },
  get refused() {
    return tr('notSaved');
  },
} as const;
const word = computed(() =>
  store.saveState === 'offline' && store.unsent > 0
    ? tr('offlineChangesKeptHere', { changes: counted(store.unsent, 'change') })
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
