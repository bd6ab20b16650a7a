<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import { afterFirstView } from '../composables/idle';
import { language } from '../language';
// Part of the page: a device that was removed gets nothing more.
import PairBar from './PairBar.vue';

/** Comes after the first view; where the network went before it came, with the network. */
const UpdateBar = defineAsyncComponent({
  loader: () => afterFirstView().then(() => import('./UpdateBar.vue')),
  onError: (_error, retry) => {
    addEventListener('online', retry, { once: true });
  },
});
</script>

<template>
  <!-- Another language begins every view anew: what it worked out in words is worked out again. -->
  <RouterView :key="language" />
  <PairBar />
  <UpdateBar />
</template>
