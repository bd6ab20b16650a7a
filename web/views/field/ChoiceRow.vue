<script setup lang="ts" generic="T extends string | number">
import { ElButton } from '../../parts/element-button';
/** One of a few, chosen with a thumb. */
defineProps<{
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
}>();
const emit = defineEmits<{ pick: [value: T] }>();
</script>

<template>
  <div class="row" role="group" :aria-label="label">
    <ElButton
      v-for="o in options"
      :key="o.value"
      class="btn"
      :class="{ on: o.value === value }"
      :aria-pressed="o.value === value"
      @click="emit('pick', o.value)"
    >
      {{ o.label }}
    </ElButton>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.btn {
  min-height: 48px;
  font-size: 17px;
}
.on {
  background: var(--pick-dim);
  border-color: var(--pick);
}
</style>
