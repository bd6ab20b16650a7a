<script setup lang="ts">
import type { MessageHandler } from 'element-plus';
import { onBeforeUnmount, useTemplateRef, watch } from 'vue';
import { useSelection } from '../stores/selection';

/** What was said last: for eyes for as long as it takes to read, for readers by a line that is always there. */
const selection = useSelection();
const place = useTemplateRef<HTMLElement>('place');
/** Long enough for two lines read at ease. */
const SHOWN_MS = 6000;
/** Below the row of views. */
const DOWN_PX = 84;
let shown: MessageHandler | undefined;
watch(
  () => selection.said,
  async (said) => {
    shown?.close();
    if (said.text === '') return;
    const { ElMessage } = await import('../parts/element-message');
    // Another one may have come while this came in.
    if (!place.value || selection.said !== said) return;
    shown = ElMessage({
      message: said.text,
      appendTo: place.value,
      customClass: 'said',
      duration: SHOWN_MS,
      offset: DOWN_PX,
      showClose: true,
      plain: true,
    });
  },
);
onBeforeUnmount(() => shown?.close());
</script>

<template>
  <p class="sr" role="status" aria-live="polite">{{ selection.said.text }}</p>
  <!-- Said once already by the line above. -->
  <div ref="place" class="says no-print" aria-hidden="true" />
</template>

<style scoped>
.says :deep(.said) {
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
.says :deep(.el-message__closeBtn) {
  pointer-events: auto;
}
.says :deep(.el-message__content) {
  color: var(--chalk);
  font-size: 15px;
  line-height: 1.35;
  overflow-wrap: anywhere;
}
</style>
