<script setup lang="ts">
import { COLUMNS, LIST_FILTERS, useListFilters } from '../../../stores/list-filters';
import { tr } from './messages';

const listing = useListFilters();
</script>

<template>
  <section class="tools" :aria-label="tr('whatTheListShows')">
    <p class="label">{{ tr('only') }}</p>
    <p>
      <button
        v-for="s in LIST_FILTERS"
        :key="s.id"
        class="chip"
        :class="{ on: listing.activeFilters.includes(s.id) }"
        :aria-pressed="listing.activeFilters.includes(s.id)"
        @click="listing.toggleFilter(s.id)"
      >
        {{ s.label }}
      </button>
    </p>
    <p class="label">{{ tr('eachRowTellsFourAt') }}</p>
    <p>
      <button
        v-for="c in COLUMNS"
        :key="c.id"
        class="chip"
        :class="{ on: listing.columnIds.includes(c.id) }"
        :aria-pressed="listing.columnIds.includes(c.id)"
        @click="listing.toggleColumn(c.id)"
      >
        {{ c.label }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.tools {
  background: var(--slab-2);
  padding: 6px 10px 8px;
  margin: 0 8px 6px;
  display: grid;
  gap: 3px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
}
.chip {
  border: 1px solid var(--line);
  background: var(--slab);
  font-size: 12px;
  font-stretch: 86%;
  padding: 2px 7px;
  min-height: 26px;
  cursor: pointer;
}
.chip.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
@media (max-width: 1099px) {
  .chip {
    min-height: 40px;
  }
}
</style>
