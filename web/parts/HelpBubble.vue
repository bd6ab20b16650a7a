<script setup lang="ts">
import 'element-plus/es/components/popover/style/css';
import { ElPopover } from 'element-plus';

/** The line of help over the page, beside the mark that asked for it. */
defineProps<{ anchor: HTMLElement; text: string; id: string }>();
const open = defineModel<boolean>({ required: true });
</script>

<template>
  <ElPopover
    v-model:visible="open"
    trigger="click"
    virtual-triggering
    :virtual-ref="anchor"
    placement="bottom-start"
    :width="280"
    :show-arrow="false"
    popper-class="help-bubble"
  >
    <p :id="id" class="help" role="note">{{ text }}</p>
  </ElPopover>
</template>

<style scoped>
.help {
  margin: 0;
  font-size: 14px;
  line-height: 1.4;
  color: var(--chalk);
}
</style>
