<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import { homeWay, sceneOf, sideOf, type SidePoint, launchOf } from '@core/location';
import type { DerivedShot } from '@core/film';
import { computed, ref } from 'vue';
import { useMessages } from '../../composables/useMessages';
import { useElementSize } from '../../parts/useElementSize';
import { roundStep } from '@core/drawing';
import { useFilm } from '../../stores/film';
import { useDerivedFilm } from '../../stores/derived-film';
import { useSite } from '../../stores/site';
import type { Plan } from './usePlan';
import { tr } from './messages';
import { fixed, roundText } from '../../format';

const { text: say } = useMessages();

const props = defineProps<{ plan: Plan; shot: DerivedShot; share: number }>();
const emit = defineEmits<{ share: [share: number] }>();
const film = useFilm();
const site = useSite();
const derivedFilm = useDerivedFilm();
const mode = ref<'path' | 'home'>('path');
const { width, height } = useElementSize(900, 120);
const PAD = { left: 46, right: 12, top: 10, bottom: 16 };

const scene = computed(() =>
  film.film && props.plan.place.value
    ? sceneOf(
        film.film,
        props.plan.place.value,
        props.plan.subjects.value,
        props.plan.things.value,
        props.plan.ground.value,
      )
    : null,
);
const launch = computed(() =>
  props.plan.place.value
    ? launchOf(
        props.plan.things.value,
        props.plan.ground.value,
        props.plan.place.value,
        props.shot.facts.shot,
      ).at
    : { x: 0, y: 0, z: 0 },
);
const way = computed(() => {
  const samples = props.shot.facts.trajectory?.samples.map((s) => s.pose.at) ?? [];
  const last = samples.at(-1);
  return mode.value === 'home' && last
    ? homeWay(last, launch.value, props.plan.place.value?.returnHeightM ?? 0)
    : samples;
});
const along = computed<SidePoint[]>(() =>
  scene.value && way.value.length > 1
    ? sideOf(scene.value, way.value, props.shot.facts.shot.subjectId ?? '')
    : [],
);
/** A move over one spot is drawn along its seconds. */
const still = computed(() => along.value.length > 0 && (along.value.at(-1)?.distanceM ?? 0) < 1);
const points = computed<SidePoint[]>(() => {
  const [spot] = along.value;
  return still.value && spot
    ? way.value.map((p, i) => ({ ...spot, distanceM: i, flownM: p.z }))
    : along.value;
});
const span = computed(() => Math.max(1, points.value.at(-1)?.distanceM ?? 1));
const range = computed(() => {
  const all = points.value
    .flatMap((p) => [p.groundM, p.flownM, p.topM ?? NaN])
    .filter((n) => !Number.isNaN(n));
  const [low, high] = [Math.min(...all), Math.max(...all)];
  return { low: low - Math.max(2, (high - low) * 0.06), high: high + Math.max(3, (high - low) * 0.12) };
});
const x = (d: number): number => PAD.left + (d / span.value) * (width.value - PAD.left - PAD.right);
const y = (z: number): number =>
  PAD.top +
  ((range.value.high - z) / (range.value.high - range.value.low)) * (height.value - PAD.top - PAD.bottom);
