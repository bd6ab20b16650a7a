<script setup lang="ts">
import { BAND_WORDS, FRAMING_WORDS } from '../../format';
import { explain, type FigureId } from '@core/shot';
import type { DerivedShot } from '@core/film';
import { computed, ref } from 'vue';
import Fig from '../../parts/Fig.vue';
import type { Quantity } from '../../format';
import { SumSheet } from './later';
import { tr } from './messages';

const props = defineProps<{ shot: DerivedShot }>();
const open = ref<FigureId | null>(null);

interface Shown {
  id: FigureId;
  label: string;
  value: number;
  quantity: Quantity;
  word?: string;
}
const figures = computed<Shown[]>(() => {
  const f = props.shot.facts;
  return [
    { id: 'take', label: tr('oneTake'), value: f.trajectory ? f.seconds.takeS : NaN, quantity: 'seconds' },
    { id: 'air', label: tr('inTheAir'), value: f.trajectory ? f.seconds.airS : NaN, quantity: 'seconds' },
    { id: 'energy', label: tr('energy'), value: f.energy?.totalWh ?? NaN, quantity: 'wattHours' },
    {
      id: 'recorded',
      label: tr('recorded'),
      value: f.trajectory ? f.seconds.recordedS : NaN,
      quantity: 'seconds',
    },
    { id: 'bytes', label: tr('card'), value: f.bytes / 1e9, quantity: 'gigabytes' },
    { id: 'pace', label: tr('pace'), value: f.pace.crossingS, quantity: 'seconds', word: BAND_WORDS[f.band] },
    {
      id: 'fill',
      label: tr('subject'),
      value: Math.min(1, f.fill) * 100,
      quantity: 'percent',
      word: f.fill > 1 ? tr('fillsIt') : FRAMING_WORDS[f.framing],
    },
    { id: 'inputs', label: tr('inputs'), value: f.trajectory?.simultaneous ?? NaN, quantity: 'count' },
  ];
});
const toggle = (id: FigureId): void => {
  open.value = open.value === id ? null : id;
};
</script>

<template>
  <div>
    <ul class="strip">
      <li v-for="f in figures" :key="f.id">
        <button
          class="figure"
          :class="[f.id, { open: open === f.id }]"
          :aria-expanded="open === f.id"
          :data-figure="f.id"
          @click="toggle(f.id)"
        >
          <span class="label">{{ f.label }}</span>
          <span class="value"
            ><template v-if="f.word && f.id === 'pace'">{{ f.word }}</template
            ><Fig v-else :value="f.value" :quantity="f.quantity"
          /></span>
          <span class="word"
            ><template v-if="f.id === 'pace'"><Fig :value="f.value" :quantity="f.quantity" /></template
            ><template v-else>{{ f.word }}</template></span
          >
        </button>
      </li>
    </ul>
    <SumSheet v-if="open" :sum="explain(open, shot.facts)" @close="open = null" />
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  gap: 1px;
  background: var(--line);
  border: 1px solid var(--line);
}
.figure {
  width: 100%;
  height: 100%;
  min-height: 54px;
  padding: 4px 8px 3px;
  border: 0;
  background: var(--slab);
  text-align: left;
  cursor: pointer;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 0;
}
.figure:hover {
  background: var(--slab-2);
}
.figure.open {
  background: var(--slab-3);
}
.figure:focus-visible {
  outline-offset: -3px;
}
.value {
  font-size: 18px;
  font-stretch: 88%;
  font-weight: 560;
  line-height: 1.15;
  white-space: nowrap;
}
.energy .value {
  color: var(--ember);
}
.bytes .value {
  color: var(--verdigris);
}
.word {
  font-size: 11.5px;
  color: var(--chalk-2);
  font-stretch: 88%;
  min-height: 14px;
  line-height: 1.2;
}
@media (max-width: 700px) {
  .strip {
    grid-template-columns: repeat(4, 1fr);
  }
}
</style>
