<script setup lang="ts">
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { pastDate, TO_COME, useKit } from './useKit';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('pack');
const aircraft = computed(() =>
  store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
);
const STATES = [
  { value: 'sound' as const, label: 'sound' },
  { value: 'hot' as const, label: 'hot' },
  { value: 'swollen' as const, label: 'swollen' },
  { value: 'damaged' as const, label: 'damaged' },
];
const fresh = (): void => {
  const craft = store.list('aircraft').find((a) => !a.retired);
  add({
    name: `Pack ${all.value.length + 1}`,
    aircraftIds: craft ? [craft.id] : [],
    ...(craft ? { ratedWh: craft.packWh } : {}),
  });
};
</script>

<template>
  <section>
    <button class="btn lead" @click="fresh">New pack</button>
    <p v-if="all.length === 0" class="quiet">No packs yet. Enter the ones you own with what they hold now.</p>
    <ul>
      <KitRow
        v-for="p in all"
        :key="p.id"
        :name="p.name"
        :retired="p.retired"
        :along="alongOf(p.id)"
        @copy="copy(p)"
        @retire="retire(p)"
        @along="(v) => setAlong(p.id, v)"
      >
        <TextField label="Name" :value="p.name" :save="(v) => set(p.id, { name: v })" />
        <PickField
          label="Fits"
          :value="p.aircraftIds[0] ?? null"
          :options="aircraft"
          :save="(v) => set(p.id, { aircraftIds: v ? [v] : [] })"
        />
        <NumberField
          label="Rated energy"
          :value="p.ratedWh"
          quantity="wattHours"
          :save="(v) => set(p.id, { ratedWh: v })"
        />
        <NumberField
          label="Charge now"
          :value="p.charge"
          :scale="100"
          quantity="percent"
          :step="5"
          :save="(v) => set(p.id, { charge: v })"
        />
        <NumberField
          label="Health"
          :value="p.health"
          :scale="100"
          quantity="percent"
          hint="Share of the rated energy it still holds when full."
          :save="(v) => set(p.id, { health: v })"
        />
        <DateField
          label="Charged on"
          :value="p.chargedOn ?? ''"
          hint="It drains by itself some days after."
          :save="
            (v) => {
              const d = pastDate(v);
              return d ? set(p.id, { chargedOn: d.date }) : TO_COME;
            }
          "
          clearable
        />
        <NumberField
          label="Self-discharge after"
          :value="p.drainDelayDays"
          quantity="count"
          unit="days"
          hint="Days until it drains itself towards 60 %."
          :save="(v) => set(p.id, { drainDelayDays: v })"
        />
        <NumberField
          label="Charging time"
          :value="p.chargeMinutes"
          quantity="minutes"
          :step="5"
          hint="From empty to full on its own charger."
          :save="(v) => set(p.id, { chargeMinutes: v })"
        />
        <NumberField
          label="Cycles"
          :value="p.cycles"
          quantity="count"
          :save="(v) => set(p.id, { cycles: v })"
        />
        <NumberField
          label="Use up to"
          :value="p.mostCycles"
          quantity="count"
          unit="cycles"
          :step="10"
          :save="(v) => set(p.id, { mostCycles: v })"
        />
        <NumberField
          label="Mass"
          :value="p.massG"
          quantity="grams"
          hint="0 if nobody weighed it."
          :save="(v) => set(p.id, { massG: v })"
        />
        <TextField
          label="Firmware"
          :value="p.firmware"
          hint="Each pack is updated on its own."
          :save="(v) => set(p.id, { firmware: v })"
        />
        <DateField
          label="Update checked on"
          :value="p.firmwareOn ?? ''"
          :save="
            (v) => {
              const d = pastDate(v);
              return d ? set(p.id, { firmwareOn: d.date }) : TO_COME;
            }
          "
          clearable
        />
        <PickField
          label="Condition"
          :value="p.condition"
          :options="STATES"
          :save="(v) => set(p.id, { condition: v })"
        />
        <TypicalNote kind="pack" :thing="p" short />
      </KitRow>
    </ul>
    <p class="quiet">
      Swollen, hot or falling behind its sisters: retire it. Charge attended, let packs cool first, and never
      warm them on the body or near a flame.
    </p>
  </section>
</template>
