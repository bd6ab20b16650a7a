<script setup lang="ts">
import type { Shot } from '@core/model';
import { addsNothing } from '@core/moves';
import { computed, ref } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import type { Fault } from '../../sync/validation';

type Move = Shot['move'];
const props = defineProps<{
  added: Move['added'];
  reversed: boolean;
  reversible: boolean;
  save: (fields: Partial<Move>) => readonly Fault[];
}>();
const opened = ref(!addsNothing(props.added));
const INPUTS = [
  { id: 'riseM', label: 'Rise', quantity: 'metres', hint: 'Below 0 sinks.' },
  { id: 'awayM', label: 'Go away', quantity: 'metres', hint: 'From the subject; below 0 goes nearer.' },
  {
    id: 'aroundDeg',
    label: 'Go round',
    quantity: 'degrees',
    hint: 'Clockwise seen from above; below 0 the other way.',
  },
  {
    id: 'yawDeg',
    label: 'Turn off',
    quantity: 'degrees',
    hint: 'The camera leaves the subject to the right.',
  },
  { id: 'tiltDeg', label: 'Tilt off', quantity: 'degrees', hint: 'Up; below 0 down.' },
] as const;
const savers = Object.fromEntries(
  INPUTS.map((i) => [i.id, (v: number) => props.save({ added: { ...props.added, [i.id]: v } })]),
) as Record<(typeof INPUTS)[number]['id'], (v: number) => readonly Fault[]>;
const used = computed(() =>
  INPUTS.filter((i) => Math.abs(props.added[i.id]) >= 0.01).map((i) => i.label.toLowerCase()),
);
</script>

<template>
  <section class="added" aria-label="Added on top of the move">
    <button class="btn" :class="{ on: used.length > 0 }" :aria-expanded="opened" @click="opened = !opened">
      {{ used.length > 0 ? `With ${used.join(', ')}` : 'Add to the move' }}
    </button>
    <button
      v-if="reversible"
      class="btn"
      :class="{ on: reversed }"
      :aria-pressed="reversed"
      title="Flown from its end to its start"
      @click="save({ reversed: !reversed })"
    >
      Reversed
    </button>
    <div v-if="opened" class="inputs">
      <NumberField
        v-for="i in INPUTS"
        :key="i.id"
        :label="i.label"
        :value="added[i.id]"
        :quantity="i.quantity"
        :hint="i.hint"
        :step="5"
        :save="savers[i.id]"
      />
    </div>
  </section>
</template>

<style scoped>
.added {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-top: 6px;
}
.inputs {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 8px;
  flex: 1 1 360px;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
</style>
