<script setup lang="ts">
import { useServiceWorker } from './service-worker';

const { ready, take, later } = useServiceWorker();
</script>

<template>
  <div v-if="ready" class="update no-print" role="status">
    <span>A new version is ready.</span>
    <button class="btn lead" @click="take">Load it now</button>
    <button class="btn" @click="later">Not now</button>
  </div>
</template>

<style scoped>
.update {
  position: fixed;
  right: 16px;
  bottom: 66px;
  z-index: 40;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 10px 14px;
  background: var(--slab-2);
  border: 1px solid var(--line);
}
</style>
