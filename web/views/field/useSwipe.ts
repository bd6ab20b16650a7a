import { ref } from 'vue';

/** A swipe along is at least this long and at most this far off the level, px. */
const LEAST_PX = 70;
const MOST_OFF_PX = 50;

/** Calls with 1 for a swipe to the left and −1 for one to the right. */
export const useSwipe = (by: (n: number) => void) => {
  const from = ref<{ x: number; y: number } | null>(null);
  const begin = (event: TouchEvent): void => {
    const at = event.touches[0];
    from.value = at ? { x: at.clientX, y: at.clientY } : null;
  };
  const end = (event: TouchEvent): void => {
    const to = event.changedTouches[0];
    const start = from.value;
    from.value = null;
    if (!to || !start) return;
    const [dx, dy] = [to.clientX - start.x, to.clientY - start.y];
    if (Math.abs(dx) > LEAST_PX && Math.abs(dy) < MOST_OFF_PX) by(dx < 0 ? 1 : -1);
  };
  return { begin, end };
};
