import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/lens.json';
import { frameShape } from './aspect';
import { cropTo } from './crop';
import { fieldOfView } from './view';
import { frameFill, radiusAndHeight, rangeForFill, depression, distanceClass } from './framing';
import type { Aspect } from '../model';
import { numberIn } from '../testing';

describe('field of view', () => {
  it.each(vectors.cases)('$equivalentMm mm at $aspect', (c) => {
    const fov = fieldOfView(c.equivalentMm, frameShape(c.aspect as Aspect));
    expect(Math.abs(fov.horizontalDeg - c.horizontalDeg)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(fov.verticalDeg - c.verticalDeg)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(fov.diagonalDeg - c.diagonalDeg)).toBeLessThan(vectors.tolerance);
  });

  it.each(vectors.crops)('$cut inside $frame at $equivalentMm mm', (c) => {
    const frame = frameShape(c.frame as Aspect);
    const crop = cropTo(fieldOfView(c.equivalentMm, frame), frame, frameShape(c.cut as Aspect));
    expect(Math.abs(crop.fov.horizontalDeg - c.horizontalDeg)).toBeLessThan(vectors.tolerance);
    expect(Math.abs(crop.fov.verticalDeg - c.verticalDeg)).toBeLessThan(vectors.tolerance);
    expect(crop.pixelShare).toBeCloseTo(c.pixelShare, 4);
  });

  it('a crop is of the shape asked for, touches two sides of the frame, and lies inside it', () => {
    const shape = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }));
    fc.assert(
      fc.property(numberIn(10, 200), shape, shape, (mm, frame, cut) => {
        const whole = fieldOfView(mm, frame);
        const { fov, widthShare, heightShare } = cropTo(whole, frame, cut);
        const half = (deg: number): number => Math.tan((deg * Math.PI) / 360);
        expect(half(fov.horizontalDeg) / half(fov.verticalDeg)).toBeCloseTo(cut[0] / cut[1], 6);
        expect(Math.max(widthShare, heightShare)).toBe(1);
        expect(fov.horizontalDeg).toBeLessThanOrEqual(whole.horizontalDeg + 1e-9);
        expect(fov.verticalDeg).toBeLessThanOrEqual(whole.verticalDeg + 1e-9);
      }),
    );
  });

  it('zoom ×2 sees what twice the focal length sees', () => {
    fc.assert(
      fc.property(numberIn(12, 200), (mm) => {
        expect(fieldOfView(mm, frameShape('16:9'), 2).horizontalDeg).toBeCloseTo(
          fieldOfView(2 * mm, frameShape('16:9')).horizontalDeg,
          9,
        );
      }),
    );
  });

  it('refuses a focal length that is none', () => {
    expect(() => fieldOfView(0, frameShape('16:9'))).toThrow(RangeError);
    expect(() => fieldOfView(NaN, frameShape('16:9'))).toThrow(RangeError);
  });
});

describe('framing', () => {
  const size = numberIn(0.5, 200);
  const share = numberIn(0.01, 2);
  it('range for a fill gives that fill back', () => {
    fc.assert(
      fc.property(size, share, numberIn(5, 100), (m, fill, fov) => {
        expect(frameFill(m, rangeForFill(m, fill, fov), fov)).toBeCloseTo(fill, 9);
      }),
    );
  });

  it('radius and height rebuild range and depression', () => {
    fc.assert(
      fc.property(numberIn(1, 500), numberIn(0, 89), (range, deg) => {
        const { radiusM, heightM } = radiusAndHeight(range, deg);
        expect(Math.hypot(radiusM, heightM)).toBeCloseTo(range, 6);
        expect(depression(radiusM, heightM)).toBeCloseTo(deg, 6);
      }),
    );
  });

  it('parts near, medium and far at half and fifteen hundredths', () => {
    expect([0.5, 0.49, 0.15, 0.149].map(distanceClass)).toEqual(['near', 'medium', 'medium', 'far']);
  });
});
