<script setup lang="ts">
import { clockText, dateIn, zoneOffsetMinutes } from '@core/time';
import { computed } from 'vue';
import { tr } from './messages';

/** On the day, for a device whose clock goes by another zone than the location: over a border a phone changes by itself. */
const props = defineProps<{ date: string; zone: string; nowMs: number }>();
const here = computed(() => {
  const now = new Date(props.nowMs);
  const apart = zoneOffsetMinutes(props.zone, props.nowMs) + now.getTimezoneOffset();
  if (apart === 0 || dateIn(props.nowMs, props.zone) !== props.date) return '';
  const shown = clockText(props.nowMs + now.getTimezoneOffset() * -60_000, 'UTC');
  return tr('timesAreOfTheLocation', { there: clockText(props.nowMs, props.zone), shown });
});
</script>

<template>
  <p v-if="here" class="quiet" role="note">{{ here }}</p>
</template>
