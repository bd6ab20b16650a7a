<script setup lang="ts">
import { ElUpload, type UploadFile, type UploadInstance } from 'element-plus';
import { useTemplateRef } from 'vue';

/** Chooses files: one, many, or a whole folder. They are handed over at once and nowhere kept. */
defineProps<{
  label: string;
  /** Endings and types that are offered, as a file field takes them. */
  accept?: string;
  multiple?: boolean;
  folder?: boolean;
  /** What the page is there for. */
  lead?: boolean;
}>();
const emit = defineEmits<{ files: [files: readonly [File, ...File[]]] }>();
const upload = useTemplateRef<UploadInstance>('upload');
/** Each is told by itself; what was chosen together goes on together. */
let chosen: File[] = [];
const add = ({ raw }: UploadFile): void => {
  if (!raw) return;
  if (chosen.length === 0)
    queueMicrotask(() => {
      const [first, ...rest] = chosen;
      chosen = [];
      upload.value?.clearFiles();
      // The same file chosen again is chosen anew.
      const field = (upload.value?.$el as HTMLElement | undefined)?.querySelector('input');
      if (field) field.value = '';
      if (first) emit('files', [first, ...rest]);
    });
  chosen.push(raw);
};
</script>

<template>
  <ElUpload
    ref="upload"
    class="file-button"
    :auto-upload="false"
    :show-file-list="false"
    :accept="accept ?? ''"
    :multiple="multiple || folder"
    :directory="folder"
    :on-change="add"
  >
    <span class="btn" :class="{ lead }">{{ label }}</span>
  </ElUpload>
</template>

<style scoped>
.file-button {
  display: inline-flex;
}
.file-button :deep(.el-upload) {
  display: inline-flex;
  cursor: pointer;
}
.file-button :deep(.el-upload:focus-visible) {
  outline: 2px solid var(--pick);
  outline-offset: 2px;
}
.file-button :deep(input) {
  display: none;
}
</style>
