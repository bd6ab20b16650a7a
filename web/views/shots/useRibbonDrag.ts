import type { LocationPlan } from '@core/day';
import { clockText, MINUTE_MS } from '@core/time';
import { ref } from 'vue';
import { useFilm } from '../../stores/film';
import { tr } from './messages';

const START_PX = 3;

/**
 * Drags a shot, or a flight by its first shot, along the light: where it is let go is the minute it is held back to. Before the
 * minute it would come at by itself it is let go again.
 * @param msOf how long a stretch of the glass stands for
 */
export const useRibbonDrag = (place: () => LocationPlan, msOf: (px: number) => number) => {
  const film = useFilm();
  const held = ref('');
  const px = ref(0);
  const moved = ref(false);
  const says = ref('');

  const minuteOf = (id: string): number => place().flights.flatMap((f) => f.shotMs[id] ?? [])[0] ?? NaN;
  const clock = (ms: number): string =>
    clockText(Math.round(ms / MINUTE_MS) * MINUTE_MS, place().location.zone);
  const drop = (id: string, byMs: number): void => {
    const shot = film.get('shot', id);
    if (!shot || !moved.value) return;
    // Dragged to the left, what held it is let go: nothing else keeps it from coming earlier but the order of the list.
    const notBefore =
      byMs > 0
        ? clock(minuteOf(id) + byMs)
        : shot.notBefore === null
          ? null
          : byMs < -30 * MINUTE_MS
            ? null
            : clock(minuteOf(id) + byMs);
    if (notBefore !== shot.notBefore) film.edit('shot', id, { notBefore }, tr('minute'));
  };

  const down = (event: PointerEvent, id: string): void => {
    if (event.button !== 0 || !id || Number.isNaN(minuteOf(id))) return;
    event.stopPropagation();
    const start = event.clientX;
    held.value = id;
    px.value = 0;
    moved.value = false;
    const move = (e: PointerEvent): void => {
      px.value = e.clientX - start;
      if (Math.abs(px.value) > START_PX) moved.value = true;
      says.value = moved.value ? tr('notBeforeClock', { clock: clock(minuteOf(id) + msOf(px.value)) }) : '';
    };
    const end = (act: boolean) => (): void => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', cancel);
      if (act) drop(id, msOf(px.value));
      held.value = '';
      says.value = '';
      px.value = 0;
      // The click that follows a drag picks nothing.
      setTimeout(() => {
        moved.value = false;
      }, 50);
    };
    const up = end(true);
    const cancel = end(false);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', cancel);
  };
  const by = (id: string): number => (held.value === id && moved.value ? px.value : 0);
  return { down, by, moved, says };
};
