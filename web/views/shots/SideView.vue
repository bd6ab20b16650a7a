<script setup lang="ts">
import type { ShotFacts } from '@core/shot';
import { writeText } from '../../format';
import { computed } from 'vue';
import { useDerivedFilm } from '../../stores/derived-film';
import { arrowHead, fit, line } from '@core/drawing';
import { tr } from './messages';

const props = defineProps<{ facts: ShotFacts; share: number; width: number; height: number }>();
const derivedFilm = useDerivedFilm();

/** Distance from the subject, seen square to the line between it and the middle of the path; heights upright. */
const side = computed(() => {
  const { trajectory, aim } = props.facts;
  if (!trajectory) return null;
  const middle = trajectory.samples[Math.floor(trajectory.samples.length / 2)]?.pose.at ?? aim.aim;
  const run = Math.hypot(middle.x - aim.aim.x, middle.y - aim.aim.y) || 1;
  const ux = (middle.x - aim.aim.x) / run;
  const uy = (middle.y - aim.aim.y) / run;
  const along = (p: { x: number; y: number; z: number }) => ({
    x: (p.x - aim.aim.x) * ux + (p.y - aim.aim.y) * uy,
    y: p.z,
  });
  const path = trajectory.samples.map((s) => along(s.pose.at));
  const half = Math.min(aim.widthM, 30) / 2;
  const base = aim.aim.z - aim.heightM / 2;
  const box = fit(
    [...path, { x: -half, y: Math.min(0, base) }, { x: half, y: base + aim.heightM }, { x: 0, y: 0 }],
    props.width,
    props.height,
    30,
  );
  const spots = path.map(box.at);
  const index = Math.round(props.share * (spots.length - 1));
  const now = spots[index] ?? spots[0] ?? { x: 0, y: 0 };
  const pose = trajectory.samples[index]?.pose;
  const facing = pose
    ? Math.sign(
        -(
          Math.sin((pose.headingDeg * Math.PI) / 180) * ux +
          Math.cos((pose.headingDeg * Math.PI) / 180) * uy
        ),
      ) || 1
    : 1;
  const tilt = ((pose?.tiltDeg ?? 0) * Math.PI) / 180;
  const ray = (turn: number) => ({
    x: now.x - facing * 52 * Math.cos(tilt + turn),
    y: now.y - 52 * Math.sin(tilt + turn),
  });
  const v = ((props.facts.fov.verticalDeg / 2) * Math.PI) / 180;
  const ground = box.at({ x: 0, y: 0 }).y;
  const corner = box.at({ x: -half, y: base + aim.heightM });
  return {
    path: line(spots),
    head: arrowHead(spots, 8),
    start: spots[0] ?? now,
    end: spots.at(-1) ?? now,
    now,
    cone: line([now, ray(v), ray(-v)], true),
    ground,
    subject: { x: corner.x, y: corner.y, width: 2 * half * box.scale, height: aim.heightM * box.scale },
    startText: writeText(trajectory.start.at.z, 'metres', derivedFilm.units),
    endText: writeText(trajectory.end.at.z, 'metres', derivedFilm.units),
    moves: trajectory.lengthM > 0.2,
  };
});
</script>

<template>
  <svg class="side" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="tr('theMoveFromTheSide')">
    <template v-if="side">
      <rect class="earth" x="0" :y="side.ground" :width="width" :height="height - side.ground" />
      <line class="ground" x1="0" :x2="width" :y1="side.ground" :y2="side.ground" />
      <rect class="subject" v-bind="side.subject" />
      <path class="cone" :d="side.cone" />
      <line class="stem" :x1="side.start.x" :x2="side.start.x" :y1="side.start.y" :y2="side.ground" />
      <path class="path" :d="side.path" />
      <path v-if="side.moves" class="head" :d="side.head" />
      <text :x="Math.min(side.start.x + 5, width - 34)" :y="side.start.y - 6">{{ side.startText }}</text>
      <text
        v-if="side.moves && side.endText !== side.startText"
        :x="Math.min(side.end.x + 5, width - 34)"
        :y="side.end.y - 6"
      >
        {{ side.endText }}
      </text>
      <rect class="craft" :x="side.now.x - 5" :y="side.now.y - 2.5" width="10" height="5" />
    </template>
  </svg>
</template>

<style scoped>
.side {
  display: block;
  width: 100%;
  height: auto;
  background: var(--bench);
}
.earth {
  fill: var(--slab-2);
}
.ground {
  stroke: var(--hatch);
  stroke-width: 1.4;
}
.subject {
  fill: var(--slab-3);
  stroke: var(--chalk-3);
}
.path {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2.2;
  stroke-linejoin: round;
}
.head {
  fill: var(--pick);
}
.cone {
  fill: var(--pick);
  opacity: 0.14;
}
.stem {
  stroke: var(--hatch);
  stroke-dasharray: 2 3;
}
.craft {
  fill: var(--chalk);
}
text {
  fill: var(--chalk-2);
  font-size: 10.5px;
  font-stretch: 84%;
}
</style>
