import { computed, onScopeDispose, ref, watch, type ComputedRef } from 'vue';
import { defer, cancelDeferred } from './deferred';

/**
 * The beginning of a list, and a piece more of it after each picture until it is whole: five hundred rows drawn at once hold
 * the page for longer than a finger waits. A list that was whole once stays whole.
 * @param list what is to be shown, in order
 * @param piece rows at first, and rows that follow at a time
 */
export const useInPieces = <T>(list: () => readonly T[], piece: number): ComputedRef<readonly T[]> => {
  const count = ref(piece);
  const shown = computed(() => (list().length <= count.value ? list() : list().slice(0, count.value)));
  watch(
    [count, () => list().length],
    ([now, length]) => {
      if (now < length)
        defer(count, () => {
          count.value += piece;
        });
      else if (length > 0) count.value = Infinity;
    },
    { immediate: true },
  );
  // On paper all of it stands.
  const whole = (): void => {
    count.value = Infinity;
  };
  addEventListener('beforeprint', whole);
  onScopeDispose(() => {
    cancelDeferred(count);
    removeEventListener('beforeprint', whole);
  });
  return shown;
};
