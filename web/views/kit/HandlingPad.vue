<script setup lang="ts">
import { ElButton } from '../../parts/element-button';
import type { Handling, HandlingName } from '@core/model';
import { AT_REST, curveAt, held, lagOf, type StickState } from '@core/sticks';
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef } from 'vue';
import { tr } from './messages';
import { fixed } from '../../format';

/** A stick setting drawn and felt: the stick under the thumb, the keys or a game controller, and how the picture follows it. */
const props = defineProps<{ handling: Readonly<Record<HandlingName, Handling>> }>();
const NAMES: { id: HandlingName; label: string }[] = [
  {
    id: 'slow',
    get label() {
      return tr('slow');
    },
  },
  {
    id: 'normal',
    get label() {
      return tr('normal');
    },
  },
  {
    id: 'fast',
    get label() {
      return tr('fast');
    },
  },
];
const picked = ref<HandlingName>('normal');
const profile = computed(() => props.handling[picked.value]);
const pad = useTemplateRef<HTMLElement>('pad');
const stick = shallowRef({ x: 0, y: 0 });
const state = shallowRef<StickState>(AT_REST);
/** Degrees of view the little picture shows across. */
const WIDE_DEG = 80;
const SIZE = 120;
const line = computed(
  () =>
    `M${Array.from({ length: 41 }, (_, i) => {
      const x = i / 20 - 1;
      return `${(x + 1) * 60} ${60 - curveAt(profile.value.expo, x) * 56}`;
    }).join('L')}`,
);
const lag = computed(() => ({
  yaw: lagOf(profile.value.smoothing),
  tilt: lagOf(profile.value.tiltSmoothing),
}));

let frame = 0;
let last = 0;
let dragging = false;
const keys = new Set<string>();
const clamp = (v: number): number => Math.max(-1, Math.min(1, v));
const DEAD = 0.06;
const fromController = (): { x: number; y: number } | null => {
  for (const gamepad of navigator.getGamepads?.() ?? []) {
    const [x = 0, y = 0] = gamepad?.axes ?? [];
    if (gamepad && Math.hypot(x, y) > DEAD) return { x: clamp(x), y: clamp(-y) };
  }
  return null;
};
const aimed = (): { x: number; y: number } => {
  if (dragging) return stick.value;
  const down = (key: string): number => (keys.has(key) ? 1 : 0);
  return keys.size > 0
    ? { x: down('ArrowRight') - down('ArrowLeft'), y: down('ArrowUp') - down('ArrowDown') }
    : (fromController() ?? { x: 0, y: 0 });
};
const beat = (now: number): void => {
  const s = Math.min(0.1, last === 0 ? 0 : (now - last) / 1000);
  last = now;
  stick.value = aimed();
  const next = held(state.value, profile.value, stick.value.x, stick.value.y, s);
  // What leaves the picture comes in on the other side, so that a turn can be felt as long as one likes.
  const wrap = (deg: number, half: number): number =>
    ((((deg + half) % (2 * half)) + 2 * half) % (2 * half)) - half;
  state.value = {
    ...next,
    yawDeg: wrap(next.yawDeg, WIDE_DEG / 2),
    tiltDeg: wrap(next.tiltDeg, WIDE_DEG / 4),
  };
  const still =
    stick.value.x === 0 && stick.value.y === 0 && Math.abs(next.yawDegS) + Math.abs(next.tiltDegS) < 0.05;
  // Only runs while something moves, or the pad has the focus and a controller may.
  frame = still && document.activeElement !== pad.value ? 0 : requestAnimationFrame(beat);
};
const wake = (): void => {
  if (frame === 0) {
    last = 0;
    frame = requestAnimationFrame(beat);
  }
};
const at = (event: PointerEvent): void => {
  const box = pad.value?.getBoundingClientRect();
  if (box)
    stick.value = {
      x: clamp(((event.clientX - box.left) / box.width) * 2 - 1),
      y: clamp(1 - ((event.clientY - box.top) / box.height) * 2),
    };
};
const down = (event: PointerEvent): void => {
  dragging = true;
  pad.value?.setPointerCapture(event.pointerId);
  at(event);
  wake();
};
const moved = (event: PointerEvent): void => {
  if (dragging) at(event);
};
const up = (): void => {
  dragging = false;
  stick.value = { x: 0, y: 0 };
  wake();
};
const ARROWS = new Set(['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown']);
const pressed = (event: KeyboardEvent): void => {
  if (!ARROWS.has(event.key)) return;
  event.preventDefault();
  event.stopPropagation();
  keys.add(event.key);
  wake();
};
const released = (event: KeyboardEvent): void => {
  keys.delete(event.key);
  wake();
};
const left = (): void => {
  keys.clear();
};
onBeforeUnmount(() => cancelAnimationFrame(frame));
</script>

