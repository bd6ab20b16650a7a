import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/reach.json';
import { detectionLimit, sightLimit, type AirframeKind } from './sight';
import { levelSpeed } from '../air';
import { tiltForSpeed } from '../air/fixed-tilt';
import { numberIn } from '../testing';

describe('sight', () => {
  it.each(vectors.sight)('$kind of $largestDimensionM m in $visibilityM m', (s) =>
    expect(
      Math.abs(sightLimit(s.kind as AirframeKind, s.largestDimensionM, s.visibilityM) - s.limitM),
    ).toBeLessThan(vectors.tolerance),
  );
  it('is never longer than the aircraft can be made out, and grows with its size', () => {
    fc.assert(
      fc.property(numberIn(0.1, 3), numberIn(50, 20_000), (size, visibility) => {
        expect(sightLimit('multirotor', size, visibility)).toBeLessThanOrEqual(detectionLimit(visibility));
        expect(sightLimit('multirotor', size + 0.1, visibility)).toBeGreaterThanOrEqual(
          sightLimit('multirotor', size, visibility),
        );
      }),
    );
  });
});

describe('fixed tilt', () => {
  it.each(vectors.tilt)('$massKg kg at $tiltDeg°', (t) =>
    expect(
      Math.abs(levelSpeed(t.massKg, t.dragAreaM2, t.tiltDeg, t.densityKgM3) - t.levelSpeedMs),
    ).toBeLessThan(vectors.tolerance),
  );
  it('speed and tilt undo each other', () => {
    fc.assert(
      fc.property(numberIn(1, 60), numberIn(0.1, 2), (tilt, mass) => {
        expect(tiltForSpeed(mass, 0.01, levelSpeed(mass, 0.01, tilt, 1.2), 1.2)).toBeCloseTo(tilt, 8);
      }),
    );
  });
});
