import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { boxGap, boxOf, gapTo, inBox } from './box';

const spot = fc.record({ x: numberIn(-50, 50), y: numberIn(-50, 50) });
const spots = fc.array(spot, { minLength: 1, maxLength: 6 });

describe('boxes over the ground', () => {
  it('by hand: about an L of places, with a margin of 2 m', () => {
    const corners = [
      { x: 1, y: 20 },
      { x: 5, y: 8 },
      { x: -3, y: 8 },
    ];
    expect(boxOf(corners, 2)).toEqual({ west: -5, south: 6, east: 7, north: 22 });
    expect(boxOf(corners)).toEqual({ west: -3, south: 8, east: 5, north: 20 });
    // Three metres east and four north of its corner.
    expect(gapTo(boxOf(corners), 8, 24)).toBe(5);
    expect(boxGap(boxOf(corners), boxOf([{ x: -6, y: 4 }]))).toBe(5);
    expect(boxGap(boxOf(corners), boxOf([{ x: 0, y: 0 }]))).toBe(8);
  });

  it('hold their sides, and nothing where there are no places', () => {
    const box = { west: 1, south: 2, east: 3, north: 4 };
    for (const [x, y] of [
      [1, 2],
      [3, 4],
      [1, 4],
      [2, 3],
    ] as const)
      expect(inBox(box, x, y)).toBe(true);
    for (const [x, y] of [
      [0.99, 3],
      [3.01, 3],
      [2, 1.99],
      [2, 4.01],
    ] as const)
      expect(inBox(box, x, y)).toBe(false);
    expect(inBox(boxOf([]), 0, 0)).toBe(false);
    expect(boxGap(boxOf([]), box)).toBe(Infinity);
  });

  it('are as far apart as the nearest two places in them', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(spots, spots, spot, (first, second, { x, y }) => {
        const [a, b] = [boxOf(first), boxOf(second)];
        const gap = boxGap(a, b);
        reached.when('apart', gap > 0);
        reached.when('one in the other', gap === 0);
        expect(boxGap(b, a)).toBe(gap);
        for (const p of first) {
          expect(inBox(a, p.x, p.y)).toBe(true);
          expect(gapTo(b, p.x, p.y)).toBeGreaterThanOrEqual(gap);
        }
        // The nearest place of one to the nearest of the other is that far.
        const [nx, ny] = [Math.min(a.east, Math.max(a.west, x)), Math.min(a.north, Math.max(a.south, y))];
        expect(gapTo(a, x, y)).toBeCloseTo(Math.hypot(nx - x, ny - y), 9);
        expect(gapTo(a, x, y) === 0).toBe(inBox(a, x, y));
      }),
    );
    reached.atLeast('apart', 20);
    reached.atLeast('one in the other', 20);
  });
});
