import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Handling } from '../model';
import { AT_REST, calmestSticks, curveAt, held, lagOf } from './stick-profile';
import { numberIn } from '../testing';

const share = numberIn(0, 1);
const stick = numberIn(-1, 1);
const profile = fc.record({
  maxSpeedMs: fc.constant(10),
  maxYawDegS: numberIn(5, 180),
  maxTiltDegS: numberIn(5, 90),
  smoothing: share,
  tiltSmoothing: share,
  expo: share,
});

describe('the curve of a stick', () => {
  it('is nothing in the middle, full at the end, the same both ways, and rises', () => {
    fc.assert(
      fc.property(share, stick, stick, (expo, a, b) => {
        expect(curveAt(expo, 0)).toBe(0);
        expect(curveAt(expo, 1)).toBeCloseTo(1, 12);
        expect(curveAt(expo, -a)).toBeCloseTo(-curveAt(expo, a), 12);
        if (a < b) expect(curveAt(expo, a)).toBeLessThanOrEqual(curveAt(expo, b) + 1e-12);
        // More expo is a flatter middle.
        expect(Math.abs(curveAt(Math.min(1, expo + 0.1), a))).toBeLessThanOrEqual(
          Math.abs(curveAt(expo, a)) + 1e-12,
        );
      }),
    );
    expect([curveAt(0, 0.5), curveAt(1, 0.5), curveAt(0.4, 7)]).toEqual([0.5, 0.125, 1]);
  });
});

describe('a stick held', () => {
  it('comes to the same in one step or in many', () => {
    fc.assert(
      fc.property(profile, stick, stick, fc.integer({ min: 1, max: 60 }), (p, yaw, tilt, n) => {
        const one = held(AT_REST, p, yaw, tilt, 1.5);
        const many = Array.from({ length: n }).reduce(
          (s: typeof AT_REST) => held(s, p, yaw, tilt, 1.5 / n),
          AT_REST,
        );
        for (const key of ['yawDegS', 'tiltDegS', 'yawDeg', 'tiltDeg'] as const)
          expect(many[key]).toBeCloseTo(one[key], 6);
      }),
    );
  });
  it('never turns faster than it is set to, and is two thirds of the way after its lag', () => {
    fc.assert(
      fc.property(profile, stick, numberIn(0, 5), (p, yaw, s) => {
        expect(Math.abs(held(AT_REST, p, yaw, 0, s).yawDegS)).toBeLessThanOrEqual(p.maxYawDegS + 1e-9);
      }),
    );
    const p: Handling = {
      maxSpeedMs: 10,
      maxYawDegS: 60,
      maxTiltDegS: 30,
      smoothing: 0.5,
      tiltSmoothing: 0,
      expo: 0,
    };
    expect(held(AT_REST, p, 1, 1, lagOf(0.5))).toMatchObject({
      yawDegS: expect.closeTo(60 * (1 - Math.exp(-1)), 9),
      tiltDegS: 30,
    });
  });
});

describe('the calmest setting', () => {
  it('is the slowest that still gives what the move asks, or none', () => {
    const of = (maxSpeedMs: number, maxYawDegS: number): Handling => ({
      maxSpeedMs,
      maxYawDegS,
      maxTiltDegS: 30,
      smoothing: 0,
      tiltSmoothing: 0,
      expo: 0,
    });
    const handling = { slow: of(3, 20), normal: of(10, 60), fast: of(20, 100) };
    expect(
      [
        [2, 5],
        [2, 30],
        [12, 30],
        [25, 5],
      ].map(([speedMs, yawDegS]) =>
        calmestSticks(handling, { speedMs: speedMs!, yawDegS: yawDegS!, tiltDegS: 10 }),
      ),
    ).toEqual(['slow', 'normal', 'fast', null]);
  });
});
