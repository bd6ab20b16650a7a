<script setup lang="ts">
import type { Fault } from '../sync/validation';

defineProps<{
  label: string;
  id: string;
  hint?: string | undefined;
  faults?: readonly Fault[];
  /** What is doubtful about the value, though it is taken. */
  warn?: readonly string[] | undefined;
  wide?: boolean;
}>();
</script>

<template>
  <div class="field" :class="{ wide, 'is-faulty': faults && faults.length > 0 }">
    <label v-if="label" class="label" :for="id" :title="hint">{{ label }}<slot name="more" /></label>
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
label {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
