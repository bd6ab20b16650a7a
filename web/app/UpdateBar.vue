<script setup lang="ts">
import { ElButton } from '../parts/element-button';
import { useServiceWorker } from './service-worker';
import { tr } from './messages';

const { ready, take, later } = useServiceWorker();
</script>

<template>
  <div v-if="ready" class="update no-print" role="status">
    <span>{{ tr('aNewVersionIsReady') }}</span>
    <ElButton class="btn lead" @click="take">{{ tr('loadItNow') }}</ElButton>
    <ElButton class="btn" @click="later">{{ tr('notNow') }}</ElButton>
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
