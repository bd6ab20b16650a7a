import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { radians } from '../geometry';
import { levelSpeed, suggestedTilt, TILT_CLASSES } from '../air';
import { numberIn } from '../testing';
import { fieldFromMeasured, heightShared, shareOfWidth } from '.';

describe('a mark as wide as the aircraft', () => {
  it('fills half the picture where half the picture is as wide, and comes back from what was measured', () => {
    // 90° sees as wide as twice the distance.
    expect(shareOfWidth(4, 4, 90)).toBeCloseTo(0.5, 12);
    fc.assert(
      fc.property(numberIn(0.2, 5), numberIn(1, 60), numberIn(20, 150), numberIn(1.1, 8), (w, d, deg, k) => {
        const share = shareOfWidth(w, d, deg);
        expect(fieldFromMeasured(w, d, share)).toBeCloseTo(deg, 8);
        expect(shareOfWidth(w * k, d * k, deg)).toBeCloseTo(share, 9);
        expect(shareOfWidth(w, d * k, deg)).toBeCloseTo(share / k, 9);
      }),
    );
  });
});

describe('a second camera at another tilt', () => {
  /** The same by looking at many rays of the second picture. */
  const sampled = (first: number, second: number, apart: number): number => {
    const n = 4000;
    let inside = 0;
    for (let i = 0; i < n; i += 1) {
      const y = (2 * (i + 0.5)) / n - 1;
      const deg = (Math.atan(y * Math.tan(radians(second) / 2)) * 180) / Math.PI;
      if (Math.abs(deg - apart) <= first / 2) inside += 1;
    }
    return inside / n;
  };
  it('sees as much of the first as a ray by ray count says; all of it at the same tilt, ever less apart', () => {
    expect(heightShared(60, 60, 0)).toBe(1);
    expect(heightShared(60, 60, 60)).toBeCloseTo(0, 9);
    const reached = { some: 0 };
    fc.assert(
      fc.property(numberIn(20, 120), numberIn(20, 120), numberIn(-80, 80), (first, second, apart) => {
        const share = heightShared(first, second, apart);
        expect(Math.abs(share - sampled(first, second, apart))).toBeLessThan(0.002);
        expect(heightShared(first, second, -apart)).toBeCloseTo(share, 9);
        if (share > 0.05 && share < 0.95) reached.some += 1;
      }),
    );
    expect(reached.some).toBeGreaterThan(20);
  });
});

describe('usual tilts of a fixed camera', () => {
  it('a beginner gets less than others, outdoors no less than indoors; more tilt belongs to more speed', () => {
    for (const of of TILT_CLASSES)
      for (const outdoors of [false, true]) {
        const plain = suggestedTilt(of, { outdoors, beginner: false });
        const first = suggestedTilt(of, { outdoors, beginner: true });
        expect(first.toDeg).toBeLessThan(plain.toDeg);
        expect(first.fromDeg).toBe(plain.fromDeg);
        expect(plain.toDeg).toBeGreaterThanOrEqual(
          suggestedTilt(of, { outdoors: false, beginner: false }).toDeg,
        );
        if (plain.fromDeg >= 0)
          expect(levelSpeed(0.4, 0.012, plain.toDeg, 1.2)).toBeGreaterThan(
            levelSpeed(0.4, 0.012, plain.fromDeg, 1.2),
          );
      }
    expect(suggestedTilt('guarded', { outdoors: true, beginner: false })).toEqual({ fromDeg: 0, toDeg: 30 });
  });
});
