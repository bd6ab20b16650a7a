import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LEVEL_GROUND, packHeights, unpackHeights } from '../terrain';
import { FEATURE_KINDS, featureWords, isFeatureKind } from './kinds';
import { measureOf } from './measure';
import { pinned } from './pins';
import { numberIn, said } from '../testing';

const metre = numberIn(-500, 500);

describe('pinned pictures', () => {
  it('every pin lies where it was put, with two and with three', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: 0, max: 4000 }), metre, metre),
          { minLength: 2, maxLength: 3 },
        ),
        (list) => {
          const pins = list.map(([px, py, xM, yM]) => ({ px, py, xM, yM }));
          const lies = pinned(pins);
          if (!lies.ok) return;
          const { a, b, c, d, e, f } = lies.value;
          for (const p of pins) {
            expect(a * p.px + b * p.py + c).toBeCloseTo(p.xM, 3);
            expect(d * p.px + e * p.py + f).toBeCloseTo(p.yM, 3);
          }
        },
      ),
    );
  });
  it('two pins keep right angles: no skew, and north stays up for a picture that was up', () => {
    const lies = pinned([
      { px: 0, py: 0, xM: -100, yM: 50 },
      { px: 1000, py: 500, xM: 100, yM: -50 },
    ]);
    if (!lies.ok) throw new Error(said(lies.reason));
    const { a, b, d, e } = lies.value;
    expect(a * b + d * e).toBeCloseTo(0, 9);
    expect([a, e]).toEqual([0.2, -0.2]);
  });
  it.each([
    ['one pin', [{ px: 0, py: 0, xM: 0, yM: 0 }]],
    [
      'two on one spot',
      [
        { px: 5, py: 5, xM: 0, yM: 0 },
        { px: 5, py: 5, xM: 9, yM: 9 },
      ],
    ],
    [
      'three on a line',
      [
        { px: 0, py: 0, xM: 0, yM: 0 },
        { px: 10, py: 10, xM: 9, yM: 9 },
        { px: 20, py: 20, xM: 1, yM: 0 },
      ],
    ],
  ])('says why %s do not tell', (_, pins) => expect(pinned(pins).ok).toBe(false));
});

it('kinds on the plan: each named once, with a shape; what can be hit has a height', () => {
  expect(new Set(FEATURE_KINDS.map((k) => k.kind)).size).toBe(FEATURE_KINDS.length);
  for (const k of FEATURE_KINDS) {
    expect(k.shapes.length).toBeGreaterThan(0);
    expect(k.stands).toBe(k.heightM > 0);
    expect(featureWords(k.kind)).toBe(k);
  }
  expect(isFeatureKind('castle')).toBe(false);
});

it('heights packed and unpacked are off by no more than a step of their range, holes stay holes', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(numberIn(-200, 2500), fc.constant(NaN)), {
        minLength: 12,
        maxLength: 12,
      }),
      (list) => {
        const grid = { columns: 4, rows: 3, cellM: 5, westM: 0, southM: 0, heights: Float32Array.from(list) };
        const { head, bytes } = packHeights(grid);
        if (!Number.isFinite(head.lowM)) return;
        const back = unpackHeights(head, bytes)!;
        const step = (head.highM - head.lowM) / 65_000 + 1e-3;
        list.forEach((h, i) => {
          const b = back.heights[i] ?? 0;
          if (Number.isNaN(h)) expect(b).toBeNaN();
          else expect(Math.abs(b - h)).toBeLessThan(step);
        });
        expect(unpackHeights(head, bytes.slice(1))).toBeNull();
      },
    ),
  );
});

it('a way is measured along its corners, a closed one by what lies inside', () => {
  const spots = [
    { x: 0, y: 0 },
    { x: 0, y: 30 },
    { x: 40, y: 30 },
  ];
  const rising = { ...LEVEL_GROUND, at: (x: number) => x / 4 };
  expect(measureOf(spots, rising)).toEqual({
    lengthM: 70,
    areaM2: 600,
    bearingDeg: expect.closeTo(53.13, 2) as number,
    riseM: 10,
  });
  expect(measureOf(spots.slice(0, 1), rising)).toBeNull();
});
