<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { choices, PACK_STATE_WORDS } from '../../format';
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import DateField from '../../parts/DateField.vue';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { pastDate, TO_COME, useKit } from './useKit';
import { tr } from './messages';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('pack');
const aircraft = computed(() =>
  store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
);
const STATES = choices(PACK_STATE_WORDS);
const fresh = (): void => {
  const craft = store.list('aircraft').find((a) => !a.retired);
  add({
    name: tr('packAll', { all: all.value.length + 1 }),
    aircraftIds: craft ? [craft.id] : [],
    ...(craft ? { ratedWh: craft.packWh } : {}),
  });
};
</script>

<template>
  <section>
    <ElButton class="btn lead" @click="fresh">{{ tr('newPack') }}</ElButton>
    <p v-if="all.length === 0" class="quiet">{{ tr('noPacksYetEnterThe') }}</p>
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
        <TextField
          help="pack.name"
          :label="tr('name')"
          :value="p.name"
          :save="(v) => set(p.id, { name: v })"
        />
        <PickField
          help="pack.aircraftIds"
          :label="tr('fits')"
          :value="p.aircraftIds[0] ?? null"
          :options="aircraft"
          :save="(v) => set(p.id, { aircraftIds: v ? [v] : [] })"
        />
        <NumberField
          help="pack.ratedWh"
          :label="tr('ratedEnergy')"
          :value="p.ratedWh"
          quantity="wattHours"
          :save="(v) => set(p.id, { ratedWh: v })"
        />
        <NumberField
          help="pack.charge"
          :label="tr('chargeNow')"
          :value="p.charge"
          :scale="100"
          quantity="percent"
          :step="5"
          :save="(v) => set(p.id, { charge: v })"
        />
        <NumberField
          help="pack.health"
          :label="tr('health')"
          :value="p.health"
          :scale="100"
          quantity="percent"
          :hint="tr('shareOfTheRatedEnergy')"
          :save="(v) => set(p.id, { health: v })"
        />
        <DateField
          help="pack.chargedOn"
          :label="tr('chargedOn')"
          :value="p.chargedOn ?? ''"
          :hint="tr('itDrainsByItselfSome')"
          :save="
            (v) => {
              const d = pastDate(v);
              return d ? set(p.id, { chargedOn: d.date }) : TO_COME;
            }
          "
          clearable
        />
        <NumberField
          help="pack.drainDelayDays"
          :label="tr('selfDischargeAfter')"
          :value="p.drainDelayDays"
          quantity="count"
          unit="days"
          :hint="tr('daysUntilItDrainsItself')"
          :save="(v) => set(p.id, { drainDelayDays: v })"
        />
        <NumberField
          help="pack.chargeMinutes"
          :label="tr('chargingTime')"
          :value="p.chargeMinutes"
          quantity="minutes"
          :step="5"
          :hint="tr('fromEmptyToFullOn')"
          :save="(v) => set(p.id, { chargeMinutes: v })"
        />
        <NumberField
          help="pack.cycles"
          :label="tr('cycles')"
          :value="p.cycles"
          quantity="count"
          :save="(v) => set(p.id, { cycles: v })"
        />
        <NumberField
          help="pack.mostCycles"
          :label="tr('useUpTo')"
          :value="p.mostCycles"
          quantity="count"
          unit="cycles"
          :step="10"
          :save="(v) => set(p.id, { mostCycles: v })"
        />
        <NumberField
          help="pack.massG"
          :label="tr('mass')"
          :value="p.massG"
          quantity="grams"
          :hint="tr('figure0IfNobodyWeighedIt')"
          :save="(v) => set(p.id, { massG: v })"
        />
        <TextField
          help="pack.firmware"
          :label="tr('firmware')"
          :value="p.firmware"
          :hint="tr('eachPackIsUpdatedOn')"
          :save="(v) => set(p.id, { firmware: v })"
        />
        <DateField
          help="pack.firmwareOn"
          :label="tr('updateCheckedOn')"
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
          help="pack.condition"
          :label="tr('condition')"
          :value="p.condition"
          :options="STATES"
          :save="(v) => set(p.id, { condition: v })"
        />
        <TypicalNote kind="pack" :thing="p" short />
      </KitRow>
    </ul>
    <p class="quiet">
      {{ tr('swollenHotOrFallingBehind') }}
    </p>
  </section>
</template>
