<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import type { Fault } from '../sync/validation';
import { dateLocale, ElConfigProvider, ElTimePicker } from './element-dates';
import FieldBox from './FieldBox.vue';
import PickerInTurn from './PickerInTurn.vue';
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
/**
 * The value came from elsewhere – an undo, another tab, another shot – since anybody last reached for the field. A panel that is still
 * closing scrolls its lists to it and says so, the present time where there is no value: nobody chose that.
 */
let overtaken = false;
const shown = (visible: boolean): void => {
  if (visible) overtaken = false;
};
const typed = (event: Event | KeyboardEvent): void => {
  if (event instanceof KeyboardEvent && !event.ctrlKey && !event.metaKey) overtaken = false;
};
watch(
  () => props.value,
  (value) => {
    if (value !== own) overtaken = true;
  },
  { flush: 'sync' },
);
const picked = (value: string | null): void => {
  // Emptied is what a person does, by its own button and without the panel.
  if (overtaken && value !== null) return;
  own = value ?? '';
  faults.value = props.save(own) ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="bare ? '' : label" :hint="hint" :help="help" :faults="faults">
    <ElConfigProvider :locale="dateLocale()">
      <PickerInTurn :text="value"
        ><ElTimePicker
          :id="id"
          format="HH:mm"
          value-format="HH:mm"
          :aria-label="bare ? label : undefined"
          :model-value="value || null"
          :clearable="clearable ?? false"
          placeholder="–:–"
          @update:model-value="picked"
          @visible-change="shown"
          @keydown="typed"
      /></PickerInTurn>
    </ElConfigProvider>
  </FieldBox>
</template>
