<script setup lang="ts">
import { useId } from 'vue';
import { ElSwitch } from './element-more';

defineProps<{ label: string; value: boolean; save: (value: boolean) => unknown; hint?: string }>();
const id = useId();
</script>

<template>
  <div class="switch" :title="hint">
    <ElSwitch
      :id="id"
      :model-value="value"
      :aria-label="label"
      @update:model-value="(v: string | number | boolean) => save(v === true)"
    />
    <label :for="id">{{ label }}</label>
  </div>
</template>

<style scoped>
.switch {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: var(--touch);
}
label {
  font-stretch: 90%;
}
</style>
