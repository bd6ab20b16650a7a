<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{ value: number; min: number; max: number }>();
const share = computed(() =>
  props.max > props.min ? Math.min(1, Math.max(0, (props.value - props.min) / (props.max - props.min))) : 0,
);
</script>

<template>
  <div class="slider-shape"><i :style="{ width: `${share * 100}%` }" /></div>
</template>

<style scoped>
.slider-shape {
  height: 24px;
  display: grid;
  align-items: center;
  background: linear-gradient(var(--slab-3), var(--slab-3)) center / 100% 2px no-repeat;
}
i {
  height: 2px;
  background: var(--chalk-2);
}
</style>
