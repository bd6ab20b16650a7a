<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import { cardsNowOf, setOnCard } from '../../composables/card-log';
import type { Fault } from '../../sync/validation';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { useKit } from './useKit';
import { tr } from './messages';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('card');
const onIt = computed(() => new Map(cardsNowOf(store).map((c) => [c.id, c.usedGB])));
const setOn = (card: (typeof all.value)[number], gb: number): readonly Fault[] => {
  const say = setOnCard(store, card, gb);
  return say === '' ? [] : [{ path: '/usedGB', say }];
};
const fresh = (): void => {
  add({ name: tr('cardAll', { all: all.value.length + 1 }) });
};
</script>

<template>
  <section>
    <ElButton class="btn lead" @click="fresh">{{ tr('newCard') }}</ElButton>
    <p v-if="all.length === 0" class="quiet">{{ tr('noCardsYetWhatIs') }}</p>
    <ul>
      <KitRow
        v-for="c in all"
        :key="c.id"
        :name="c.name"
        :retired="c.retired"
        :along="alongOf(c.id)"
        @copy="copy(c)"
        @retire="retire(c)"
        @along="(v) => setAlong(c.id, v)"
      >
        <TextField
          help="card.name"
          :label="tr('name')"
          :value="c.name"
          :save="(v) => set(c.id, { name: v })"
        />
        <NumberField
          help="card.nominalGB"
          :label="tr('size')"
          :value="c.nominalGB"
          quantity="gigabytes"
          :step="32"
          :save="(v) => set(c.id, { nominalGB: v })"
        />
        <NumberField
          help="card.usedGB"
          :label="tr('spaceUsed')"
          :value="onIt.get(c.id) ?? c.usedGB"
          quantity="gigabytes"
          :hint="tr('howOftenItWasCopied')"
          :save="(v) => setOn(c, v)"
        />
        <NumberField
          help="card.writeMBs"
          :label="tr('ratedWriteSpeed')"
          :value="c.writeMBs"
          quantity="megabytesPerSecond"
          :step="10"
          :hint="tr('ratedMinimumSustainedWrite')"
          :save="(v) => set(c.id, { writeMBs: v })"
        />
        <TypicalNote kind="card" :thing="c" short />
      </KitRow>
    </ul>
  </section>
</template>
