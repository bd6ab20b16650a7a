<script setup lang="ts">
import type { FilmTotals } from '@core/film';
import type { Card } from '@core/model';
import { computed } from 'vue';
import { tr } from './messages';
import { fixed } from '../../format';

const props = defineProps<{ budget: FilmTotals; cards: readonly Card[] }>();
const rows = computed(() =>
  props.budget.cardFills.map((fill) => {
    const card = props.cards.find((c) => c.id === fill.cardId);
    const size = (card?.nominalGB ?? 1) * 1e9;
    return {
      id: fill.cardId,
      name: card?.name ?? '',
      used: Math.min(1, ((card?.usedGB ?? 0) * 1e9) / size),
      planned: fill.bytes / size,
      text: tr('bytesOfRoomBytes', {
        bytes: fixed(fill.bytes / 1e9, 1),
        roomBytes: fixed(fill.roomBytes / 1e9, 0),
      }),
    };
  }),
);
const percent = (share: number): string => `${(share * 100).toFixed(2)}%`;
</script>

<template>
  <section :aria-label="tr('cards')">
    <h2>{{ tr('cards') }}</h2>
    <ul>
      <li v-for="r in rows" :key="r.id">
        <span class="name">{{ r.name }}</span>
        <span class="bar" aria-hidden="true"
          ><i class="used" :style="{ width: percent(r.used) }" /><i
            class="plan"
            :style="{ width: percent(r.planned) }" /><i class="free"
        /></span>
        <span class="text"
          >{{ r.text }}<span class="unit">{{ tr('gb') }}</span></span
        >
      </li>
      <li v-if="rows.length === 0" class="quiet">
        {{ tr('noCardComesAlong') }} <RouterLink :to="{ name: 'kit' }">{{ tr('addOne') }}</RouterLink>.
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 3px;
  margin-top: 3px;
}
li {
  display: grid;
  grid-template-columns: 62px 1fr 92px;
  gap: 8px;
  align-items: center;
  font-size: 12.5px;
  font-stretch: 88%;
}
.name {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.bar {
  display: flex;
  height: 11px;
  background: var(--slab-2);
  border: 1px solid var(--line);
  position: relative;
}
.used {
  background: var(--slab-3);
}
.plan {
  background: var(--verdigris);
}
.free {
  position: absolute;
  right: 0;
  top: 0;
  bottom: 0;
  width: 12.7%;
  background: repeating-linear-gradient(45deg, var(--hatch) 0 3px, transparent 3px 6px);
}
.text {
  text-align: right;
  white-space: nowrap;
}
</style>
