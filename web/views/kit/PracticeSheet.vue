<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { phrase } from '../../format';
import DataTable from '../../parts/DataTable.vue';
import type { TableColumn } from '../../parts/table-column';
import { practiceSheet } from '@core/proposals';
import { computed } from 'vue';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';

const film = useFilm();
const derivedFilm = useDerivedFilm();
const rows = computed(() =>
  derivedFilm.derived && film.film ? practiceSheet(derivedFilm.derived, film.film, film.kit) : [],
);
const wanted = computed(() => rows.value.filter((r) => r.wanted));
const HOW = {
  get simulator() {
    return tr('simulatorFirst');
  },
  get slow() {
    return tr('slowSticksLower');
  },
  get normal() {
    return tr('normalSticks');
  },
  get fast() {
    return tr('fastSticks');
  },
} as const;
const COLUMNS = computed<TableColumn[]>(() => [
  { key: 'move', label: tr('move'), minWidth: 130 },
  { key: 'forShots', label: tr('forShots'), minWidth: 90 },
  { key: 'inputs', label: tr('inputs'), width: 72 },
  { key: 'now', label: tr('now'), minWidth: 90 },
  { key: 'with', label: tr('with'), minWidth: 110 },
  { key: 'where', label: tr('where'), minWidth: 150 },
  { key: 'done', label: tr('done'), width: 56 },
]);
const print = (): void => window.print();
</script>

<template>
  <section class="sheet" aria-labelledby="practice-title">
    <header>
      <h2 id="practice-title">{{ tr('toRehearseForThisFilm') }}</h2>
      <ElButton class="btn no-print" @click="print">{{ tr('print') }}</ElButton>
    </header>
    <p v-if="wanted.length === 0" class="quiet">
      {{ derivedFilm.derived?.order.length ? tr('everyMoveOnTheList') : tr('noShotIsOnThe') }}
    </p>
    <DataTable v-else :rows="wanted" :columns="COLUMNS" :key-of="(r) => r.kind">
      <template #move="{ row: r }"
        ><b>{{ phrase(r.name) }}</b></template
      >
      <template #forShots="{ row: r }">{{ r.shots.join(', ') }}</template>
      <template #inputs="{ row: r }">{{ r.inputs }}</template>
      <template #now="{ row: r }">{{ phrase(r.word) }}</template>
      <template #with="{ row: r }">{{ HOW[r.how] }}</template>
      <template #where="{ row: r }">{{ phrase(r.where) }}</template>
      <template #done><i class="box" /></template>
    </DataTable>
    <p class="quiet">{{ tr('practiseWhereTheLocalRule') }}</p>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 8px;
}
header {
  display: flex;
  gap: 14px;
  align-items: center;
}
.box {
  display: block;
  width: 15px;
  height: 15px;
  border: 1.5px solid var(--chalk-3);
}
</style>
