<script setup lang="ts">
import { notPaired } from '../sync/api';
import { tr } from './messages';
</script>

<template>
  <div v-if="notPaired" class="pair no-print" role="alert" data-not-paired>
    <span>{{ tr('notPairedAnyMore') }}</span>
    <a class="btn lead" href="/pair">{{ tr('pairThisDevice') }}</a>
  </div>
</template>

<style scoped>
.pair {
  position: fixed;
  right: 16px;
  bottom: 66px;
  z-index: 41;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  max-width: min(560px, calc(100vw - 32px));
  padding: 10px 14px;
  background: var(--slab-2);
  border: 1px solid var(--care);
}
</style>
