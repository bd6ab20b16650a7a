<script setup lang="ts" generic="T extends string | number | null">
import { ref, useId } from 'vue';
import type { Fault } from '../sync/validation';
import { ElOption, ElSelect } from './element';
import FieldBox from './FieldBox.vue';

const props = defineProps<{
  label: string;
  value: T;
  options: readonly { value: T; label: string; note?: string }[];
  save: (value: T) => readonly Fault[] | void;
  hint?: string;
  placeholder?: string;
  bare?: boolean;
}>();
const id = useId();
const faults = ref<readonly Fault[]>([]);
/** Element's select takes no null; a word stands for it. */
const NONE = '\u2205';
const out = (value: T): string | number => value ?? NONE;
const pick = (value: string | number): void => {
  faults.value = props.save((value === NONE ? null : value) as T) ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="bare ? '' : label" :hint="hint" :faults="faults">
    <ElSelect
      :id="id"
      :model-value="out(value)"
      :placeholder="placeholder ?? 'choose'"
      :aria-label="label"
      @update:model-value="pick"
    >
      <ElOption v-for="o in options" :key="String(o.value)" :value="out(o.value)" :label="o.label">
        {{ o.label }}<span v-if="o.note" class="unit">&ensp;{{ o.note }}</span>
      </ElOption>
    </ElSelect>
  </FieldBox>
</template>
