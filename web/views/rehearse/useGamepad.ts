import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { StickValues } from './useKeySticks';
import { tr } from './messages';

export type StickAxis = keyof StickValues;
/** An axis of a controller, and which way of it counts as up or right; null where nothing is learned. */
export type AxisMap = Record<StickAxis, { readonly axis: number; readonly sign: 1 | -1 } | null>;

/** Axes in the order browsers give a standard controller; up is negative there. */
const STANDARD: AxisMap = {
  leftX: { axis: 0, sign: 1 },
  leftY: { axis: 1, sign: -1 },
  rightX: { axis: 2, sign: 1 },
  rightY: { axis: 3, sign: -1 },
  tilt: null,
};
/** Shoulder buttons of a standard controller tilt the camera. */
const TILT_BUTTONS = { up: 5, down: 4 } as const;
/** An axis that moved by so much is the one that is meant. */
const LEARNED = 0.6;

const keyOf = (id: string): string => `dusk-controller:${id}`;
const readMap = (id: string): AxisMap => {
  try {
    return (JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as AxisMap | null) ?? STANDARD;
  } catch {
    return STANDARD;
  }
};

/** What is asked of the pilot while a controller is learned, in order. */
export const LEARN_STEPS: readonly { readonly axis: StickAxis; readonly ask: string }[] = [
  {
    axis: 'leftY',
    get ask() {
      return tr('pushTheLeftStickUp');
    },
  },
  {
    axis: 'leftX',
    get ask() {
      return tr('pushTheLeftStickTo');
    },
  },
  {
    axis: 'rightY',
    get ask() {
      return tr('pushTheRightStickUp');
    },
  },
  {
    axis: 'rightX',
    get ask() {
      return tr('pushTheRightStickTo');
    },
  },
  {
    axis: 'tilt',
    get ask() {
      return tr('turnTheWheelForThe');
    },
  },
];

/** A game controller: found, learned once, kept by its name. */
export const useGamepad = (lost: () => void) => {
  const name = ref('');
  const map = ref<AxisMap>(STANDARD);
  const learning = ref<number | null>(null);
  let rest: readonly number[] = [];
  let waiting = false;

  const pad = (): Gamepad | null =>
    'getGamepads' in navigator ? (navigator.getGamepads().find((g) => g?.connected) ?? null) : null;
  const found = (): void => {
    const g = pad();
    if (g?.id !== name.value) {
      name.value = g?.id ?? '';
      if (g) map.value = readMap(g.id);
    }
  };
  const gone = (): void => {
    found();
    if (!pad()) lost();
  };
  onMounted(() => {
    window.addEventListener('gamepadconnected', found);
    window.addEventListener('gamepaddisconnected', gone);
    found();
  });
  onBeforeUnmount(() => {
    window.removeEventListener('gamepadconnected', found);
    window.removeEventListener('gamepaddisconnected', gone);
  });

  const store = (axis: StickAxis, at: AxisMap[StickAxis]): void => {
    map.value = { ...map.value, [axis]: at };
    localStorage.setItem(keyOf(name.value), JSON.stringify(map.value));
    const next = (learning.value ?? 0) + 1;
    learning.value = next < LEARN_STEPS.length ? next : null;
    // The stick goes back to its middle before the next is asked for.
    waiting = true;
  };
  /** One look at the controller while it is learned. */
  const learn = (axes: readonly number[]): void => {
    const step = LEARN_STEPS[learning.value ?? -1];
    if (!step) return;
    const moved = axes.map((a, i) => a - (rest[i] ?? 0));
    const most = moved.reduce((best, m, i) => (Math.abs(m) > Math.abs(moved[best] ?? 0) ? i : best), 0);
    const by = moved[most] ?? 0;
    if (waiting) waiting = Math.abs(by) > LEARNED / 3;
    else if (Math.abs(by) > LEARNED) store(step.axis, { axis: most, sign: by > 0 ? 1 : -1 });
  };

  /** Where its sticks are; null without one. */
  const read = (): StickValues | null => {
    const g = pad();
    if (!g) return null;
    found();
    if (learning.value !== null) {
      learn(g.axes);
      return null;
    }
    const at = (axis: StickAxis): number => {
      const m = map.value[axis];
      return m ? m.sign * (g.axes[m.axis] ?? 0) : 0;
    };
    const button = (i: number): number => g.buttons[i]?.value ?? 0;
    return {
      leftX: at('leftX'),
      leftY: at('leftY'),
      rightX: at('rightX'),
      rightY: at('rightY'),
      tilt: map.value.tilt ? at('tilt') : button(TILT_BUTTONS.up) - button(TILT_BUTTONS.down),
    };
  };
  return {
    name,
    read,
    ask: computed(() => (learning.value === null ? '' : (LEARN_STEPS[learning.value]?.ask ?? ''))),
    startLearning: () => {
      rest = pad()?.axes.slice() ?? [];
      waiting = false;
      learning.value = 0;
    },
    skip: () => {
      const step = LEARN_STEPS[learning.value ?? -1];
      if (step) store(step.axis, null);
      waiting = false;
    },
  };
};
