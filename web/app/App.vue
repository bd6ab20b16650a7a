<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { afterFirstView } from '../composables/idle';
import { language } from '../language';
// Both bars are part of the page: where the network goes, or this device is removed, nothing more comes.
import PairBar from './PairBar.vue';
import UpdateBar from './UpdateBar.vue';

/** The next version is looked for after the first view. */
const later = ref(false);
onMounted(() => {
  void afterFirstView().then(() => {
    later.value = true;
  });
});
</script>

<template>
  <!-- Another language begins every view anew: what it worked out in words is worked out again. -->
  <RouterView :key="language" />
  <PairBar />
  <UpdateBar v-if="later" />
</template>
