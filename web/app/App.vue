<script setup lang="ts">
import { defineAsyncComponent } from 'vue';
import { idle } from '../composables/idle';

const UpdateBar = defineAsyncComponent(() => idle().then(() => import('./UpdateBar.vue')));
</script>

<template>
  <RouterView />
  <UpdateBar />
</template>
