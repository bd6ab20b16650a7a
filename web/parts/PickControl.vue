<script setup lang="ts">
import { ElOption, ElSelect } from './element';

defineProps<{
  id: string;
  label: string;
  value: string | number;
  options: readonly { value: string | number; label: string; note?: string | undefined }[];
  placeholder: string;
}>();
const emit = defineEmits<{ pick: [value: string | number] }>();
</script>

<template>
  <ElSelect
    :id="id"
    :model-value="value"
    :placeholder="placeholder"
    :aria-label="label"
    @update:model-value="(v: string | number) => emit('pick', v)"
  >
    <ElOption v-for="o in options" :key="String(o.value)" :value="o.value" :label="o.label">
      {{ o.label }}<span v-if="o.note" class="unit">&ensp;{{ o.note }}</span>
    </ElOption>
  </ElSelect>
</template>
