<script setup lang="ts">
import type { GroundShot } from '@core/model';
import Fig from '../../parts/Fig.vue';
import { tr } from './messages';

defineProps<{ shot: GroundShot }>();
defineEmits<{ pick: [] }>();
</script>

<template>
  <button class="ground" :class="{ done: shot.done }" :data-ground="shot.id" @click="$emit('pick')">
    <span class="mark" aria-hidden="true" />
    <span class="title" dir="auto">{{ shot.title || tr('untitled') }}</span>
    <span class="by" dir="auto">{{ shot.done ? tr('groundDone') : shot.filmedBy || tr('onTheGround') }}</span>
    <Fig :value="shot.timelineS" quantity="seconds" />
  </button>
</template>

<style scoped>
.ground {
  width: 100%;
  height: 40px;
  display: grid;
  grid-template: 'mark title seconds' 'mark by seconds' / 12px minmax(0, 1fr) auto;
  gap: 0 8px;
  align-content: center;
  align-items: center;
  border: 0;
  border-bottom: 1px dashed var(--line);
  background: none;
  padding: 0 10px 0 8px;
  text-align: left;
  cursor: pointer;
}
.ground:hover {
  background: var(--slab-2);
}
/* A foot on the ground: a shot that never leaves it. */
.mark {
  grid-area: mark;
  height: 9px;
  border-bottom: 3px solid var(--chalk-2);
}
.title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.by {
  color: var(--chalk-2);
  font-size: 12.5px;
  font-stretch: 88%;
  grid-area: by;
  line-height: 1.2;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.done .title {
  text-decoration: line-through;
}
</style>
