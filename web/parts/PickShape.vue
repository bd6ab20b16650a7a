<script setup lang="ts">
import { ArrowDown } from '@element-plus/icons-vue';
import { computed } from 'vue';

/** A choice at rest: what is chosen, in the place of the list that is made once somebody reaches for it. */
const props = defineProps<{
  id: string;
  label: string;
  value: string | number;
  options: readonly { value: string | number; label: string; note?: string | undefined }[];
  placeholder: string;
}>();
const emit = defineEmits<{ reach: [how: 'near' | 'focus' | 'open'] }>();
const chosen = computed(() => props.options.find((o) => o.value === props.value)?.label);
/** Of a finger nothing comes near: its press is a click, and must not be taken for the focus of a key, which changes what is pressed. */
const near = (event: PointerEvent): void => {
  if (event.pointerType === 'mouse') emit('reach', 'near');
};
</script>

<template>
  <button
    :id="id"
    type="button"
    class="pick-shape"
    role="combobox"
    aria-expanded="false"
    aria-haspopup="listbox"
    :aria-label="label"
    @pointerenter="near"
    @mousedown.prevent
    @focus="emit('reach', 'focus')"
    @click="emit('reach', 'open')"
  >
    <span class="chosen" :class="{ none: chosen === undefined }">{{ chosen ?? placeholder }}</span>
    <ArrowDown class="caret" />
  </button>
</template>

<style scoped>
.pick-shape {
  display: flex;
  align-items: center;
  gap: 3px;
  width: 100%;
  min-width: 0;
  min-height: var(--el-component-size);
  padding: 4px 7px;
  border: 0;
  background: var(--bench);
  box-shadow: inset 0 -1px 0 0 var(--line);
  color: var(--chalk);
  font: inherit;
  font-size: 13.5px;
  line-height: 22px;
  text-align: left;
  cursor: pointer;
}
.chosen {
  flex: 1;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.none {
  color: var(--chalk-3);
}
.caret {
  flex: none;
  width: 14px;
  height: 14px;
  color: var(--chalk-3);
}
</style>
