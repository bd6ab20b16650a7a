<script setup lang="ts">
import { footprint, type ShotFacts } from '@core/shot';
import type { Subject } from '@core/model';
import { horizonInFrame, projectLine, projectPoint, type FramePoint } from '@core/lens';
import type { Pose } from '@core/moves';
import { computed, useId } from 'vue';
import { cropped, outline, thirdLines } from './crop-lines';
import { line } from '@core/drawing';
import { tr } from './messages';

const props = defineProps<{
  facts: ShotFacts;
  share: number;
  /** Where the camera is instead of where the plan has it at that share. */
  pose: Pose | null;
  width: number;
  height: number;
  skyTop: string;
  skyLow: string;
  land: string;
}>();

/** Several of them stand on one page, each with a window and a sky of its own. */
const id = useId();

const frame = computed(() => {
  const [wide, high] = props.facts.frame.shape;
  const ratio = wide / high;
  const width = Math.min(props.width, props.height * ratio);
  const height = width / ratio;
  return { width, height, x: (props.width - width) / 2, y: (props.height - height) / 2 };
});

/** What the cut uses of it, and the second aspect where one is wanted. */
const cut = computed(() =>
  props.facts.frame.pixelShare < 0.999 ? cropped(frame.value, props.facts.frame) : frame.value,
);
const also = computed(() => (props.facts.frame.also ? cropped(frame.value, props.facts.frame.also) : null));

/** What stands for the subject where none is chosen. */
const PLAIN: Subject = {
  id: '',
  locationId: '',
  name: '',
  kind: 'other',
  xM: 0,
  yM: 0,
  baseM: 0,
  heightM: 2,
  widthM: 2,
  depthM: 2,
  headingDeg: 90,
  speedMs: 0,
  path: [],
};

/** Lines on the ground about the aim, so that speed and scale can be read. */
const gridLines = (around: { x: number; y: number }, reach: number, step: number) => {
  const count = Math.round(reach / step);
  const [cx, cy] = [Math.round(around.x / step) * step, Math.round(around.y / step) * step];
  return Array.from({ length: 2 * count + 1 }, (_, i) => (i - count) * step).flatMap(
    (d) =>
      [
        [
          { x: cx + d, y: cy - reach, z: 0 },
          { x: cx + d, y: cy + reach, z: 0 },
        ],
        [
          { x: cx - reach, y: cy + d, z: 0 },
          { x: cx + reach, y: cy + d, z: 0 },
        ],
      ] as const,
  );
};

const picture = computed(() => {
  const { facts } = props;
  const { trajectory, aim } = facts;
  const { fov } = facts.frame;
  if (!trajectory) return null;
  const planned = trajectory.samples[Math.round(props.share * (trajectory.samples.length - 1))];
  const view = props.pose ?? planned?.pose;
  if (!view) return null;
  const f = frame.value;
  const at = (p: FramePoint) => ({ x: f.x + (f.width * (1 + p.x)) / 2, y: f.y + (f.height * (1 - p.y)) / 2 });
  const range = Math.max(20, props.facts.rangeM);
  const step = range > 150 ? 20 : range > 50 ? 10 : range > 20 ? 5 : 2;
  const grid = gridLines(aim.aim, step * 14, step)
    .map(([a, b]) => projectLine(view, fov.horizontalDeg, fov.verticalDeg, a, b))
    .filter((l) => l !== null)
    .map(([a, b]) => line([at(a), at(b)]))
    .join('');
  const base = aim.aim.z - aim.heightM / 2;
  const corners4 = facts.subject ? footprint(facts.subject, aim.aim) : footprint(PLAIN, aim.aim);
  // In the order the faces below are made of: near and far of one end, then of the other, foot before top.
  const corners = [0, 3, 1, 2].flatMap((i) =>
    [base, base + aim.heightM].map((z) => {
      const c = corners4[i] ?? aim.aim;
      return projectPoint(view, fov.horizontalDeg, fov.verticalDeg, { x: c.x, y: c.y, z });
    }),
  );
  const seen = corners.every((c) => c !== null) ? corners.map((c) => at(c as FramePoint)) : null;
  const face = (...i: number[]): string =>
    seen
      ? line(
          i.map((n) => seen[n] ?? { x: 0, y: 0 }),
          true,
        )
      : '';
  return {
    grid,
    horizonY: f.y + (f.height * (1 - horizonInFrame(view.tiltDeg, fov.verticalDeg))) / 2,
    faces: [face(0, 1, 5, 4), face(2, 3, 7, 6), face(0, 1, 3, 2), face(4, 5, 7, 6), face(1, 3, 7, 5)],
  };
});
</script>

<template>
  <svg class="lens" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="tr('theFrameAsTheCamera')">
    <defs>
      <clipPath :id="`${id}-frame`"><rect v-bind="frame" /></clipPath>
      <linearGradient :id="`${id}-sky`" x1="0" x2="0" y1="0" y2="1">
        <stop offset="0" :stop-color="skyTop" />
        <stop offset="1" :stop-color="skyLow" />
      </linearGradient>
    </defs>
    <g v-if="picture" :clip-path="`url(#${id}-frame)`">
      <rect :fill="land" v-bind="frame" />
      <rect
        :fill="`url(#${id}-sky)`"
        :x="frame.x"
        :y="frame.y"
        :width="frame.width"
        :height="Math.max(0, picture.horizonY - frame.y)"
      />
      <path class="grid" :d="picture.grid" />
      <path v-for="(face, i) in picture.faces" :key="i" class="body" :d="face" />
    </g>
    <rect class="edge" v-bind="frame" />
    <path v-if="cut !== frame" class="outside" :d="outline(frame) + outline(cut)" />
    <path v-if="cut !== frame" class="cut" :d="outline(cut)" />
    <path v-if="also" class="cut also" :d="outline(also)" />
    <path class="thirds" :d="thirdLines(cut)" />
  </svg>
</template>

<style scoped>
.lens {
  display: block;
  width: 100%;
  height: auto;
  background: var(--bench);
}
.grid {
  stroke: #b0a592;
  stroke-opacity: 0.42;
  stroke-width: 0.7;
  fill: none;
}
.body {
  fill: #cfc5b4;
  fill-opacity: 0.5;
  stroke: #1c1913;
  stroke-width: 1;
  stroke-linejoin: round;
}
.edge {
  fill: none;
  stroke: var(--chalk-3);
}
.outside {
  fill: #0d0b10;
  fill-opacity: 0.55;
  fill-rule: evenodd;
}
.cut {
  fill: none;
  stroke: #fff;
  stroke-width: 1.2;
}
.also {
  stroke-dasharray: 5 4;
}
.thirds {
  stroke: #fff;
  stroke-opacity: 0.22;
  fill: none;
}
</style>
