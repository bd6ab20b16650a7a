<script setup lang="ts">
import { footprint } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Subject } from '@core/model';
import { roundText } from '../format';
import { computed } from 'vue';
import { useDerivedFilm } from '../stores/derived-film';
import { arrowHead, fit, line, roundStep } from '@core/drawing';
import { tr } from './messages';

const props = defineProps<{
  subjects: readonly Subject[];
  shots: readonly DerivedShot[];
  picked: string;
  width: number;
  height: number;
  windFromDeg: number;
  sunDeg?: number | undefined;
  share?: number;
  launch?: { x: number; y: number };
  /** Height of its texts in its own units; read outdoors they are larger. */
  textPx?: number;
}>();
const textPx = computed(() => props.textPx ?? 10.5);
const emit = defineEmits<{ pick: [id: string] }>();
const derivedFilm = useDerivedFilm();

const home = computed(() => props.launch ?? { x: 0, y: 0 });
/** Few points are enough to see the line; the figures use the real path. */
const pathOf = (shot: DerivedShot) =>
  shot.facts.trajectory?.samples.map((s) => ({ x: s.pose.at.x, y: s.pose.at.y })) ?? [];

/** Room at the top for the arrows of north, wind and sun. */
const HEAD = computed(() => 23.5 + textPx.value);
/** From one arrow to the next. */
const GAP = computed(() => 11 + 1.8 * textPx.value);
const frame = computed(() => {
  const spots = [home.value, ...props.shots.flatMap(pathOf), ...props.subjects.flatMap((s) => footprint(s))];
  const { scale, at } = fit(
    spots.length > 1
      ? spots
      : [
          { x: -30, y: -30 },
          { x: 30, y: 30 },
        ],
    props.width,
    props.height - HEAD.value,
    24,
  );
  return {
    scale,
    at: (s: { x: number; y: number }) => {
      const spot = at(s);
      return { x: spot.x, y: spot.y + HEAD.value };
    },
  };
});
const step = computed(() => roundStep(props.width / frame.value.scale, 5));
const stepText = computed(() => roundText(step.value, 'metres', derivedFilm.units));
const homeSpot = computed(() => frame.value.at(home.value));
/** Names that would lie over one another step down a line. */
const blocks = computed(() => {
  const taken: { x: number; y: number }[] = [];
  return props.subjects.map((s) => {
    const at = frame.value.at({ x: s.xM, y: s.yM });
    const spots = footprint(s).map(frame.value.at);
    let nameY = Math.max(at.y + 3, ...spots.map((p) => p.y)) + textPx.value + 1.5;
    while (taken.some((t) => Math.abs(t.x - at.x) < 7 * textPx.value && Math.abs(t.y - nameY) < textPx.value))
      nameY += textPx.value;
    taken.push({ x: at.x, y: nameY });
    return {
      id: s.id,
      name: s.name,
      d: line(spots, true),
      nameX: Math.min(Math.max(at.x, 30), props.width - 30),
      nameY,
    };
  });
});
const lines = computed(() =>
  props.shots.map((shot) => {
    const spots = pathOf(shot).map(frame.value.at);
    return {
      id: shot.facts.shot.id,
      number: shot.number,
      d: line(spots),
      head: arrowHead(spots, 8),
      start: spots[0],
      still:
        spots.length > 0 &&
        spots.every((s) => Math.hypot(s.x - (spots[0]?.x ?? 0), s.y - (spots[0]?.y ?? 0)) < 1),
    };
  }),
);
const cone = computed(() => {
  const shot = props.shots.find((s) => s.facts.shot.id === props.picked);
  const samples = shot?.facts.trajectory?.samples ?? [];
  const sample = samples[Math.round((props.share ?? 0.5) * (samples.length - 1))];
  if (!shot || !sample || sample.pose.tiltDeg < -80) return '';
  const from = frame.value.at({ x: sample.pose.at.x, y: sample.pose.at.y });
  const ray = (turn: number) => {
    const angle = ((sample.pose.headingDeg + turn) * Math.PI) / 180;
    return { x: from.x + 60 * Math.sin(angle), y: from.y - 60 * Math.cos(angle) };
  };
  return line([from, ray(-shot.facts.fov.horizontalDeg / 2), ray(shot.facts.fov.horizontalDeg / 2)], true);
});
</script>

