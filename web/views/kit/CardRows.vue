<script setup lang="ts">
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import { cardsNowOf, setOnCard } from '../../composables/card-log';
import type { Fault } from '../../sync/validation';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { useKit } from './useKit';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('card');
const onIt = computed(() => new Map(cardsNowOf(store).map((c) => [c.id, c.usedGB])));
const setOn = (card: (typeof all.value)[number], gb: number): readonly Fault[] => {
  const say = setOnCard(store, card, gb);
  return say === '' ? [] : [{ path: '/usedGB', say }];
};
const fresh = (): void => {
  add({ name: `Card ${all.value.length + 1}` });
};
</script>

<template>
  <section>
    <button class="btn lead" @click="fresh">New card</button>
    <p v-if="all.length === 0" class="quiet">No cards yet. What is still on a card counts against it.</p>
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
        <TextField label="Name" :value="c.name" :save="(v) => set(c.id, { name: v })" />
        <NumberField
          label="Size"
          :value="c.nominalGB"
          quantity="gigabytes"
          :step="32"
          :save="(v) => set(c.id, { nominalGB: v })"
        />
        <NumberField
          label="Space used"
          :value="onIt.get(c.id) ?? c.usedGB"
          quantity="gigabytes"
          hint="How often it was copied is told under Checks, Cards."
          :save="(v) => setOn(c, v)"
        />
        <NumberField
          label="Rated write speed"
          :value="c.writeMBs"
          quantity="megabytesPerSecond"
          :step="10"
          hint="Rated minimum sustained write."
          :save="(v) => set(c.id, { writeMBs: v })"
        />
        <TypicalNote kind="card" :thing="c" short />
      </KitRow>
    </ul>
  </section>
</template>
