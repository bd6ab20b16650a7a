<script setup lang="ts">
import { ref, useId, watch } from 'vue';
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
let open = false;
/** Value this field has saved itself; any other came from elsewhere. */
let own = '';
/** The value changed under the open panel, by an undo or another tab: what the panel still says is not what anybody chose. */
let overtaken = false;
const shown = (visible: boolean): void => {
  open = visible;
  if (visible) overtaken = false;
};
watch(
  () => props.value,
  (value) => {
    if (open && value !== own) overtaken = true;
  },
  { flush: 'sync' },
);
const picked = (value: string | null): void => {
  if (overtaken) return;
  own = value ?? '';
  faults.value = props.save(own) ?? [];
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
        @visible-change="shown"
      />
    </ElConfigProvider>
  </FieldBox>
</template>
