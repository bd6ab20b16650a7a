<script setup lang="ts">
import { ref, useId } from 'vue';
import type { Fault } from '../sync/validation';
import { dateLocale, ElConfigProvider, ElTimePicker } from './element-dates';
import FieldBox from './FieldBox.vue';
import type { HelpKey } from './help';

/** A minute on the 24-hour clock, stored as HH:mm; empty where there is none. */
const props = defineProps<{
  label: string;
  value: string;
  save: (value: string) => readonly Fault[] | void;
  hint?: string;
  help?: HelpKey;
  bare?: boolean;
  clearable?: boolean;
}>();
const id = useId();
const faults = ref<readonly Fault[]>([]);
const picked = (value: string | null): void => {
  faults.value = props.save(value ?? '') ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="bare ? '' : label" :hint="hint" :help="help" :faults="faults">
    <ElConfigProvider :locale="dateLocale()">
      <ElTimePicker
        :id="id"
        format="HH:mm"
        value-format="HH:mm"
        :aria-label="bare ? label : undefined"
        :model-value="value || null"
        :clearable="clearable ?? false"
        placeholder="–:–"
        @update:model-value="picked"
      />
    </ElConfigProvider>
  </FieldBox>
</template>