const runs = (of: (p: SidePoint) => number | null): string => {
  let open = false;
  return points.value
    .map((p) => {
      const z = of(p);
      if (z === null || Number.isNaN(z)) {
        open = false;
        return '';
      }
      const d = `${open ? 'L' : 'M'}${x(p.distanceM).toFixed(1)} ${y(z).toFixed(1)}`;
      open = true;
      return d;
    })
    .join('');
};
const earth = computed(() => {
  const known = points.value.filter((p) => !Number.isNaN(p.groundM));
  return known.length > 1
    ? `M${x(known[0]?.distanceM ?? 0)} ${height.value}${known.map((p) => `L${x(p.distanceM).toFixed(1)} ${y(p.groundM).toFixed(1)}`).join('')}L${x(known.at(-1)?.distanceM ?? 0)} ${height.value}Z`
    : '';
});
const stands = computed(() =>
  points.value
    .filter((p) => p.topM !== null)
    .map(
      (p) =>
        `M${x(p.distanceM).toFixed(1)} ${y(Number.isNaN(p.groundM) ? range.value.low : p.groundM).toFixed(1)}V${y(p.topM ?? 0).toFixed(1)}`,
    )
    .join(''),
);
const flown = computed(() =>
  mode.value === 'home'
    ? way.value
        .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(i < 2 ? 0 : span.value).toFixed(1)} ${y(p.z).toFixed(1)}`)
        .join('')
    : runs((p) => p.flownM),
);
const names = computed(() => {
  const seen = new Set<string>();
  return points.value
    .map((p) => ({ name: say(p.name), topM: p.topM, x: x(p.distanceM), y: y(p.topM ?? 0) - 3 }))
    .filter(({ name, topM }) => topM !== null && !seen.has(name) && seen.add(name));
});
const step = computed(() => roundStep(range.value.high - range.value.low, 3));
const levels = computed(() => {
  const list: number[] = [];
  for (let z = Math.ceil(range.value.low / step.value) * step.value; z <= range.value.high; z += step.value)
    list.push(z);
  return list;
});
const ceiling = computed(() =>
  runs((p) => (Number.isNaN(p.groundM) ? null : p.groundM + (props.plan.place.value?.ceilingM ?? 0))),
);
const ceilingInView = computed(() =>
  points.value.some((p) => p.groundM + (props.plan.place.value?.ceilingM ?? 0) < range.value.high),
);
const now = computed(() => {
  const d = props.share * span.value;
  return points.value.reduce<SidePoint | null>(
    (best, p) => (!best || Math.abs(p.distanceM - d) < Math.abs(best.distanceM - d) ? p : best),
    null,
  );
});
const worst = computed(() => {
  const near = site.factsOf(props.shot.facts.shot.id)?.nearest;
  return near && mode.value === 'path' ? near : null;
});
const scrub = (event: PointerEvent): void => {
  if (event.type === 'pointermove' && event.buttons === 0) return;
  const box = (event.currentTarget as Element).getBoundingClientRect();
  emit(
    'share',
    Math.min(
      1,
      Math.max(
        0,
        (((event.clientX - box.left) / box.width) * width.value - PAD.left) /
          (width.value - PAD.left - PAD.right),
      ),
    ),
  );
};
const text = (z: number): string => roundText(z, 'metres', derivedFilm.units);
</script>

<template>
  <section class="side" :aria-label="tr('fromTheSide')">
    <header>
      <ElButton
        v-for="m in ['path', 'home'] as const"
        :key="m"
        class="btn bare"
        :class="{ on: mode === m }"
        :aria-pressed="mode === m"
        @click="mode = m"
      >
        {{
          m === 'home'
            ? tr('wayHome')
            : still && mode === 'path'
              ? tr('heightOverTheSeconds')
              : tr('pathFromTheSide')
        }}
      </ElButton>
      <span v-if="now" class="figures"
        ><span class="label">{{ tr('overTheGroundLower') }}</span>
        <b data-side="agl">{{ text(now.flownM - now.groundM) }}</b>
        <span class="label">{{ tr('overLaunchLower') }}</span> <b>{{ text(now.flownM - launch.z) }}</b></span
      >
      <span v-if="worst" class="figures"
        ><span class="label">{{ tr('leastFreeAir') }}</span> <b>{{ text(Math.max(0, worst.freeM)) }}</b>
        <span class="label">{{
          tr('toNameTimeSSIn', { name: say(worst.name), timeS: fixed(worst.timeS, 0) })
        }}</span></span
      >
    </header>
    <div ref="target" class="box">
      <svg
        v-if="points.length > 1"
        :viewBox="`0 0 ${width} ${height}`"
        role="slider"
        tabindex="0"
        :aria-label="tr('momentOfTheMove')"
        :aria-valuenow="Math.round(share * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
        @pointerdown="scrub"
        @pointermove="scrub"
        @keydown.left.prevent="emit('share', Math.max(0, share - 0.02))"
        @keydown.right.prevent="emit('share', Math.min(1, share + 0.02))"
      >
        <g v-for="z in levels" :key="z">
          <line class="level" :x1="PAD.left" :x2="width - PAD.right" :y1="y(z)" :y2="y(z)" />
          <text :x="PAD.left - 6" :y="y(z) + 4" text-anchor="end">{{ text(z - launch.z) }}</text>
        </g>
        <path class="stands" :d="stands" />
        <path class="earth" :d="earth" />
        <path v-if="ceilingInView" class="ceiling" :d="ceiling" />
        <path class="flown" :d="flown" />
        <text
          v-for="n in names"
          :key="n.name"
          class="name"
          :x="Math.min(Math.max(n.x, PAD.left + 20), width - 60)"
          :y="Math.max(11, n.y)"
          text-anchor="middle"
        >
          {{ n.name }}
        </text>
        <g v-if="now && mode === 'path'">
          <line
            class="now"
            :x1="x(now.distanceM)"
            :x2="x(now.distanceM)"
            :y1="y(now.flownM)"
            :y2="Number.isNaN(now.groundM) ? height : y(now.groundM)"
          />
          <rect class="craft" :x="x(now.distanceM) - 6" :y="y(now.flownM) - 3" width="12" height="6" />
        </g>
      </svg>
      <p v-else class="quiet none">
        {{ shot.facts.noPath ? say(shot.facts.noPath) : tr('thereIsNoPathTo') }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.side {
  display: flex;
  flex-direction: column;
  min-height: 0;
  background: var(--slab);
}
header {
  display: flex;
  gap: 4px 16px;
  align-items: center;
  padding: 2px 8px;
  flex-wrap: wrap;
}
.on {
  border-bottom: 3px solid var(--pick);
  font-weight: 600;
}
.box {
  flex: 1;
  min-height: 0;
  position: relative;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  touch-action: none;
  cursor: ew-resize;
}
.level {
  stroke: var(--line);
}
text {
  fill: var(--chalk-2);
  font-size: 11px;
  font-stretch: 84%;
}
.name {
  fill: var(--chalk);
  paint-order: stroke;
  stroke: var(--slab);
  stroke-width: 3px;
}
.earth {
  fill: var(--slab-3);
  stroke: var(--hatch);
  stroke-width: 1.4;
}
.stands {
  stroke: var(--verdigris);
  stroke-width: 3;
  opacity: 0.55;
}
.ceiling {
  fill: none;
  stroke: var(--stop);
  stroke-dasharray: 7 5;
  stroke-width: 1.6;
}
.flown {
  fill: none;
  stroke: var(--pick);
  stroke-width: 2.4;
  stroke-linejoin: round;
}
.now {
  stroke: var(--chalk-2);
  stroke-dasharray: 2 3;
}
.craft {
  fill: var(--chalk);
}
.figures b {
  font-weight: 620;
}
.none {
  padding: 12px 16px;
}
</style>
