<script setup lang="ts">
import { footprint, subjectAt, type Track } from '@core/shot';
import type { DerivedShot } from '@core/film';
import { computed } from 'vue';
import { arrowHead, fit, line, roundStep, type Spot } from '@core/drawing';
import { useElementSize } from '../../parts/useElementSize';
import { useDerivedFilm } from '../../stores/derived-film';
import { tr } from './messages';
import { fixed, roundText, writeText } from '../../format';

const props = defineProps<{ shot: DerivedShot; track: Track; index: number; from: 'side' | 'above' }>();
const derivedFilm = useDerivedFilm();
const size = useElementSize(300, 330);
const width = computed(() => Math.max(120, size.width.value));
const height = computed(() => Math.max(120, size.height.value));
const metres = (m: number): string => writeText(m, 'metres', derivedFilm.units);

const facts = computed(() => props.shot.facts);
const now = computed(() => props.track.samples[props.index] ?? props.track.samples[0]);
/** Drawing axes: from the side the horizontal is the direction in which the path is longest, so that nothing of it hides. */
const axis = computed(() => {
  const points = props.track.samples.map((s) => s.pose.at);
  const { aim } = facts.value.aim;
  const far = points.reduce(
    (best, p) =>
      Math.hypot(p.x - aim.x, p.y - aim.y) > Math.hypot(best.x - aim.x, best.y - aim.y) ? p : best,
    points[0] ?? aim,
  );
  const length = Math.hypot(far.x - aim.x, far.y - aim.y) || 1;
  return { x: (far.x - aim.x) / length, y: (far.y - aim.y) / length };
});
const flat = (p: { x: number; y: number; z: number }): Spot =>
  props.from === 'above' ? { x: p.x, y: p.y } : { x: p.x * axis.value.x + p.y * axis.value.y, y: p.z };

/** Room for the switch above and the scale below; from the side the ground lies low, with the sky above it. */
const settled = ({ scale, at }: ReturnType<typeof fit>) => {
  const low = props.from === 'side' ? Math.max(0, height.value - 30 - Math.max(at({ x: 0, y: 0 }).y, 0)) : 26;
  return {
    scale,
    at: (s: Spot): Spot => {
      const spot = at(s);
      return { x: spot.x + 16, y: spot.y + low };
    },
  };
};

const drawing = computed(() => {
  const { aim } = facts.value;
  const samples = props.track.samples;
  const path = samples.map((s) => flat(s.pose.at));
  const half = Math.min(aim.widthM, 40) / 2;
  const middle = flat(aim.aim);
  const block =
    props.from === 'above'
      ? facts.value.subject
        ? footprint(facts.value.subject).map(flat)
        : [middle]
      : [
          { x: middle.x - half, y: aim.aim.z - aim.heightM / 2 },
          { x: middle.x + half, y: aim.aim.z - aim.heightM / 2 },
          { x: middle.x + half, y: aim.aim.z + aim.heightM / 2 },
          { x: middle.x - half, y: aim.aim.z + aim.heightM / 2 },
        ];
  const ground = props.from === 'side' ? [{ x: middle.x, y: 0 }] : [];
  const box = settled(fit([...path, ...block, ...ground], width.value - 40, height.value - 40, 14));
  const spots = path.map(box.at);
  const usable = samples
    .map((s, i) => ({ s, spot: spots[i] }))
    .filter(({ s }) => s.timeS >= props.track.usableFromS - 1e-6 && s.timeS <= props.track.usableToS + 1e-6)
    .flatMap(({ spot }) => (spot ? [spot] : []));
  const step = roundStep(width.value / box.scale, 4);
  return {
    spots,
    usable,
    block: line(block.map(box.at), true),
    groundY: props.from === 'side' ? box.at({ x: 0, y: 0 }).y : null,
    scale: box.scale,
    at: box.at,
    step,
  };
});

