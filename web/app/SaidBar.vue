<script setup lang="ts">
import type { MessageHandler } from 'element-plus';
import { ElMessage } from '../parts/element-message';
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import { useSelection } from '../stores/selection';

/** What was said last, for eyes, for as long as it takes to read; it comes in with the first thing that is said. */
const selection = useSelection();
const place = useTemplateRef<HTMLElement>('place');
/** Long enough for two lines read at ease. */
const SHOWN_MS = 6000;
/** Below the row of views. */
const DOWN_PX = 84;
let shown: MessageHandler | undefined;
const show = (text: string): void => {
  shown?.close();
  if (text === '' || !place.value) return;
  shown = ElMessage({
    message: text,
    appendTo: place.value,
    customClass: 'said',
    duration: SHOWN_MS,
    offset: DOWN_PX,
    showClose: true,
    plain: true,
  });
};
// It came in with the first of them.
onMounted(() => {
  show(selection.said.text);
});
watch(
  () => selection.said,
  (said) => {
    show(said.text);
  },
);
onBeforeUnmount(() => shown?.close());
</script>

<template>
  <!-- Readers have it from a line of the shell that is always there. -->
  <div ref="place" class="said-place no-print" aria-hidden="true" />
</template>

<style scoped>
.said-place :deep(.said) {
  --el-message-bg-color: var(--slab-3);
  --el-message-text-color: var(--chalk);
  --el-message-border-color: var(--pick);
  --el-message-close-icon-color: var(--chalk-2);
  --el-message-padding: 10px 16px;
  border-radius: 0;
  border-left-width: 4px;
  /* What lies under it can be pressed meanwhile. */
  pointer-events: none;
  max-width: min(560px, calc(100vw - 24px));
  box-shadow: none;
}
.said-place :deep(.el-message__closeBtn) {
  pointer-events: auto;
}
.said-place :deep(.el-message__content) {
  color: var(--chalk);
  font-size: 15px;
  line-height: 1.35;
  overflow-wrap: anywhere;
}
</style>
