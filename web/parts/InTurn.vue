<script setup lang="ts">
import { onScopeDispose, ref } from 'vue';
import { defer } from '../composables/deferred';

/**
 * Draws what is in it after a picture: the parts of a long view take turns, so that none of them holds the page while all of
 * them are made. Until then its place is empty.
 */
const due = ref(false);
let left = false;
defer(due, () => {
  if (!left) due.value = true;
});
onScopeDispose(() => {
  left = true;
});
</script>

<template><slot v-if="due" /></template>
