<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { inSentence, phrase } from '../../format';
import type { Shot } from '@core/model';
import { addsNothing } from '@core/moves';
import { computed, ref } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import type { Fault } from '../../sync/validation';
import { tr } from './messages';

type Move = Shot['move'];
const props = defineProps<{
  added: Move['added'];
  reversed: boolean;
  reversible: boolean;
  save: (fields: Partial<Move>) => readonly Fault[];
}>();
const opened = ref(!addsNothing(props.added));
const INPUTS = [
  {
    id: 'riseM',
    get label() {
      return tr('rise');
    },
    quantity: 'metres',
    get hint() {
      return tr('below0Sinks');
    },
  },
  {
    id: 'awayM',
    get label() {
      return tr('goAway');
    },
    quantity: 'metres',
    get hint() {
      return tr('fromTheSubjectBelow0');
    },
  },
  {
    id: 'aroundDeg',
    get label() {
      return tr('goRound');
    },
    quantity: 'degrees',
    get hint() {
      return tr('clockwiseSeenFromAboveBelow');
    },
  },
  {
    id: 'yawDeg',
    get label() {
      return tr('turnOff');
    },
    quantity: 'degrees',
    get hint() {
      return tr('theCameraLeavesTheSubject');
    },
  },
  {
    id: 'tiltDeg',
    get label() {
      return tr('tiltOff');
    },
    quantity: 'degrees',
    get hint() {
      return tr('upBelow0Down');
    },
  },
] as const;
const savers = Object.fromEntries(
  INPUTS.map((i) => [i.id, (v: number) => props.save({ added: { ...props.added, [i.id]: v } })]),
) as Record<(typeof INPUTS)[number]['id'], (v: number) => readonly Fault[]>;
const used = computed(() =>
  INPUTS.filter((i) => Math.abs(props.added[i.id]) >= 0.01).map((i) => inSentence(i.label)),
);
</script>

<template>
  <section class="added" :aria-label="tr('addedOnTopOfThe')">
    <ElButton class="btn" :class="{ on: used.length > 0 }" :aria-expanded="opened" @click="opened = !opened">
      {{ used.length > 0 ? tr('withUsed', { used: used.join(', ') }) : tr('addToTheMove') }}
    </ElButton>
    <ElButton
      v-if="reversible"
      class="btn"
      :class="{ on: reversed }"
      :aria-pressed="reversed"
      :title="tr('flownFromItsEndTo')"
      @click="save({ reversed: !reversed })"
    >
      {{ tr('reversed') }}
    </ElButton>
    <div v-if="opened" class="inputs">
      <NumberField
        v-for="i in INPUTS"
        :key="i.id"
        :label="i.label"
        :value="added[i.id]"
        :quantity="i.quantity"
        :hint="phrase(i.hint)"
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
