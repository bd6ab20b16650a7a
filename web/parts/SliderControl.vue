<script setup lang="ts">
import { ElSlider } from './element';

defineProps<{
  value: number;
  min: number;
  max: number;
  step: number;
  label: string;
  spoken?: (value: number) => string;
}>();
defineEmits<{ slide: [value: number] }>();
</script>

<template>
  <ElSlider
    :model-value="value"
    :min="min"
    :max="max"
    :step="step"
    :show-tooltip="false"
    :aria-label="label"
    :format-value-text="spoken"
    @update:model-value="(v: number | number[]) => $emit('slide', Number(v))"
  />
</template>
