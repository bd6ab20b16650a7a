<script setup lang="ts">
import type { LocationPlan } from '@core/day';
import { onMounted, ref, useTemplateRef } from 'vue';
import { useDragging } from '../../composables/useDragging';

const props = defineProps<{ place: LocationPlan; date: string }>();
const emit = defineEmits<{ drop: [id: string]; pick: [] }>();
const row = useTemplateRef<HTMLElement>('row');
const over = ref(false);
const dragging = useDragging();
onMounted(() => {
  const element = row.value;
  if (!element) return;
  dragging(({ dropTargetForElements }) =>
    dropTargetForElements({
      element,
      canDrop: ({ source }) => typeof source.data['shot'] === 'string',
      onDragEnter: () => {
        over.value = true;
      },
      onDragLeave: () => {
        over.value = false;
      },
      onDrop: ({ source }) => {
        over.value = false;
        emit('drop', String(source.data['shot']));
      },
    }),
  );
});
</script>

<template>
  <button
    ref="row"
    class="place"
    :class="{ over }"
    :data-place="props.place.location.id"
    @click="emit('pick')"
  >
    <b dir="auto">{{ place.location.name }}</b>
    <span class="quiet">{{ date }} · {{ place.location.windowStart }}–{{ place.location.windowEnd }}</span>
  </button>
</template>

<style scoped>
.place {
  width: 100%;
  height: 42px;
  display: grid;
  align-content: end;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 2px solid var(--line);
  padding: 4px 4px 3px;
  cursor: pointer;
  line-height: 1.2;
}
.place b {
  font-stretch: 110%;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  font-weight: 640;
}
.place span {
  font-size: 12px;
  font-stretch: 88%;
}
.over {
  background: var(--pick-dim);
}
</style>
