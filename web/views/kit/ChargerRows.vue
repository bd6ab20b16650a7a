<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import { useFilm } from '../../stores/film';
import KitRow from './KitRow.vue';
import { pastDate, TO_COME, useKit } from './useKit';
import { tr } from './messages';

const chargers = useKit('charger');
const devices = useKit('device');
const store = useFilm();
const SOURCES = [
  {
    value: 'wall' as const,
    get label() {
      return tr('wall');
    },
  },
  {
    value: 'vehicle' as const,
    get label() {
      return tr('vehicle');
    },
  },
  {
    value: 'bank' as const,
    get label() {
      return tr('powerBank');
    },
  },
];
const MANNERS = [
  {
    value: 'in-turn' as const,
    get label() {
      return tr('oneAfterAnother');
    },
  },
  {
    value: 'side-by-side' as const,
    get label() {
      return tr('sideBySide');
    },
  },
];
const ROLES = [
  {
    value: 'controller' as const,
    get label() {
      return tr('controller');
    },
  },
  {
    value: 'phone' as const,
    get label() {
      return tr('phone');
    },
  },
  {
    value: 'goggles' as const,
    get label() {
      return tr('goggles');
    },
  },
  {
    value: 'other' as const,
    get label() {
      return tr('other');
    },
  },
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
    { value: ALL, label: tr('everyPack') },
    ...several,
    ...own.map((a) => ({ value: a.id as string, label: a.name })),
  ];
};
const setFits = (id: string, value: string) =>
  chargers.set(id, { aircraftIds: value === ALL ? [] : value.split(',') });
const freshCharger = (): void => {
  chargers.add({ name: tr('chargerAll', { all: chargers.all.value.length + 1 }) });
};
const freshDevice = (): void => {
  devices.add({ name: tr('deviceAll', { all: devices.all.value.length + 1 }) });
};
</script>

<template>
  <section>
    <ElButton class="btn lead" @click="freshCharger">{{ tr('newCharger') }}</ElButton>
    <p v-if="chargers.all.value.length === 0" class="quiet">
      {{ tr('noChargersYetWithThem') }}
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
        <TextField
          help="charger.name"
          :label="tr('name')"
          :value="c.name"
          :save="(v) => chargers.set(c.id, { name: v })"
        />
        <PickField
          help="charger.source"
          :label="tr('powerSource')"
          :value="c.source"
          :options="SOURCES"
          :save="
            (v) =>
              chargers.set(c.id, { source: v, sourceWh: v === 'bank' && c.sourceWh === 0 ? 250 : c.sourceWh })
          "
        />
        <NumberField
          help="charger.sourceWh"
          :label="tr('sourceCapacity')"
          :value="c.sourceWh"
          quantity="wattHours"
          :hint="tr('figure0WhereItDoesNot')"
          :save="(v) => chargers.set(c.id, { sourceWh: v })"
        />
        <NumberField
          help="charger.slots"
          :label="tr('slots')"
          :value="c.slots"
          quantity="count"
          :save="(v) => chargers.set(c.id, { slots: v })"
        />
        <PickField
          help="charger.manner"
          :label="tr('chargingOrder')"
          :value="c.manner"
          :options="MANNERS"
          :save="(v) => chargers.set(c.id, { manner: v })"
        />
        <NumberField
          help="charger.slotW"
          :label="tr('powerPerSlot')"
          :value="c.slotW"
          quantity="watts"
          :step="5"
          :save="(v) => chargers.set(c.id, { slotW: v })"
        />
        <NumberField
          help="charger.totalW"
          :label="tr('totalPower')"
          :value="c.totalW"
          quantity="watts"
          :hint="tr('intoAllBatteriesTogether0')"
          :save="(v) => chargers.set(c.id, { totalW: v })"
        />
        <NumberField
          help="charger.efficiency"
          :label="tr('efficiency')"
          :value="c.efficiency"
          :scale="100"
          quantity="percent"
          :hint="tr('shareOfWhatIsDrawn')"
          :save="(v) => chargers.set(c.id, { efficiency: v })"
        />
        <NumberField
          help="charger.massG"
          :label="tr('mass')"
          :value="c.massG"
          quantity="grams"
          :save="(v) => chargers.set(c.id, { massG: v })"
        />
        <PickField
          help="charger.aircraftIds"
          :label="tr('chargesPacksOf')"
          :value="c.aircraftIds.length === 0 ? ALL : c.aircraftIds.join()"
          :options="fits(c.aircraftIds)"
          :save="(v) => setFits(c.id, v)"
        />
      </KitRow>
    </ul>
    <h2>{{ tr('controllersPhonesGoggles') }}</h2>
    <ElButton class="btn" @click="freshDevice">{{ tr('newDevice') }}</ElButton>
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
        <TextField
          help="device.name"
          :label="tr('name')"
          :value="d.name"
          :save="(v) => devices.set(d.id, { name: v })"
        />
        <PickField
          help="device.role"
          :label="tr('type')"
          :value="d.role"
          :options="ROLES"
          :save="(v) => devices.set(d.id, { role: v })"
        />
        <NumberField
          help="device.charge"
          :label="tr('chargeNow')"
          :value="d.charge"
          :scale="100"
          quantity="percent"
          :step="5"
          :save="(v) => devices.set(d.id, { charge: v })"
        />
        <NumberField
          help="device.hours"
          :label="tr('runtimeFull')"
          :value="d.hours"
          quantity="count"
          unit="h"
          :step="0.5"
          :save="(v) => devices.set(d.id, { hours: v })"
        />
        <NumberField
          help="device.massG"
          :label="tr('mass')"
          :value="d.massG"
          quantity="grams"
          :save="(v) => devices.set(d.id, { massG: v })"
        />
        <TextField
          help="device.firmware"
          :label="tr('firmware')"
          :value="d.firmware"
          :save="(v) => devices.set(d.id, { firmware: v })"
        />
        <DateField
          help="device.firmwareOn"
          :label="tr('updateCheckedOn')"
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
          help="device.chargeMinutes"
          :label="tr('chargingTime')"
          :value="d.chargeMinutes"
          quantity="minutes"
          :step="5"
          :save="(v) => devices.set(d.id, { chargeMinutes: v })"
        />
      </KitRow>
    </ul>
    <p class="quiet">
      {{ tr('chargeAttendedOnSomethingThat') }}
    </p>
  </section>
</template>
