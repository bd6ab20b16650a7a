<script setup lang="ts" generic="T extends string">
import { nextTick, useTemplateRef } from 'vue';

/** A row of tabs; arrows go along it. The panel is `${name}-panel`. */
const props = defineProps<{
  name: string;
  label: string;
  tabs: readonly { readonly id: T; readonly label: string; readonly title?: string }[];
  value: T;
}>();
const emit = defineEmits<{ pick: [id: T] }>();
const row = useTemplateRef<HTMLElement>('row');
const along = (event: KeyboardEvent): void => {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  const next =
    by === 0
      ? undefined
      : props.tabs[
          (props.tabs.findIndex((t) => t.id === props.value) + by + props.tabs.length) % props.tabs.length
        ];
  if (!next) return;
  event.preventDefault();
  event.stopPropagation();
  emit('pick', next.id);
  void nextTick(() => row.value?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus());
};
</script>

<template>
  <div ref="row" class="tabs no-print" role="tablist" :aria-label="label" @keydown="along">
    <button
      v-for="t in tabs"
      :id="`${name}-${t.id}`"
      :key="t.id"
      role="tab"
      :tabindex="value === t.id ? 0 : -1"
      :aria-selected="value === t.id"
      :aria-controls="`${name}-panel`"
      :title="t.title"
      @click="$emit('pick', t.id)"
    >
      {{ t.label }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 2px;
  border-bottom: 1px solid var(--line);
  flex-wrap: wrap;
}
button {
  border: 0;
  background: none;
  padding: 4px 14px 6px;
  cursor: pointer;
  color: var(--chalk-2);
  min-height: var(--touch);
  border-bottom: 3px solid transparent;
  margin-bottom: -1px;
}
button[aria-selected='true'] {
  color: var(--chalk);
  font-weight: 620;
  border-bottom-color: var(--pick);
}
</style>
