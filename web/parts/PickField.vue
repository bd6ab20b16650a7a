<script setup lang="ts" generic="T extends string | number | null">
import { computed, ref, useId } from 'vue';
import type { Fault } from '../sync/validation';
import FieldBox from './FieldBox.vue';
import type { HelpKey } from './help';
import { PickControl } from './pick-control';
import PickShape from './PickShape.vue';
import { tr } from './messages';

const props = defineProps<{
  label: string;
  value: T;
  options: readonly { value: T; label: string; note?: string }[];
  save: (value: T) => readonly Fault[] | void;
  hint?: string;
  help?: HelpKey;
  placeholder?: string;
  bare?: boolean;
}>();
const id = useId();
const faults = ref<readonly Fault[]>([]);
/** Element's select takes no null; a word stands for it. */
const NONE = '\u2205';
const out = (value: T): string | number => value ?? NONE;
const choices = computed(() =>
  props.options.map((o) => ({ value: out(o.value), label: o.label, note: o.note })),
);
const shown = computed(() => ({
  id,
  label: props.label,
  value: out(props.value),
  options: choices.value,
  placeholder: props.placeholder ?? tr('choose'),
}));
/** How somebody has reached for the choice; until then it is at rest. */
const reached = ref<'near' | 'focus' | 'open'>();
const pick = (value: string | number): void => {
  faults.value = props.save((value === NONE ? null : value) as T) ?? [];
};
</script>

<template>
  <FieldBox :id="id" :label="bare ? '' : label" :hint="hint" :help="help" :faults="faults">
    <PickControl v-if="reached" v-bind="shown" :reached="reached" @pick="pick" />
    <PickShape v-else v-bind="shown" @reach="(how) => (reached = how)" />
  </FieldBox>
</template>
