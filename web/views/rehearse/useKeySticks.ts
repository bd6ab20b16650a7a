import type { Thumbs } from '@core/rehearsal';
import { onBeforeUnmount, onMounted } from 'vue';

/** Keys of the two sticks and of the camera's wheel, and which way each pushes. */
const KEYS: Readonly<Record<string, readonly [axis: keyof Thumbs | 'tilt', way: 1 | -1]>> = {
  w: ['leftY', 1],
  s: ['leftY', -1],
  a: ['leftX', -1],
  d: ['leftX', 1],
  arrowup: ['rightY', 1],
  arrowdown: ['rightY', -1],
  arrowleft: ['rightX', -1],
  arrowright: ['rightX', 1],
  r: ['tilt', 1],
  f: ['tilt', -1],
};
/** A key is on or off: the stick it stands for moves out at this pace, and back faster, per second. */
const OUT_PER_S = 1.4;
const BACK_PER_S = 4;
/** With the shift key held a stick goes out half way. */
const HALF = 0.5;

export type StickValues = Record<keyof Thumbs | 'tilt', number>;
const middle = (): StickValues => ({ leftX: 0, leftY: 0, rightX: 0, rightY: 0, tilt: 0 });

/** Sticks moved by keys. @param flying keys belong to the sticks only while something is flown */
export const useKeySticks = (flying: () => boolean) => {
  const down = new Set<string>();
  let half = false;
  const values = middle();
  const pressed = (event: KeyboardEvent): void => {
    half = event.shiftKey;
    const key = event.key.toLowerCase();
    if (!(key in KEYS)) return;
    if (event.type === 'keyup') {
      down.delete(key);
      return;
    }
    if (!flying() || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof HTMLElement && event.target.matches('input, select, textarea')) return;
    event.preventDefault();
    event.stopPropagation();
    down.add(key);
  };
  const release = (): void => {
    down.clear();
  };
  onMounted(() => {
    window.addEventListener('keydown', pressed, true);
    window.addEventListener('keyup', pressed, true);
    window.addEventListener('blur', release);
  });
  onBeforeUnmount(() => {
    window.removeEventListener('keydown', pressed, true);
    window.removeEventListener('keyup', pressed, true);
    window.removeEventListener('blur', release);
  });
  /** Where the sticks are some seconds later. */
  const after = (s: number): StickValues => {
    const goal = middle();
    for (const key of down) {
      const [axis, way] = KEYS[key] ?? [];
      if (axis && way) goal[axis] += way * (half ? HALF : 1);
    }
    for (const axis of Object.keys(values) as (keyof StickValues)[]) {
      const to = Math.max(-1, Math.min(1, goal[axis]));
      const pace = to === 0 || Math.sign(to) !== Math.sign(values[axis]) ? BACK_PER_S : OUT_PER_S;
      const step = pace * s;
      values[axis] += Math.max(-step, Math.min(step, to - values[axis]));
    }
    return values;
  };
  return { after, release };
};
