<script setup lang="ts">
import 'element-plus/es/components/collapse/style/css';
import 'element-plus/es/components/collapse-item/style/css';
import { ElCollapse, ElCollapseItem } from 'element-plus';
import { ref, watch } from 'vue';

/** Something that is read now and then, under one line that opens it. What is in it is made when it is first opened. */
defineProps<{ label: string; count?: number }>();
const open = defineModel<boolean>({ default: false });
const seen = ref(false);
watch(open, (now) => (seen.value ||= now), { immediate: true });
</script>

<template>
  <ElCollapse
    class="disclosure"
    :model-value="open ? ['it'] : []"
    @update:model-value="(names) => (open = Array.isArray(names) && names.length > 0)"
  >
    <ElCollapseItem name="it">
      <template #title>
        {{ label }} <span v-if="count !== undefined" class="unit">{{ count }}</span>
      </template>
      <slot v-if="seen" />
    </ElCollapseItem>
  </ElCollapse>
</template>

<style scoped>
.disclosure {
  --el-collapse-header-bg-color: transparent;
  --el-collapse-content-bg-color: transparent;
  --el-collapse-border-color: var(--line);
  --el-collapse-header-text-color: inherit;
  --el-collapse-content-text-color: inherit;
  --el-collapse-header-font-size: inherit;
  --el-collapse-content-font-size: inherit;
  --el-collapse-header-height: auto;
  border: 0;
}
.disclosure :deep(.el-collapse-item__header) {
  min-height: var(--touch);
  gap: 6px;
  border: 0;
  text-align: start;
  line-height: inherit;
}
.disclosure :deep(.el-collapse-item__wrap) {
  border: 0;
}
.disclosure :deep(.el-collapse-item__content) {
  padding: 0 0 8px;
  line-height: inherit;
}
</style>
