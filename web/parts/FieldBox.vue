<script setup lang="ts">
import type { Fault } from '../sync/validation';
import FieldHelp from './FieldHelp.vue';
import type { HelpKey } from './help';

defineProps<{
  label: string;
  id: string;
  hint?: string | undefined;
  help?: HelpKey | undefined;
  faults?: readonly Fault[];
  /** What is doubtful about the value, though it is taken. */
  warn?: readonly string[] | undefined;
  wide?: boolean;
}>();
</script>

<template>
  <div class="field" :class="{ wide, 'is-faulty': faults && faults.length > 0 }">
    <div v-if="label" class="head">
      <label class="label" :for="id">{{ label }}<slot name="more" /></label
      ><FieldHelp v-if="help || hint" :label="label" :help="help" :hint="hint" />
    </div>
    <slot />
    <p v-if="faults && faults.length > 0" class="fault" role="alert">
      {{ faults.map((f) => f.say).join(' ') }}
    </p>
    <p v-if="warn && warn.length > 0" class="doubt" role="status">{{ warn.join(' ') }}</p>
  </div>
</template>

<style scoped>
.field {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
.field.wide {
  grid-column: 1 / -1;
}

.doubt {
  color: var(--care);
  font-size: 13.5px;
}
/* Label and mark stay in one row; the label gives way. */
.head {
  display: flex;
  align-items: center;
  min-width: 0;
  min-height: 18px;
  position: relative;
  container-type: inline-size;
}
label {
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
