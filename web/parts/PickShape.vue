<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{
  value: string | number;
  options: readonly { value: string | number; label: string }[];
  placeholder: string;
}>();
const chosen = computed(() => props.options.find((o) => o.value === props.value)?.label);
</script>

<template>
  <div class="pick-shape">{{ chosen ?? placeholder }}</div>
</template>

<style scoped>
.pick-shape {
  min-height: var(--el-component-size);
  padding: 4px 8px;
  background: var(--bench);
  box-shadow: inset 0 -1px 0 0 var(--line);
  line-height: 22px;
  font-size: 13.5px;
  white-space: nowrap;
  overflow: hidden;
}
</style>
