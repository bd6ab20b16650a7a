import type { MarkKind, TryMarks } from '@core/rehearsal';
import { computed, shallowRef, watch } from 'vue';

/** Tries of what is flown in this visit, in order, so that one can be held against the one before. @param target what is flown */
export const useTries = (target: () => string) => {
  const tries = shallowRef<readonly TryMarks[]>([]);
  watch(target, () => {
    tries.value = [];
  });
  /** By how much each mark of the newest try is above the one before; nothing for a first try. */
  const gains = computed((): ReadonlyMap<MarkKind, number> => {
    const [before, now] = tries.value.slice(-2);
    if (!before || !now) return new Map();
    const was = new Map(before.marks.map((m) => [m.kind, m.mark]));
    return new Map(now.marks.map((m) => [m.kind, m.mark - (was.get(m.kind) ?? m.mark)]));
  });
  return {
    row: computed(() => tries.value.map((t) => t.mark)),
    gains,
    add: (marks: TryMarks): void => {
      tries.value = [...tries.value, marks];
    },
  };
};
