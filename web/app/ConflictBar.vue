<script setup lang="ts">
import { computed } from 'vue';
import { thingNameOf } from '../format/names';
import { useFilm } from '../stores/film';
import type { Clash } from '../sync/outbox';

const store = useFilm();
const nameOf = (c: Clash): string => thingNameOf(c.mine, c.theirs) || c.kind;
const short = (value: unknown): string => {
  const text = typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
};
const rows = computed(() =>
  store.clashes.map((clash) => ({
    clash,
    name: nameOf(clash),
    what:
      clash.theirs === null
        ? 'was deleted elsewhere while you changed it'
        : clash.mine === null
          ? 'was changed elsewhere while you deleted it'
          : 'was changed elsewhere at the same time',
    fields: clash.fields.map((f) => ({
      field: f,
      mine: short(clash.mine?.[f]),
      theirs: short(clash.theirs?.[f]),
    })),
  })),
);
</script>

<template>
  <section class="clash" role="alert" aria-label="Changed in two places">
    <div v-for="r in rows" :key="r.clash.id" class="row">
      <p>
        <b dir="auto">{{ r.name }}</b> {{ r.what }}.
        <span v-for="f in r.fields" :key="f.field" class="quiet">
          {{ f.field }}: yours {{ f.mine }}, theirs {{ f.theirs }}.</span
        >
      </p>
      <button class="btn lead" @click="store.choose(r.clash, 'mine')">Keep mine</button>
      <button class="btn" @click="store.choose(r.clash, 'theirs')">Take theirs</button>
    </div>
  </section>
</template>

<style scoped>
.clash {
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
