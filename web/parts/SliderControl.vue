<script setup lang="ts">
import { ElSlider } from './element';
import { heldHandle } from './held-handle';

defineProps<{
  value: number;
  min: number;
  max: number;
  step: number;
  label: string;
  spoken?: (value: number) => string;
}>();
defineEmits<{ slide: [value: number] }>();

const held = heldHandle();
</script>

<template>
  <div
    class="held"
    @touchstart.capture.passive="held.touchstart"
    @touchmove.capture.passive="held.touchmove"
    @touchcancel.capture="held.touchcancel"
    @mousedown.capture="held.clicked"
    @click.capture="held.clicked"
  >
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
  </div>
</template>

<style scoped>
/* Up and down belongs to the page, also on the handle. */
.held,
.held :deep(*) {
  touch-action: pan-y;
}
</style>
