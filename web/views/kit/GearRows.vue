<script setup lang="ts">
import type { GearRole } from '@core/model';
import { computed } from 'vue';
import { choices } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import KitRow from './KitRow.vue';
import { useKit } from './useKit';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('gear');
const ROLE_WORDS: Readonly<Record<GearRole, string>> = {
  reader: 'Card reader',
  cable: 'Cable',
  'landing-pad': 'Landing pad',
  propellers: 'Propellers',
  guards: 'Guards',
  case: 'Case',
  tool: 'Tool',
  other: 'Something else',
};
const ROLES = choices(ROLE_WORDS);
const aircraft = computed(() => [
  { value: null as string | null, label: 'any aircraft' },
  ...store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
]);
const fresh = (): void => {
  add({ name: `Spare propellers ${all.value.length + 1}` });
};
</script>

<template>
  <section>
    <button class="btn lead" @click="fresh">New thing</button>
    <p v-if="all.length === 0" class="quiet">
      Nothing yet. Readers, cables, a landing pad, propellers, guards and cases: the bag counts and weighs
      them.
    </p>
    <ul>
      <KitRow
        v-for="g in all"
        :key="g.id"
        :name="g.name"
        :retired="g.retired"
        :along="alongOf(g.id)"
        @copy="copy(g)"
        @retire="retire(g)"
        @along="(v) => setAlong(g.id, v)"
      >
        <TextField label="Name" :value="g.name" :save="(v) => set(g.id, { name: v })" />
        <PickField label="Type" :value="g.role" :options="ROLES" :save="(v) => set(g.id, { role: v })" />
        <NumberField
          label="Quantity"
          :value="g.count"
          quantity="count"
          :save="(v) => set(g.id, { count: v })"
        />
        <NumberField
          label="Mass each"
          :value="g.massG"
          quantity="grams"
          :save="(v) => set(g.id, { massG: v })"
        />
        <NumberField
          v-if="g.role === 'reader'"
          label="Copies"
          :value="g.readMBs"
          quantity="megabytesPerSecond"
          :step="10"
          hint="Sets how long the evening takes."
          :save="(v) => set(g.id, { readMBs: v })"
        />
        <PickField
          label="For"
          :value="g.aircraftIds[0] ?? null"
          :options="aircraft"
          :save="(v) => set(g.id, { aircraftIds: v ? [v] : [] })"
        />
        <SwitchField
          label="Carried in flight"
          :value="g.fitted"
          :save="(v) => set(g.id, { fitted: v })"
          hint="Counts in the take-off mass against the weight lines."
        />
      </KitRow>
    </ul>
  </section>
</template>
