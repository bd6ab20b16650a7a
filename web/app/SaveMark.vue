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
  get stuck() {
    return tr('notStored');
  },
  get refused() {
    return tr('notSaved');
  },
} as const;
const word = computed(() =>
  store.unsent === 0 || (store.saveState !== 'offline' && store.saveState !== 'stuck')
    ? WORDS[store.saveState]
    : tr(store.saveState === 'offline' ? 'offlineChangesKeptHere' : 'notStoredChangesKeptHere', {
        changes: counted(store.unsent, 'change'),
      }),
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
.offline,
.stuck {
  color: var(--care);
  font-weight: 600;
}
.refused {
  color: var(--stop);
  font-weight: 600;
}
</style>
