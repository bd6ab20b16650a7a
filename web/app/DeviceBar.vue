<script setup lang="ts">
import { ElButton } from '../parts/element-button';
import { MINUTE_MS } from '@core/time';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { counted, whenText } from '../format';
import { useFilm } from '../stores/film';
import { deviceHealth } from '../sync/device-health';
import { onlyInThisPage } from '../sync/pending-storage';
import { tr } from './messages';

/** What of this device, or of the application, keeps changes from being stored or times from being right. */
const store = useFilm();
/** Clocks that were read once are not told again until they differ otherwise, ms. */
const CLOCK_STEP_MS = 5 * 60_000;
/** A clock that is out is told in its largest unit. */
const apartText = (minutes: number): string => {
  if (minutes < 90) return tr('minutesApart', { n: Math.round(minutes) });
  return minutes < 36 * 60
    ? tr('hoursApart', { n: Math.round(minutes / 60) })
    : tr('daysApart', { n: Math.round(minutes / (24 * 60)) });
};
const readAheadMs = ref<number | null>(null);

const held = computed(() => store.saveState === 'offline' || store.saveState === 'stuck');
const changes = computed(() => counted(store.unsent, 'change'));
const storage = computed(() => {
  const { storage: fault } = deviceHealth;
  if (fault === null || !held.value || store.unsent === 0) return '';
  return tr(fault === 'full' ? 'thisDeviceIsFull' : 'thisDeviceStoresNothing', { changes: changes.value });
});
const stuck = computed(() => (store.saveState === 'stuck' ? store.trouble : ''));
const older = computed(() => store.saveState === 'stuck' && store.outdated);
const cleared = computed(() =>
  deviceHealth.clearedSinceMs === null
    ? ''
    : tr('theBrowserCleared', { since: whenText(deviceHealth.clearedSinceMs) }),
);
const clock = computed(() => {
  const { clockAheadMs, clockBeforeMs } = deviceHealth;
  if (clockBeforeMs !== null) return tr('clockBefore', { stored: whenText(clockBeforeMs) });
  if (
    clockAheadMs === 0 ||
    (readAheadMs.value !== null && Math.abs(clockAheadMs - readAheadMs.value) < CLOCK_STEP_MS)
  )
    return '';
  const apart = apartText(Math.abs(clockAheadMs) / MINUTE_MS);
  return tr(clockAheadMs > 0 ? 'clockAhead' : 'clockBehind', { apart });
});
const readClock = (): void => {
  readAheadMs.value = deviceHealth.clockAheadMs;
  deviceHealth.clockBeforeMs = null;
};
const readCleared = (): void => {
  deviceHealth.clearedSinceMs = null;
};
const reload = (): void => location.reload();

/** A page that alone has what was changed asks before it goes. */
const stay = (event: BeforeUnloadEvent): void => {
  if (onlyInThisPage()) event.preventDefault();
};
onMounted(() => window.addEventListener('beforeunload', stay));
onBeforeUnmount(() => window.removeEventListener('beforeunload', stay));
</script>

<template>
  <div v-if="storage || stuck || cleared || clock" class="device no-print" role="alert" data-device>
    <p v-if="storage" class="bad">{{ storage }}</p>
    <p v-if="stuck">
      {{ stuck }}
      <ElButton v-if="older" class="btn" @click="reload">{{ tr('loadItNow') }}</ElButton>
    </p>
    <p v-if="cleared" class="bad">
      {{ cleared }} <ElButton class="btn" @click="readCleared">{{ tr('dismiss') }}</ElButton>
    </p>
    <p v-if="clock">
      {{ clock }} <ElButton class="btn" @click="readClock">{{ tr('dismiss') }}</ElButton>
    </p>
  </div>
</template>

<style scoped>
.device {
  flex: none;
  display: grid;
  gap: 4px;
  padding: 6px 14px;
  border-bottom: 1px solid var(--line);
  background: var(--slab-2);
}
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  border-left: 4px solid var(--care);
  padding-left: 10px;
  max-width: 120ch;
}
.bad {
  border-left-color: var(--stop);
  font-weight: 600;
}
</style>
