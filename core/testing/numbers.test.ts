import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from './numbers';

describe('numbers for properties', () => {
  it('are spread evenly over the span, across 0 as well', () => {
    const drawn = fc.sample(numberIn(-200, 200), { numRuns: 4000, seed: 7 });
    const quarters = [-100, 0, 100, 201].map(
      (to, i) => drawn.filter((x) => x >= to - (i === 3 ? 101 : 100) && x < to).length,
    );
    for (const n of quarters) expect(n / 4000).toBeGreaterThan(0.15);
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(-200);
    expect(Math.max(...drawn)).toBeLessThanOrEqual(200);
  });

  it('are counted where they reach a case, and named where they do not', () => {
    const reached = new Reached();
    fc.assert(fc.property(numberIn(0, 10), (x) => reached.when('over five', x > 5) === x > 5));
    reached.atLeast('over five', 20);
    expect(() => reached.atLeast('over five', 101)).toThrow('over five');
    expect(() => reached.atLeast('never', 1)).toThrow('0 times');
  });
});
