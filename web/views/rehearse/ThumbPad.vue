<script setup lang="ts">
import { useTemplateRef } from 'vue';

/** A stick under the thumb, back in its middle when it is let go; shows where the stick stands, whoever moves it. */
const props = defineProps<{ label: string; x: number; y: number; upright?: boolean }>();
const emit = defineEmits<{ move: [x: number, y: number] }>();
const pad = useTemplateRef<HTMLElement>('pad');
const set = (x: number, y: number): void => {
  emit('move', x, y);
};
const pulled = (event: PointerEvent): void => {
  const box = pad.value?.getBoundingClientRect();
  if (!box || !pad.value?.hasPointerCapture(event.pointerId)) return;
  const half = Math.min(box.width, box.height) / 2;
  const part = (d: number, of: number): number => Math.max(-1, Math.min(1, d / of));
  set(
    props.upright ? 0 : part(event.clientX - box.left - box.width / 2, half),
    part(box.top + box.height / 2 - event.clientY, box.height / 2),
  );
};
const took = (event: PointerEvent): void => {
  pad.value?.setPointerCapture(event.pointerId);
  pulled(event);
};
const letGo = (): void => {
  set(0, 0);
};
</script>

<template>
  <div
    ref="pad"
    class="pad"
    :class="{ upright }"
    role="img"
    :aria-label="label"
    @pointerdown.prevent="took"
    @pointermove="pulled"
    @pointerup="letGo"
    @pointercancel="letGo"
    @lostpointercapture="letGo"
  >
    <span class="knob" :style="{ left: `${50 + 38 * x}%`, top: `${50 - 38 * y}%` }" />
  </div>
</template>

<style scoped>
.pad {
  position: relative;
  width: 132px;
  height: 132px;
  border: 2px solid var(--chalk-3);
  background: color-mix(in srgb, var(--slab) 60%, transparent);
  touch-action: none;
  user-select: none;
}
.pad.upright {
  width: 48px;
}
.knob {
  position: absolute;
  width: 40px;
  height: 40px;
  margin: -20px 0 0 -20px;
  background: var(--pick-dim);
  border: 2px solid var(--pick);
  pointer-events: none;
}
.upright .knob {
  width: 36px;
  margin-left: -18px;
}
</style>
