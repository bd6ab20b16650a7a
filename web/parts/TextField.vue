<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import type { Fault } from '../sync/validation';
import { ElInput } from './element';
import FieldBox from './FieldBox.vue';
import type { HelpKey } from './help';

const props = defineProps<{
  label: string;
  value: string;
  save: (value: string) => readonly Fault[] | void;
  hint?: string;
  help?: HelpKey;
  lines?: number;
  wide?: boolean;
  bare?: boolean;
  type?: string;
  placeholder?: string;
}>();
const id = useId();
const text = ref(props.value);
const faults = ref<readonly Fault[]>([]);
/** What is typed stays in the field even when it cannot be saved. */
const typed = (value: string): void => {
  text.value = value;
  faults.value = props.save(value) ?? [];
};
watch(
  () => props.value,
  (value) => {
    if (value !== text.value && faults.value.length === 0) text.value = value;
  },
);
const left = (): void => {
  if (faults.value.length === 0) text.value = props.value;
};
</script>

<template>
  <FieldBox
    :id="id"
    :label="bare ? '' : label"
    :hint="hint"
    :help="help"
    :faults="faults"
    :wide="wide ?? false"
  >
    <ElInput
      :aria-label="bare ? label : undefined"
      :id="id"
      :model-value="text"
      :type="lines ? 'textarea' : (type ?? 'text')"
      :rows="lines ?? 1"
      :placeholder="placeholder ?? ''"
      dir="auto"
      :aria-invalid="faults.length > 0"
      @update:model-value="typed"
      @blur="left"
    />
  </FieldBox>
</template>
