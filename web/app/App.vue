<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import { afterFirstView } from '../composables/idle';
import { language } from '../language';

const PairBar = defineAsyncComponent(() => afterFirstView().then(() => import('./PairBar.vue')));
const UpdateBar = defineAsyncComponent(() => afterFirstView().then(() => import('./UpdateBar.vue')));
</script>

<template>
  <!-- Another language begins every view anew: what it worked out in words is worked out again. -->
  <RouterView :key="language" />
  <PairBar />
  <UpdateBar />
</template>
