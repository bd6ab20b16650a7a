<script setup lang="ts">
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { useKit } from './useKit';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('filter');
const aircraft = computed(() => [
  { value: null as string | null, label: 'any aircraft' },
  ...store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
]);
const fresh = (): void => {
  add({});
};
const KINDS = [
  { value: 'nd' as const, label: 'Grey' },
  { value: 'variable' as const, label: 'Variable grey' },
  { value: 'polariser' as const, label: 'Polariser' },
];
type Filter = (typeof all.value)[number];
const setKind = (f: Filter, kind: Filter['kind']) =>
  set(f.id, {
    kind,
    strongest: kind === 'variable' ? Math.max(f.strongest, f.factor * 8) : 0,
    ...(kind === 'polariser' && f.factor > 4 ? { factor: 2.83 } : {}),
  });
const stops = (f: Filter): string =>
  f.kind === 'variable'
    ? `${Math.log2(f.factor).toFixed(1)} to ${Math.log2(f.strongest).toFixed(1)} stops`
    : `${Math.log2(f.factor).toFixed(1)} stops`;
</script>

<template>
  <section>
    <button class="btn lead" @click="fresh">New filter</button>
    <p v-if="all.length === 0" class="quiet">
      No filters yet. Without one, the shutter gets short in bright sun.
    </p>
    <ul>
      <KitRow
        v-for="f in all"
        :key="f.id"
        :name="f.name"
        :retired="f.retired"
        :along="alongOf(f.id)"
        @copy="copy(f)"
        @retire="retire(f)"
        @along="(v) => setAlong(f.id, v)"
      >
        <TextField label="Name" :value="f.name" :save="(v) => set(f.id, { name: v })" />
        <PickField label="Kind" :value="f.kind" :options="KINDS" :save="(v) => setKind(f, v)" />
        <NumberField
          :label="f.kind === 'variable' ? 'Weakest factor' : 'Factor'"
          :value="f.factor"
          quantity="factor"
          hint="Light is divided by it: 2, 4, 8, 16 …"
          :save="(v) => set(f.id, { factor: v })"
        />
        <NumberField
          v-if="f.kind === 'variable'"
          label="Strongest factor"
          :value="f.strongest"
          quantity="factor"
          :save="(v) => set(f.id, { strongest: v })"
        />
        <div class="field">
          <span class="label">Takes</span><span class="stops">{{ stops(f) }}</span>
        </div>
        <NumberField
          label="Mass"
          :value="f.massG"
          quantity="count"
          unit="g"
          hint="Counts in the aircraft's power and against its weight line."
          :save="(v) => set(f.id, { massG: v })"
        />
        <PickField
          label="Fits"
          :value="f.aircraftIds[0] ?? null"
          :options="aircraft"
          :save="(v) => set(f.id, { aircraftIds: v ? [v] : [] })"
        />
        <TypicalNote kind="filter" :thing="f" short />
      </KitRow>
    </ul>
  </section>
</template>

<style scoped>
.stops {
  min-height: 30px;
  display: flex;
  align-items: center;
}
</style>
