<script setup lang="ts">
import type { FilterPart } from '@core/light-timeline';
import { clockText } from '@core/time';
import { computed } from 'vue';
import MarkSign from '../../parts/MarkSign.vue';
import { tr } from './messages';

/** What a stretch of a flight is flown with, and how long that holds. */
const props = defineProps<{
  part: FilterPart;
  zone: string;
  first: boolean;
  name: (id: string | null, stops: number) => string;
}>();
const clock = (ms: number): string => clockText(ms, props.zone);
const own = computed(() => props.name(props.part.filterId, props.part.stops));
const longer = computed(() => {
  const { longest, holds, filterId, stops } = props.part;
  if (
    !longest ||
    (longest.filterId === filterId && Math.abs(longest.stops - stops) < 0.01) ||
    (holds && longest.toMs - longest.fromMs < holds.toMs - holds.fromMs + 5 * 60_000)
  )
    return '';
  return tr('nameWouldHoldLongestClock', {
    name: props.name(longest.filterId, longest.stops),
    clock: clock(longest.fromMs),
    clock2: clock(longest.toMs),
  });
});
</script>

<template>
  <p class="part">
    <MarkSign v-if="!part.holds" severity="care" />
    <span v-if="!first" class="land">{{ tr('landChangeTo') }}</span> <b>{{ own }}</b>
    <span v-if="part.holds" class="quiet">{{
      tr('holdsClockToClock2', { clock: clock(part.holds.fromMs), clock2: clock(part.holds.toMs) })
    }}</span><span v-else class="quiet">{{ tr('doesNotBearTheLight') }}</span>
    <span v-if="longer" class="faint">{{ longer }}</span>
  </p>
</template>

<style scoped>
.part {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
}
.land {
  color: var(--care);
}
</style>
