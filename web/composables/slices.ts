import type { Steps } from '@core/units';

/** What steps may take of the page at a time, ms: less than half a picture. */
const SLICE_MS = 7;

/**
 * Runs steps a little at a time, so that the page stays its user's.
 * @param done hears what they come to
 * @returns leaves them off
 */
export const inSlices = <T>(steps: Steps<T>, done: (result: T) => void): (() => void) => {
  let turn: ReturnType<typeof setTimeout> | undefined;
  const go = (): void => {
    const until = performance.now() + SLICE_MS;
    do {
      const step = steps.next();
      if (!step.done) continue;
      done(step.value);
      return;
    } while (performance.now() < until);
    turn = setTimeout(go);
  };
  turn = setTimeout(go);
  return () => clearTimeout(turn);
};
