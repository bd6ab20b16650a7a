<script setup lang="ts">
import { ElButton } from '../parts/element-button';
import { computed } from 'vue';
import { thingNameOf } from '../format/names';
import { useFilm } from '../stores/film';
import type { Conflict } from '../sync/outbox';
import { tr } from './messages';

const store = useFilm();
const nameOf = (c: Conflict): string => thingNameOf(c.mine, c.theirs) || c.kind;
const short = (value: unknown): string => {
  const text = typeof value === 'string' ? tr('value', { value }) : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};
const rows = computed(() =>
  store.conflicts.map((conflict) => ({
    conflict,
    name: nameOf(conflict),
    what:
      conflict.theirs === null
        ? tr('wasDeletedElsewhereWhileYou')
        : conflict.mine === null
          ? tr('wasChangedElsewhereWhileYou')
          : tr('wasChangedElsewhereAtThe'),
    fields: conflict.fields.map((f) => ({
      field: f,
      mine: short(conflict.mine?.[f]),
      theirs: short(conflict.theirs?.[f]),
    })),
  })),
);
</script>

<template>
  <section class="conflict" role="alert" :aria-label="tr('changedInTwoPlaces')">
    <div v-for="r in rows" :key="r.conflict.id" class="row">
      <p>
        <b dir="auto">{{ r.name }}</b> {{ r.what }}.
        <span v-for="f in r.fields" :key="f.field" class="quiet">
          {{ tr('fieldYoursMineTheirsTheirs', { field: f.field, mine: f.mine, theirs: f.theirs }) }}</span
        >
      </p>
      <ElButton class="btn lead" @click="store.resolve(r.conflict, 'mine')">{{ tr('keepMine') }}</ElButton>
      <ElButton class="btn" @click="store.resolve(r.conflict, 'theirs')">{{ tr('takeTheirs') }}</ElButton>
    </div>
  </section>
</template>

<style scoped>
.conflict {
  background: var(--slab-3);
  border-bottom: 2px solid var(--care);
  padding: 6px 14px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.row p {
  flex: 1;
  min-width: 240px;
}
</style>
