<script setup lang="ts" generic="T">
import { computed } from 'vue';
import { useInPieces } from '../composables/in-pieces';
import ListPiece from './ListPiece.vue';

/**
 * A long list drawn piece by piece, the first of them at once; pieces whose items stayed are left alone. Rows after the first
 * pieces come later: who does something to each of them does it as each is mounted.
 */
const props = withDefaults(
  defineProps<{ items: readonly T[]; keyOf: (item: T) => string | number; size?: number }>(),
  { size: 24 },
);
defineSlots<{ default(props: { item: T }): unknown }>();
const shown = useInPieces(() => props.items, props.size);
const pieces = computed<(readonly T[])[]>((before = []) =>
  Array.from({ length: Math.ceil(shown.value.length / props.size) }, (_, i) => {
    const piece = shown.value.slice(i * props.size, (i + 1) * props.size);
    const known = before[i];
    return known?.length === piece.length && known.every((item, k) => item === piece[k]) ? known : piece;
  }),
);
</script>

<template>
  <ListPiece v-for="(piece, i) in pieces" :key="i" :items="piece" :key-of="keyOf">
    <template #default="{ item }"><slot :item="item" /></template>
  </ListPiece>
</template>
