import type { Steps } from '@core/units';

/** What steps may take of the page at a time, ms: less than half a picture. */
const SLICE_MS = 7;

/**
 * Runs steps a little at a time, so that the page stays its user's.
 * @param done hears what they come to
 * @param atOnceMs time that is taken before this returns; none where left out
 * @returns leaves them off
 */
export const inSlices = <T>(steps: Steps<T>, done: (result: T) => void, atOnceMs = 0): (() => void) => {
  let turn: ReturnType<typeof setTimeout> | undefined;
  const go = (sliceMs: number): void => {
    const until = performance.now() + sliceMs;
    do {
      const step = steps.next();
      if (!step.done) continue;
      done(step.value);
      return;
    } while (performance.now() < until);
    later();
  };
  const later = (): void => {
    turn = setTimeout(() => {
      go(SLICE_MS);
    });
  };
  if (atOnceMs > 0) go(atOnceMs);
  else later();
  return () => {
    clearTimeout(turn);
  };
};
