import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { leanAtRest } from './at-rest';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

/** A server that is asked at these seconds and takes so much, each collection some less; how often it has collected by the last second. */
const collected = (askedS: readonly number[], untilS: number, takenMb: number, lessMb = 0): number => {
  let mb = takenMb;
  const collect = vi.fn(() => {
    mb -= lessMb;
  });
  const next = vi.fn();
  const middleware = leanAtRest(collect, () => mb * 1e6);
  let at = 0;
  for (const s of askedS) {
    vi.advanceTimersByTime(1000 * (s - at));
    at = s;
    void middleware({} as never, {} as never, next);
  }
  vi.advanceTimersByTime(1000 * (untilS - at));
  expect(next).toHaveBeenCalledTimes(askedS.length);
  return collect.mock.calls.length;
};

describe('a server that took much memory', () => {
  it('gives it back in a rest, never while it is asked', () => {
    expect(collected([0], 4, 300)).toBe(0);
    expect(collected([0, 4, 8, 12], 16, 300)).toBe(0);
    expect(collected([0, 4, 8, 12], 60, 300, 200)).toBe(1);
    expect(collected([0, 10, 20], 60, 800, 250)).toBe(3);
  });
  it('tries again while it is still large, a few times and no more', () => {
    expect(collected([0], 60, 300, 60)).toBe(3);
    expect(collected([0], 600, 300)).toBe(4);
    expect(collected([0, 6], 7, 300)).toBe(2);
  });
  it('is left alone where it took little', () => {
    expect(collected([0, 10, 20], 60, 120)).toBe(0);
  });
});
