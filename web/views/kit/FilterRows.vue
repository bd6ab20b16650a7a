<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { computed } from 'vue';
import NumberField from '../../parts/NumberField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import KitRow from './KitRow.vue';
import TypicalNote from './TypicalNote.vue';
import { useKit } from './useKit';
import { tr } from './messages';
import { fixed } from '../../format';

const { store, all, set, add, copy, retire, alongOf, setAlong } = useKit('filter');
const aircraft = computed(() => [
  { value: null as string | null, label: tr('anyAircraft') },
  ...store
    .list('aircraft')
    .filter((a) => !a.retired)
    .map((a) => ({ value: a.id as string | null, label: a.name })),
]);
const fresh = (): void => {
  add({});
};
const KINDS = [
  {
    value: 'nd' as const,
    get label() {
      return tr('grey');
    },
  },
  {
    value: 'variable' as const,
    get label() {
      return tr('variableGrey');
    },
  },
  {
    value: 'polariser' as const,
    get label() {
      return tr('polariser');
    },
  },
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
    ? tr('log2ToLog22Stops', { log2: fixed(Math.log2(f.factor), 1), log22: fixed(Math.log2(f.strongest), 1) })
    : tr('log2Stops', { log2: fixed(Math.log2(f.factor), 1) });
</script>

<template>
  <section>
    <ElButton class="btn lead" @click="fresh">{{ tr('newFilter') }}</ElButton>
    <p v-if="all.length === 0" class="quiet">
      {{ tr('noFiltersYetWithoutOne') }}
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
        <TextField
          help="filter.name"
          :label="tr('name')"
          :value="f.name"
          :save="(v) => set(f.id, { name: v })"
        />
        <PickField
          help="filter.kind"
          :label="tr('kind')"
          :value="f.kind"
          :options="KINDS"
          :save="(v) => setKind(f, v)"
        />
        <NumberField
          help="filter.factor"
          :label="f.kind === 'variable' ? tr('weakestFactor') : tr('factor')"
          :value="f.factor"
          quantity="factor"
          :hint="tr('lightIsDividedByIt')"
          :save="(v) => set(f.id, { factor: v })"
        />
        <NumberField
          help="filter.strongest"
          v-if="f.kind === 'variable'"
          :label="tr('strongestFactor')"
          :value="f.strongest"
          quantity="factor"
          :save="(v) => set(f.id, { strongest: v })"
        />
        <div class="field">
          <span class="label">{{ tr('takes') }}</span><span class="stops">{{ stops(f) }}</span>
        </div>
        <NumberField
          help="filter.massG"
          :label="tr('mass')"
          :value="f.massG"
          quantity="count"
          unit="g"
          :hint="tr('countsInTheAircraftsPower')"
          :save="(v) => set(f.id, { massG: v })"
        />
        <PickField
          help="filter.aircraftIds"
          :label="tr('fits')"
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
