<script setup lang="ts">
import { ref, useId } from 'vue';
import type { Fault } from '../sync/validation';
import { DATE_LOCALE, ElConfigProvider, ElDatePicker } from './element-dates';
import FieldBox from './FieldBox.vue';

/** A day, stored as YYYY-MM-DD, shown as Fri 14 May 2027; empty where there is none. */
const props = defineProps<{
  label: string;
  value: string;
  save: (value: string) => readonly Fault[] | void;
  hint?: string;
  clearable?: boolean;
}>();
const id = useId();
const faults = ref<readonly Fault[]>([]);
const picked = (value: string | null): void => {
  faults.value = props.save(value ?? '') ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="label" :hint="hint" :faults="faults">
    <ElConfigProvider :locale="DATE_LOCALE">
      <ElDatePicker
        :id="id"
        type="date"
        format="ddd D MMM YYYY"
        value-format="YYYY-MM-DD"
        :model-value="value || null"
        :clearable="clearable ?? false"
        :editable="true"
        placeholder="no date"
        @update:model-value="picked"
      />
    </ElConfigProvider>
  </FieldBox>
</template>
