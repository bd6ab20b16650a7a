<script setup lang="ts">
import { onScopeDispose, ref } from 'vue';
import { defer, cancelDeferred } from '../composables/deferred';

/**
 * Draws what is in it after a picture: the parts of a long view take turns, so that none of them holds the page while all of
 * them are made. Until then its place is empty, or as slot `until` draws it.
 */
const due = ref(false);
defer(due, () => {
  due.value = true;
});
onScopeDispose(() => cancelDeferred(due));
</script>

<template>
  <slot v-if="due" />
  <slot v-else name="until" />
</template>
