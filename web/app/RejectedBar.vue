<script setup lang="ts">
import { ElButton } from '../parts/element-button';
import { computed } from 'vue';
import { thingNameOf } from '../format/names';
import { useFilm } from '../stores/film';
import { tr } from './messages';

const store = useFilm();
const rows = computed(() =>
  store.rejected.map((r) => ({
    id: r.id,
    name: thingNameOf(r.value, r.base) || tr('aChange'),
    what: r.base === null ? tr('couldNotBeAdded') : tr('couldNotBeSavedAnd'),
    say: r.say,
  })),
);
</script>

<template>
  <div class="refused" role="alert">
    <p>
      <template v-for="r in rows" :key="r.id"
        ><b dir="auto">{{ r.name }}</b> {{ r.what }}: {{ r.say }}
      </template>
    </p>
    <ElButton class="btn" @click="store.dismissRejected()">{{ tr('dismiss') }}</ElButton>
  </div>
</template>

<style scoped>
.refused {
  display: flex;
  gap: 12px;
  align-items: center;
  background: var(--stop);
  color: var(--bench);
  padding: 6px 14px;
  font-weight: 600;
}
.refused p {
  flex: 1;
}
</style>