const craft = computed(() => {
  const s = now.value;
  if (!s) return null;
  const spot = drawing.value.at(flat(s.pose.at));
  const h = (s.pose.headingDeg * Math.PI) / 180;
  const t = (s.pose.tiltDeg * Math.PI) / 180;
  const v = (facts.value.fov.verticalDeg / 2) * (Math.PI / 180);
  const w = (facts.value.fov.horizontalDeg / 2) * (Math.PI / 180);
  const REACH = 56;
  const ray = (turn: number): Spot => {
    if (props.from === 'above')
      return {
        x: spot.x + REACH * Math.sin(h + turn) * Math.cos(t),
        y: spot.y - REACH * Math.cos(h + turn) * Math.cos(t),
      };
    const facing = Math.sin(h) * axis.value.x + Math.cos(h) * axis.value.y;
    return {
      x: spot.x + REACH * Math.sign(facing || 1) * Math.abs(facing) * Math.cos(t + turn),
      y: spot.y - REACH * Math.sin(t + turn),
    };
  };
  const spread = props.from === 'above' ? w : v;
  const ground = drawing.value.groundY;
  return {
    spot,
    cone: line([spot, ray(spread), ray(-spread)], true),
    stem: ground === null ? '' : `M${spot.x} ${spot.y}V${ground}`,
  };
});
const moving = computed(() => {
  const { aim } = facts.value;
  return aim.speedMs > 0 && now.value
    ? drawing.value.at(flat(subjectAt(facts.value, now.value.timeS)))
    : null;
});
const ends = computed(() => {
  const [a, b] = [props.track.samples[0], props.track.samples.at(-1)];
  if (!a || !b) return [];
  const text = (s: typeof a): string =>
    props.from === 'side' ? metres(s.pose.at.z) : tr('metresAway', { metres: metres(s.distanceM) });
  const first = drawing.value.spots[0];
  const last = drawing.value.spots.at(-1);
  return [
    ...(first ? [{ ...first, text: text(a) }] : []),
    ...(last && first && text(a) !== text(b) && Math.hypot(last.x - first.x, last.y - first.y) > 44
      ? [{ ...last, text: text(b) }]
      : []),
  ];
});
const sun = computed(() =>
  props.shot.light && props.shot.light.sun.altitudeDeg > -6 ? props.shot.light.sun : null,
);
</script>

<template>
  <div ref="target" class="frame">
    <svg
      class="path"
      :width="width"
      :height="height"
      role="img"
      :aria-label="from === 'side' ? tr('thePathFromTheSide') : tr('thePathFromAbove')"
    >
      <template v-if="drawing.groundY !== null">
        <rect class="earth" x="0" :y="drawing.groundY" :width="width" :height="height" />
        <path class="ground" :d="`M0 ${drawing.groundY}H${width}`" />
      </template>
      <path class="subject" :d="drawing.block" />
      <rect v-if="moving" class="moving" :x="moving.x - 4" :y="moving.y - 4" width="8" height="8" />
      <path v-if="craft" class="cone" :d="craft.cone" />
      <path class="way" :d="line(drawing.spots)" />
      <path class="usable" :d="line(drawing.usable)" />
      <path class="head" :d="arrowHead(drawing.spots, 9)" />
      <text
        v-for="e in ends"
        :key="e.text"
        :x="e.x > width - 66 ? e.x : e.x + 7"
        :y="e.x > width - 66 ? e.y + 16 : Math.max(30, e.y - 8)"
        :text-anchor="e.x > width - 66 ? 'end' : 'start'"
      >
        {{ e.text }}
      </text>
      <template v-if="craft">
        <path class="stem" :d="craft.stem" />
        <circle class="craft" :cx="craft.spot.x" :cy="craft.spot.y" r="5" />
      </template>
      <g v-if="from === 'above'" :transform="`translate(${width - 18} 22)`" class="north">
        <path d="M0 -14L5 8L0 4L-5 8z" />
        <text y="20" text-anchor="middle">{{ tr('n') }}</text>
      </g>
      <template v-if="from === 'above' && sun">
        <g :transform="`translate(${width - 50} 20) rotate(${sun.azimuthDeg})`" class="sun">
          <circle r="4" cy="-9" />
          <path d="M0 10V-3" />
        </g>
        <text :x="width - 50" y="42" text-anchor="middle">
          {{ tr('sunAltitudeDeg', { altitudeDeg: fixed(sun.altitudeDeg, 0) }) }}
        </text>
      </template>
      <g class="scale" :transform="`translate(10 ${height - 6})`">
        <path :d="`M0 -5V0H${drawing.step * drawing.scale}V-5`" />
        <text :x="drawing.step * drawing.scale + 6" y="0">
          {{ roundText(drawing.step, 'metres', derivedFilm.units) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.frame {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
.path {
  display: block;
  background: var(--bench);
}
.earth {
  fill: var(--slab-2);
}
.ground {
  stroke: var(--hatch);
}
.subject {
  fill: var(--slab-3);
  stroke: var(--chalk-3);
}
.moving {
  fill: var(--chalk-2);
}
.way {
  fill: none;
  stroke: var(--chalk-3);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.usable {
  fill: none;
  stroke: var(--pick);
  stroke-width: 3.4;
  stroke-linejoin: round;
}
.head {
  fill: var(--pick);
}
.cone {
  fill: var(--pick);
  opacity: 0.16;
}
.stem {
  stroke: var(--hatch);
  stroke-dasharray: 2 3;
}
.craft {
  fill: var(--chalk);
}
.north path {
  fill: var(--chalk-2);
}
.sun circle {
  fill: var(--chalk-2);
}
.sun path,
.scale path {
  fill: none;
  stroke: var(--chalk-2);
  stroke-width: 1.6;
}
text {
  fill: var(--chalk-2);
  font-size: 11px;
  font-stretch: 84%;
}
</style>
