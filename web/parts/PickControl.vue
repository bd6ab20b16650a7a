<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import { ElOption, ElSelect } from './element';

const props = defineProps<{
  id: string;
  label: string;
  value: string | number;
  options: readonly { value: string | number; label: string; note?: string | undefined }[];
  placeholder: string;
  /** How it was reached for: what was in the focus stays so, what was pressed opens. */
  reached?: 'near' | 'focus' | 'open';
}>();
const emit = defineEmits<{ pick: [value: string | number] }>();
const list = useTemplateRef<InstanceType<typeof ElSelect>>('list');
onMounted(() => {
  if (props.reached === 'focus' || props.reached === 'open') list.value?.focus();
  if (props.reached === 'open')
    (list.value?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>('.el-select__wrapper')?.click();
});
</script>

<template>
  <ElSelect
    :id="id"
    ref="list"
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
