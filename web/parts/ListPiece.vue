<script setup lang="ts" generic="T">
/** Some items of a list: a component of its own, so that what stands is not drawn again when more of the list comes. */
defineProps<{ items: readonly T[]; keyOf: (item: T) => string | number }>();
defineSlots<{ default(props: { item: T }): unknown }>();
</script>

<template>
  <template v-for="item in items" :key="keyOf(item)"><slot :item="item" /></template>
</template>
