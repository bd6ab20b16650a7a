<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { GearRole } from '@core/model';
import { computed } from 'vue';
import { choices } from '../../format';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import SwitchField from '../../parts/SwitchField.vue';
import TextField from '../../parts/TextField.vue';
import KitRow from './KitRow.vue';
import { useKit } from './useKit';
import { tr } from './messages';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('gear');
const ROLE_WORDS: Readonly<Record<GearRole, string>> = {
  get reader() {
    return tr('cardReader');
  },
  get cable() {
    return tr('cable');
  },
  get 'landing-pad'() {
    return tr('landingPad');
  },
  get propellers() {
    return tr('propellers');
  },
  get guards() {
    return tr('guards');
  },
  get case() {
    return tr('case');
  },
  get tool() {
    return tr('tool');
  },
  get other() {
    return tr('somethingElse');
  },
};
const ROLES = choices(ROLE_WORDS);
const aircraft = computed(() => [
  { value: null as string | null, label: tr('anyAircraft') },
  ...store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
]);
const fresh = (): void => {
  add({ name: tr('sparePropellersAll', { all: all.value.length + 1 }) });
};
</script>

<template>
  <section>
    <ElButton class="btn lead" @click="fresh">{{ tr('newThing') }}</ElButton>
    <p v-if="all.length === 0" class="quiet">
      {{ tr('nothingYetReadersCablesA') }}
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
        <TextField
          help="gear.name"
          :label="tr('name')"
          :value="g.name"
          :save="(v) => set(g.id, { name: v })"
        />
        <PickField
          help="gear.role"
          :label="tr('type')"
          :value="g.role"
          :options="ROLES"
          :save="(v) => set(g.id, { role: v })"
        />
        <NumberField
          help="gear.count"
          :label="tr('quantity')"
          :value="g.count"
          quantity="count"
          :save="(v) => set(g.id, { count: v })"
        />
        <NumberField
          help="gear.massG"
          :label="tr('massEach')"
          :value="g.massG"
          quantity="grams"
          :save="(v) => set(g.id, { massG: v })"
        />
        <NumberField
          help="gear.readMBs"
          v-if="g.role === 'reader'"
          :label="tr('copies')"
          :value="g.readMBs"
          quantity="megabytesPerSecond"
          :step="10"
          :hint="tr('setsHowLongTheEvening')"
          :save="(v) => set(g.id, { readMBs: v })"
        />
        <PickField
          help="gear.aircraftIds"
          :label="tr('for')"
          :value="g.aircraftIds[0] ?? null"
          :options="aircraft"
          :save="(v) => set(g.id, { aircraftIds: v ? [v] : [] })"
        />
        <SwitchField
          help="gear.fitted"
          :label="tr('carriedInFlight')"
          :value="g.fitted"
          :save="(v) => set(g.id, { fitted: v })"
          :hint="tr('countsInTheTakeOff')"
        />
      </KitRow>
    </ul>
  </section>
</template>
