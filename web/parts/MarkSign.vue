<script setup lang="ts">
import type { Severity } from '@core/warnings';
import { tr } from './messages';

defineProps<{ severity: Severity | null }>();
const WORDS = {
  get stop() {
    return tr('stop');
  },
  get care() {
    return tr('takeCare');
  },
  get note() {
    return tr('note');
  },
} as const;
</script>

<template>
  <svg
    v-if="severity"
    class="mark"
    :class="severity"
    viewBox="0 0 14 14"
    role="img"
    :aria-label="WORDS[severity]"
  >
    <template v-if="severity === 'stop'">
      <rect x="0.5" y="0.5" width="13" height="13" />
      <rect class="cut" x="3" y="5.5" width="8" height="3" />
    </template>
    <path v-else-if="severity === 'care'" d="M0.5 13.5V6.2L13.5 0.5v13z" />
    <circle v-else cx="7" cy="7" r="4.6" />
  </svg>
</template>

<style scoped>
.mark {
  width: 13px;
  height: 13px;
  flex: none;
  display: block;
}
.stop {
  fill: var(--stop);
}
.stop .cut {
  fill: var(--slab);
}
.care {
  fill: var(--care);
}
.note {
  fill: none;
  stroke: var(--note);
  stroke-width: 1.8;
}
</style>
