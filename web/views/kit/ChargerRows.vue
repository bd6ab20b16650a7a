<script setup lang="ts">
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import { useFilm } from '../../stores/film';
import KitRow from './KitRow.vue';
import { pastDate, TO_COME, useKit } from './useKit';

const chargers = useKit('charger');
const devices = useKit('device');
const store = useFilm();
const SOURCES = [
  { value: 'wall' as const, label: 'Wall' },
  { value: 'vehicle' as const, label: 'Vehicle' },
  { value: 'bank' as const, label: 'Power bank' },
];
const MANNERS = [
  { value: 'in-turn' as const, label: 'One after another' },
  { value: 'side-by-side' as const, label: 'Side by side' },
];
const ROLES = [
  { value: 'controller' as const, label: 'Controller' },
  { value: 'phone' as const, label: 'Phone' },
  { value: 'goggles' as const, label: 'Goggles' },
  { value: 'other' as const, label: 'Other' },
];
/** Element's select shows nothing for an empty word. */
const ALL = 'all';
/** Whose packs a charger takes: all, one kind, or the kinds it takes now. */
const fits = (ids: readonly string[]) => {
  const own = store.list('aircraft').filter((a) => !a.retired || ids.includes(a.id));
  const several =
    ids.length > 1
      ? [
          {
            value: ids.join(),
            label: own
              .filter((a) => ids.includes(a.id))
              .map((a) => a.name)
              .join(', '),
          },
        ]
      : [];
  return [
    { value: ALL, label: 'every pack' },
    ...several,
    ...own.map((a) => ({ value: a.id as string, label: a.name })),
  ];
};
const setFits = (id: string, value: string) =>
  chargers.set(id, { aircraftIds: value === ALL ? [] : value.split(',') });
const freshCharger = (): void => {
  chargers.add({ name: `Charger ${chargers.all.value.length + 1}` });
};
const freshDevice = (): void => {
  devices.add({ name: `Device ${devices.all.value.length + 1}` });
};
</script>

<template>
  <section>
    <button class="btn lead" @click="freshCharger">New charger</button>
    <p v-if="chargers.all.value.length === 0" class="quiet">
      No chargers yet. With them the plan knows when a pack is back, and the evening before when all is full.
    </p>
    <ul>
      <KitRow
        v-for="c in chargers.all.value"
        :key="c.id"
        :name="c.name"
        :retired="c.retired"
        :along="chargers.alongOf(c.id)"
        @copy="chargers.copy(c)"
        @retire="chargers.retire(c)"
        @along="(v) => chargers.setAlong(c.id, v)"
      >
        <TextField label="Name" :value="c.name" :save="(v) => chargers.set(c.id, { name: v })" />
        <PickField
          label="Power source"
          :value="c.source"
          :options="SOURCES"
          :save="
            (v) =>
              chargers.set(c.id, { source: v, sourceWh: v === 'bank' && c.sourceWh === 0 ? 250 : c.sourceWh })
          "
        />
        <NumberField
          label="Source capacity"
          :value="c.sourceWh"
          quantity="wattHours"
          hint="0 where it does not run dry."
          :save="(v) => chargers.set(c.id, { sourceWh: v })"
        />
        <NumberField
          label="Slots"
          :value="c.slots"
          quantity="count"
          :save="(v) => chargers.set(c.id, { slots: v })"
        />
        <PickField
          label="Charging order"
          :value="c.manner"
          :options="MANNERS"
          :save="(v) => chargers.set(c.id, { manner: v })"
        />
        <NumberField
          label="Power per slot"
          :value="c.slotW"
          quantity="watts"
          :step="5"
          :save="(v) => chargers.set(c.id, { slotW: v })"
        />
        <NumberField
          label="Total power"
          :value="c.totalW"
          quantity="watts"
          hint="Into all batteries together; 0 where each slot has its own."
          :save="(v) => chargers.set(c.id, { totalW: v })"
        />
        <NumberField
          label="Efficiency"
          :value="c.efficiency"
          :scale="100"
          quantity="percent"
          hint="Share of what is drawn from the source that arrives in the battery."
          :save="(v) => chargers.set(c.id, { efficiency: v })"
        />
        <NumberField
          label="Mass"
          :value="c.massG"
          quantity="grams"
          :save="(v) => chargers.set(c.id, { massG: v })"
        />
        <PickField
          label="Charges packs of"
          :value="c.aircraftIds.length === 0 ? ALL : c.aircraftIds.join()"
          :options="fits(c.aircraftIds)"
          :save="(v) => setFits(c.id, v)"
        />
      </KitRow>
    </ul>
    <h2>Controllers, phones, goggles</h2>
    <button class="btn" @click="freshDevice">New device</button>
    <ul>
      <KitRow
        v-for="d in devices.all.value"
        :key="d.id"
        :name="d.name"
        :retired="d.retired"
        :along="devices.alongOf(d.id)"
        @copy="devices.copy(d)"
        @retire="devices.retire(d)"
        @along="(v) => devices.setAlong(d.id, v)"
      >
        <TextField label="Name" :value="d.name" :save="(v) => devices.set(d.id, { name: v })" />
        <PickField
          label="Type"
          :value="d.role"
          :options="ROLES"
          :save="(v) => devices.set(d.id, { role: v })"
        />
        <NumberField
          label="Charge now"
          :value="d.charge"
          :scale="100"
          quantity="percent"
          :step="5"
          :save="(v) => devices.set(d.id, { charge: v })"
        />
        <NumberField
          label="Runtime, full"
          :value="d.hours"
          quantity="count"
          unit="h"
          :step="0.5"
          :save="(v) => devices.set(d.id, { hours: v })"
        />
        <NumberField
          label="Mass"
          :value="d.massG"
          quantity="grams"
          :save="(v) => devices.set(d.id, { massG: v })"
        />
        <TextField label="Firmware" :value="d.firmware" :save="(v) => devices.set(d.id, { firmware: v })" />
        <DateField
          label="Update checked on"
          :value="d.firmwareOn ?? ''"
          :save="
            (v) => {
              const on = pastDate(v);
              return on ? devices.set(d.id, { firmwareOn: on.date }) : TO_COME;
            }
          "
          clearable
        />
        <NumberField
          label="Charging time"
          :value="d.chargeMinutes"
          quantity="minutes"
          :step="5"
          :save="(v) => devices.set(d.id, { chargeMinutes: v })"
        />
      </KitRow>
    </ul>
    <p class="quiet">
      Charge attended, on something that does not burn; let packs cool first. The cold shortens phones more
      than packs.
    </p>
  </section>
</template>
