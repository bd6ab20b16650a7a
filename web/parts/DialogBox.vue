<script setup lang="ts">
import { ElDialog } from 'element-plus';
import 'element-plus/es/components/dialog/style/css';

/** A dialog in the look of this application; the library keeps the focus inside and gives it back. */
defineProps<{ title: string; width?: string }>();
defineEmits<{ close: []; opened: [] }>();
</script>

<template>
  <ElDialog
    :model-value="true"
    :title="title"
    :width="width ?? 'min(560px, 94vw)'"
    align-center
    append-to-body
    class="dialog-box"
    @opened="$emit('opened')"
    @close="$emit('close')"
  >
    <slot />
  </ElDialog>
</template>
