<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import type { Fault } from '../sync/validation';
import { dateLocale, ElConfigProvider, ElTimePicker } from './element-dates';
import FieldBox from './FieldBox.vue';
import { chosen, panelLeft } from './panel-reached';
import PickerAtRest from './PickerAtRest.vue';
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
/** Value this field has saved itself; any other came from elsewhere. */
let own = '';
watch(
  () => props.value,
  (value) => {
    if (value !== own) panelLeft();
  },
  { flush: 'sync' },
);
const picked = (value: string | null): void => {
  if (!chosen(window.event)) return;
  own = value ?? '';
  faults.value = props.save(own) ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="bare ? '' : label" :hint="hint" :help="help" :faults="faults">
    <ElConfigProvider :locale="dateLocale()">
      <PickerAtRest :id="id" :text="value" :label="bare ? label : undefined" placeholder="–:–"
        ><ElTimePicker
          :id="id"
          format="HH:mm"
          value-format="HH:mm"
          :aria-label="bare ? label : undefined"
          :model-value="value || null"
          :clearable="clearable ?? false"
          placeholder="–:–"
          @update:model-value="picked"
      /></PickerAtRest>
    </ElConfigProvider>
  </FieldBox>
</template>
