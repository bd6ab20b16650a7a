<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import type { Fault } from '../sync/validation';
import { dateLocale, ElConfigProvider, ElDatePicker } from './element-dates';
import FieldBox from './FieldBox.vue';
import PickerAtRest from './PickerAtRest.vue';
import type { HelpKey } from './help';
import { language } from '../language';
import { tr } from './messages';

/** A day, stored as YYYY-MM-DD, shown as Fri 14 May 2027; empty where there is none. */
const props = defineProps<{
  label: string;
  value: string;
  save: (value: string) => readonly Fault[] | void;
  hint?: string;
  help?: HelpKey;
  clearable?: boolean;
}>();
const id = useId();
const faults = ref<readonly Fault[]>([]);
const written = (parts: Intl.DateTimeFormatOptions): string =>
  props.value
    ? new Date(`${props.value}T12:00:00Z`).toLocaleDateString(
        language.value === 'en' ? 'en-GB' : language.value,
        { ...parts, timeZone: 'UTC' },
      )
    : '';
/** The picker reads back only what it can parse, and no weekday; that stands before it. */
const weekday = computed(() => written({ weekday: 'short' }));
const day = computed(() => written({ day: 'numeric', month: 'short', year: 'numeric' }));
const picked = (value: string | null): void => {
  faults.value = props.save(value ?? '') ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="label" :hint="hint" :help="help" :faults="faults">
    <ElConfigProvider :locale="dateLocale()">
      <span class="day"
        ><span class="unit">{{ weekday }}</span
        ><PickerAtRest :id="id" :text="day" :placeholder="tr('noDate')"
          ><ElDatePicker
            :id="id"
            type="date"
            :format="tr('dateFormat')"
            value-format="YYYY-MM-DD"
            :model-value="value || null"
            :clearable="clearable ?? false"
            :editable="true"
            :placeholder="tr('noDate')"
            @update:model-value="picked" /></PickerAtRest
      ></span>
    </ElConfigProvider>
  </FieldBox>
</template>

<style scoped>
.day {
  display: flex;
  align-items: center;
  gap: 6px;
}
.day .unit {
  flex: none;
  width: 2.2em;
}
</style>
