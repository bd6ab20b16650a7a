import { defer } from './deferred';

/**
 * Runs work once changes rest, and now and then while they go on; never two runs at once. What is touched while it runs is
 * looked at again after. It takes its turn among what may come a picture later, so that no frame carries it with another.
 * @param restMs without a change after which it runs
 * @param longestMs one waits while changes go on
 */
export const debounceWithMaxWait = (
  work: () => Promise<void>,
  restMs: number,
  longestMs: number,
): (() => void) => {
  const turn = {};
  let timer: ReturnType<typeof setTimeout> | undefined;
  let since = 0;
  let busy = false;
  let again = false;
  const run = async (): Promise<void> => {
    if (busy) {
      again = true;
      return;
    }
    busy = true;
    try {
      do {
        again = false;
        await work();
      } while (again);
    } finally {
      busy = false;
    }
  };
  return () => {
    const now = performance.now();
    if (timer === undefined) since = now;
    clearTimeout(timer);
    timer = setTimeout(
      () => {
        timer = undefined;
        defer(turn, () => void run());
      },
      Math.max(0, Math.min(restMs, since + longestMs - now)),
    );
  };
};