<template>
  <svg
    class="plan"
    :style="{ '--text': `${textPx}px` }"
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="tr('planToScaleLaunchPoint')"
  >
    <path v-if="cone" class="cone" :d="cone" />
    <g v-for="b in blocks" :key="b.id">
      <path class="subject" :d="b.d" />
      <text class="name" :x="b.nameX" :y="b.nameY" text-anchor="middle">{{ b.name }}</text>
    </g>
    <g
      v-for="l in lines"
      :key="l.id"
      class="shot"
      :class="{ picked: l.id === picked }"
      @click="emit('pick', l.id)"
    >
      <path class="reach" :d="l.d" />
      <path class="way" :d="l.d" />
      <path v-if="!l.still" class="head" :d="l.head" />
      <template v-if="l.start">
        <circle class="start" :cx="l.start.x" :cy="l.start.y" r="3" />
        <text class="number" :x="l.start.x + 5" :y="l.start.y - 5">{{ l.number }}</text>
      </template>
    </g>
    <path class="launch" :d="`M${homeSpot.x - 6} ${homeSpot.y + 5}h12l-6 -11z`" />
    <text class="name" :x="homeSpot.x + 9" :y="homeSpot.y + 5">{{ tr('launch') }}</text>
    <g :transform="`translate(${width - 22} 24)`" class="north">
      <path d="M0 -14L5 8L0 4L-5 8z" />
      <text :y="9.5 + textPx" text-anchor="middle">{{ tr('n') }}</text>
    </g>
    <g :transform="`translate(${width - 22 - GAP} 22) rotate(${windFromDeg + 180})`" class="wind">
      <path d="M0 12V-10M-4 -5L0 -11L4 -5" />
    </g>
    <text class="name" :x="width - 22 - GAP" :y="33.5 + textPx" text-anchor="middle">{{ tr('wind') }}</text>
    <g
      v-if="sunDeg !== undefined"
      :transform="`translate(${width - 22 - 2 * GAP} 22) rotate(${sunDeg})`"
      class="sun"
    >
      <circle r="4" cy="-9" />
      <path d="M0 10V-3" />
    </g>
    <text
      v-if="sunDeg !== undefined"
      class="name"
      :x="width - 22 - 2 * GAP"
      :y="33.5 + textPx"
      text-anchor="middle"
    >
      {{ tr('sun') }}
    </text>
    <g class="scale" :transform="`translate(10 ${height - 7})`">
      <path :d="`M0 -5V0H${step * frame.scale}V-5`" />
      <text :x="step * frame.scale + 6" y="0">{{ stepText }}</text>
    </g>
  </svg>
</template>

<style scoped>
.plan {
  display: block;
  width: 100%;
  height: auto;
  background: var(--bench);
}
.subject {
  fill: var(--slab-3);
  stroke: var(--chalk-3);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.name,
.scale text,
.north text {
  fill: var(--chalk-2);
  font-size: var(--text);
  font-stretch: 82%;
}
.way {
  fill: none;
  stroke: var(--chalk-3);
  stroke-width: 1.3;
  stroke-linejoin: round;
}
.reach {
  fill: none;
  stroke: transparent;
  stroke-width: 12;
}
.start {
  fill: var(--bench);
  stroke: var(--chalk-3);
  stroke-width: 1.4;
}
.head {
  fill: var(--chalk-3);
}
.number {
  fill: var(--chalk-2);
  font-size: calc(var(--text) + 0.5px);
}
.shot {
  cursor: pointer;
}
.picked .way {
  stroke: var(--pick);
  stroke-width: 2.4;
}
.picked .start {
  stroke: var(--pick);
}
.picked .head,
.picked .number {
  fill: var(--pick);
  font-weight: 700;
}
.cone {
  fill: var(--pick);
  opacity: 0.13;
}
.launch {
  fill: var(--chalk);
}
.north path {
  fill: var(--chalk-2);
}
.wind path,
.sun path {
  fill: none;
  stroke: var(--chalk-2);
  stroke-width: 1.6;
}
.sun circle {
  fill: var(--chalk-2);
}
.scale path {
  fill: none;
  stroke: var(--chalk-2);
}
</style>
