<script setup lang="ts">
import { useId } from 'vue';
import { ElSwitch } from './element-more';
import FieldHelp from './FieldHelp.vue';
import type { HelpKey } from './help';

defineProps<{
  label: string;
  value: boolean;
  save: (value: boolean) => unknown;
  hint?: string;
  help?: HelpKey;
}>();
const id = useId();
</script>

<template>
  <div class="switch">
    <ElSwitch
      :id="id"
      :model-value="value"
      :aria-label="label"
      @update:model-value="(v: string | number | boolean) => save(v === true)"
    />
    <label :for="id">{{ label }}</label><FieldHelp
      v-if="help || hint"
      :label="label"
      :help="help"
      :hint="hint"
    />
  </div>
</template>

<style scoped>
.switch {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
}
label {
  font-stretch: 90%;
}
</style>
