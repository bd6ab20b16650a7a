import type { Take } from '../model';

/** The take of a shot the cut uses: the last good one, else the last that may do; null where there is none. */
export const bestTake = (takes: readonly Take[], shotId: string): Take | null => {
  const own = takes.filter((t) => t.shotId === shotId).sort((a, b) => b.utcMs - a.utcMs);
  return own.find((t) => t.rating === 'good') ?? own.find((t) => t.rating === 'maybe') ?? null;
};
