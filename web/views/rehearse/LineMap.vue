<script setup lang="ts">
import { fit, line, type Spot } from '@core/drawing';
import type { Vec3 } from '@core/geometry';
import { computed } from 'vue';
import { tr } from './messages';

/** The planned line and the one that is flown, from above or from the side; flown by it alone where there is no third dimension. */
const props = defineProps<{
  planned: readonly Vec3[];
  flown: readonly Vec3[];
  now: Vec3 | null;
  headingDeg: number;
  from: 'above' | 'side';
  width: number;
  height: number;
}>();
/** From the side the level way is that between the ends of the plan. */
const axis = computed(() => {
  const [a, b] = [props.planned[0], props.planned.at(-1)];
  const [x, y] = a && b ? [b.x - a.x, b.y - a.y] : [1, 0];
  const length = Math.hypot(x, y);
  return length > 0.5 ? { x: x / length, y: y / length } : { x: 1, y: 0 };
});
/** A hover has no length: so much room is drawn about every line, m. */
const ROOM_M = 4;
const flat = (p: Vec3): Spot =>
  props.from === 'above' ? { x: p.x, y: p.y } : { x: p.x * axis.value.x + p.y * axis.value.y, y: p.z };
const drawing = computed(() => {
  const plan = props.planned.map(flat);
  const flown = props.flown.map(flat);
  const about = props.planned.flatMap((p) => {
    const { x, y } = flat(p);
    return [
      { x: x - ROOM_M, y: y - ROOM_M },
      { x: x + ROOM_M, y: y + ROOM_M },
    ];
  });
  const here = props.now ? [flat(props.now)] : [];
  const { at } = fit([...about, ...flown, ...here], props.width, props.height, 8);
  const now = props.now ? at(flat(props.now)) : null;
  return { plan: line(plan.map(at)), flown: line(flown.map(at)), now };
});
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="from === 'above' ? tr('lineFromAbove') : tr('lineFromTheSide')"
  >
    <path :d="drawing.plan" class="plan" />
    <path :d="drawing.flown" class="flown" />
    <g v-if="drawing.now" :transform="`translate(${drawing.now.x} ${drawing.now.y})`">
      <path
        v-if="from === 'above'"
        d="M0 -9 L6 7 L0 3 L-6 7 Z"
        class="craft"
        :transform="`rotate(${headingDeg})`"
      />
      <rect v-else x="-4" y="-4" width="8" height="8" class="craft" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  background: color-mix(in srgb, var(--slab) 78%, transparent);
  display: block;
}
.plan {
  fill: none;
  stroke: var(--pick);
  stroke-dasharray: 4 3;
  stroke-width: 1.5;
}
.flown {
  fill: none;
  stroke: var(--ember);
  stroke-width: 2;
}
.craft {
  fill: var(--chalk);
}
</style>
