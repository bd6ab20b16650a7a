<script setup lang="ts">
import NumberField from '../../parts/NumberField.vue';
import TextField from '../../parts/TextField.vue';
import KitRow from './KitRow.vue';
import { useKit } from './useKit';

const { all, set, add, copy, retire, alongOf, setAlong } = useKit('card');
const fresh = (): void => { add({ name: `Card ${all.value.length + 1}`, nominalGB: 128, usedGB: 0, writeMBs: 30 }); };
</script>

<template>
  <section>
    <button class="btn lead" @click="fresh">New card</button>
    <p v-if="all.length === 0" class="quiet">No cards yet. What is still on a card counts against it.</p>
    <ul>
      <KitRow v-for="c in all" :key="c.id" :name="c.name" :retired="c.retired" :along="alongOf(c.id)" @copy="copy(c)" @retire="retire(c)" @along="(v) => setAlong(c.id, v)">
        <TextField label="Name" :value="c.name" :save="(v) => set(c.id, { name: v })" />
        <NumberField label="Size" :value="c.nominalGB" quantity="gigabytes" :step="32" :save="(v) => set(c.id, { nominalGB: v })" />
        <NumberField
          label="Already on it" :value="c.usedGB" quantity="gigabytes"
          :save="(v) => (v > c.nominalGB ? [{ path: '/usedGB', say: `A ${c.nominalGB} GB card cannot hold ${v} GB.` }] : set(c.id, { usedGB: v }))"
        />
        <NumberField label="Rated write" :value="c.writeMBs" quantity="megabytesPerSecond" :step="10" hint="Rated minimum sustained write." :save="(v) => set(c.id, { writeMBs: v })" />
      </KitRow>
    </ul>
  </section>
</template>
