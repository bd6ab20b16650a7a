/** So long after a touch the browser still sends the mouse events that stand for it, ms. */
const AFTER_TOUCH_MS = 800;
/** A finger has moved so far before it is known which way it goes, px. */
const DECIDED_PX = 8;

const onHandle = (event: Event): boolean =>
  event.target instanceof Element && event.target.closest('.el-slider__button-wrapper') !== null;

/**
 * Keeps a slider from fingers that only scroll past it: beside its handle nothing is taken, and the handle follows only a finger
 * that sets off sideways. Listeners for the element around it, before the slider's own.
 */
export const heldHandle = () => {
  let touchedMs = -Infinity;
  let from: { readonly x: number; readonly y: number } | null = null;
  let way: 'open' | 'along' | 'past' = 'open';

  const touchstart = (event: TouchEvent): void => {
    const [touch] = event.touches;
    if (onHandle(event) && touch && event.touches.length === 1) {
      from = { x: touch.clientX, y: touch.clientY };
      way = 'open';
      return;
    }
    touchedMs = event.timeStamp;
    event.stopPropagation();
  };
  const touchmove = (event: TouchEvent): void => {
    const [touch] = event.touches;
    if (!from || !touch) return;
    const [dx, dy] = [Math.abs(touch.clientX - from.x), Math.abs(touch.clientY - from.y)];
    if (way === 'open' && Math.max(dx, dy) >= DECIDED_PX) way = dx > dy ? 'along' : 'past';
    if (way !== 'along') event.stopPropagation();
  };
  /** The page scrolls on with this finger: the slider hears that it was let go, or it would follow the next one. */
  const touchcancel = (): void => {
    if (from) window.dispatchEvent(new Event('touchend'));
    from = null;
  };
  const clicked = (event: MouseEvent): void => {
    if (event.timeStamp - touchedMs < AFTER_TOUCH_MS) event.stopPropagation();
  };
  return { touchstart, touchmove, touchcancel, clicked };
};
