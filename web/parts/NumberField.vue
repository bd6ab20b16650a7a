<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';
import { fieldText, fromShown, readNumber, toShown, unitOf, type Quantity } from '../format';
import { useDerivedFilm } from '../stores/derived-film';
import type { Fault } from '../sync/validation';
import { ElInput } from './element';
import FieldBox from './FieldBox.vue';
import type { HelpKey } from './help';
import { tr } from './messages';

const props = withDefaults(
  defineProps<{
    label: string;
    value: number;
    quantity: Quantity;
    save: (value: number) => readonly Fault[] | void;
    hint?: string;
    help?: HelpKey;
    /** Null: none is shown, the head of its column says it. */
    unit?: string | null;
    scale?: number;
    step?: number;
    bare?: boolean;
    warn?: readonly string[];
  }>(),
  { hint: '', unit: '', scale: 1, step: 1, bare: false, warn: () => [] },
);
const id = useId();
const derivedFilm = useDerivedFilm();
const unit = computed(() =>
  props.unit === null ? '' : props.unit || unitOf(props.quantity, derivedFilm.units),
);
const shown = computed(() =>
  fieldText(toShown(props.value * props.scale, props.quantity, derivedFilm.units)),
);
const text = ref(shown.value);
const faults = ref<readonly Fault[]>([]);
/** A new value from outside is shown unless something else has been typed meanwhile. */
watch(shown, (value, before) => {
  if (text.value === before) text.value = value;
});

const commit = (): void => {
  if (text.value === shown.value) {
    faults.value = [];
    return;
  }
  const number = readNumber(text.value);
  faults.value = Number.isNaN(number)
    ? [{ path: '', say: tr('labelNeedsANumber', { label: props.label }) }]
    : (props.save(fromShown(number, props.quantity, derivedFilm.units) / props.scale) ?? []);
  if (faults.value.length === 0) text.value = shown.value;
};
const nudge = (event: KeyboardEvent | Event, by: number): void => {
  const number = readNumber(text.value);
  if (Number.isNaN(number)) return;
  event.preventDefault();
  text.value = fieldText(
    Number((number + by * props.step * ((event as KeyboardEvent).shiftKey ? 10 : 1)).toPrecision(10)),
  );
  commit();
};
</script>

<template>
  <FieldBox v-if="!bare" :id="id" :label="label" :hint="hint" :help="help" :faults="faults" :warn="warn">
    <ElInput
      :id="id"
      v-model="text"
      inputmode="decimal"
      :aria-invalid="faults.length > 0"
      @change="commit"
      @blur="commit"
      @keydown.up="nudge($event, 1)"
      @keydown.down="nudge($event, -1)"
      ><template v-if="unit" #suffix
        ><span class="unit">{{ unit }}</span></template
      ></ElInput
    >
  </FieldBox>
  <span v-else class="bare" :class="{ 'is-faulty': faults.length > 0 }">
    <ElInput
      :id="id"
      v-model="text"
      inputmode="decimal"
      :aria-label="label"
      :aria-invalid="faults.length > 0"
      @change="commit"
      @blur="commit"
      @keydown.up="nudge($event, 1)"
      @keydown.down="nudge($event, -1)"
      ><template v-if="unit" #suffix
        ><span class="unit">{{ unit }}</span></template
      ></ElInput
    >
    <span v-if="faults.length > 0" class="fault" role="alert">{{ faults.map((f) => f.say).join(' ') }}</span>
  </span>
</template>

<style scoped>
.bare {
  display: block;
  min-width: 0;
}
</style>