<template>
  <section class="feel" :aria-label="tr('sticksDrawnAndFelt')">
    <h3>{{ tr('howItFeels') }}</h3>
    <div class="pick" role="group" :aria-label="tr('setting')">
      <ElButton
        v-for="n in NAMES"
        :key="n.id"
        class="btn"
        :aria-pressed="picked === n.id"
        @click="
          picked = n.id;
          state = AT_REST;
        "
      >
        {{ n.label }}
      </ElButton>
    </div>
    <div class="parts">
      <figure>
        <svg
          :width="SIZE"
          :height="SIZE"
          viewBox="0 0 120 120"
          role="img"
          :aria-label="
            tr('curveHalfStickAsksFor', {
              curveAt: fixed(curveAt(profile.expo, 0.5) * 100, 0),
              maxYawDegS: profile.maxYawDegS,
            })
          "
        >
          <path class="axis" d="M0 60H120M60 0V120" />
          <path class="line" :d="line" />
          <circle :cx="60 + stick.x * 60" :cy="60 - curveAt(profile.expo, stick.x) * 56" r="4" />
        </svg>
        <figcaption>{{ tr('stickToRate') }}</figcaption>
      </figure>
      <figure>
        <div
          ref="pad"
          class="pad"
          tabindex="0"
          role="application"
          :aria-label="tr('stickDragItOrHold')"
          @pointerdown="down"
          @pointermove="moved"
          @pointerup="up"
          @pointercancel="up"
          @keydown="pressed"
          @keyup="released"
          @focus="wake"
          @blur="left"
        >
          <i :style="{ left: `${50 + stick.x * 42}%`, top: `${50 - stick.y * 42}%` }" />
        </div>
        <figcaption>{{ tr('dragArrowKeysOrA') }}</figcaption>
      </figure>
      <figure class="eye">
        <div class="view" aria-hidden="true">
          <i
            :style="{
              left: `${50 + (state.yawDeg / WIDE_DEG) * 100}%`,
              top: `${50 - (state.tiltDeg / (WIDE_DEG / 2)) * 100}%`,
            }"
          />
        </div>
        <figcaption>
          <span data-yaw>{{ state.yawDegS.toFixed(0) }}</span> {{ tr('sTurn') }}
          <span>{{ state.tiltDegS.toFixed(0) }}</span>
          {{ tr('sTiltAfterLettingGo', { yaw: fixed(lag.yaw, 1), tilt: fixed(lag.tilt, 1) }) }}
        </figcaption>
      </figure>
    </div>
  </section>
</template>

<style scoped>
.feel {
  border-top: 1px solid var(--line);
  padding-top: 9px;
  display: grid;
  gap: 8px;
}
.pick {
  display: flex;
  gap: 4px;
}
.btn[aria-pressed='true'] {
  background: var(--pick-dim);
  border-color: var(--pick);
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
}
figure {
  margin: 0;
  display: grid;
  gap: 4px;
  align-content: start;
}
figcaption {
  font-size: 12px;
  font-stretch: 88%;
  color: var(--chalk-2);
  max-width: 330px;
}
svg {
  background: var(--bench);
}
.axis {
  stroke: var(--line);
  fill: none;
}
.line {
  stroke: var(--pick);
  stroke-width: 2.5;
  fill: none;
}
circle {
  fill: var(--chalk);
}
.pad {
  width: 120px;
  height: 120px;
  background: var(--bench);
  position: relative;
  cursor: grab;
  touch-action: none;
  background-image: linear-gradient(var(--line), var(--line)), linear-gradient(var(--line), var(--line));
  background-size:
    1px 100%,
    100% 1px;
  background-position: center;
  background-repeat: no-repeat;
}
.pad i {
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -11px;
  background: var(--pick);
  clip-path: polygon(0 0, 72% 0, 100% 28%, 100% 100%, 0 100%);
  pointer-events: none;
}
.view {
  width: 320px;
  max-width: 100%;
  height: 120px;
  background: var(--bench);
  position: relative;
  overflow: hidden;
  border: 1px solid var(--line);
}
.view i {
  position: absolute;
  width: 9px;
  height: 9px;
  margin: -4.5px;
  background: var(--ember);
}
@media (max-width: 1099px) {
  .pad {
    width: 180px;
    height: 180px;
  }
}
</style>
