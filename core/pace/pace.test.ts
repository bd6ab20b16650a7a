import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/pace.json';
import { fieldOfView } from '../lens';
import type { Aspect } from '../model';
import type { PathSample } from '../moves';
import { blurPixels, paceBand } from './band';
import { edgeRates } from './moving';
import { groundPace, speedForEdgeCrossing, type FlightDirection } from './ground';
import { numberIn } from '../testing';

const of = (c: (typeof vectors.cases)[number]) => {
  const fov = fieldOfView(c.equivalentMm, c.aspect as Aspect);
  return {
    ...c,
    direction: c.direction as FlightDirection,
    horizontalFovDeg: fov.horizontalDeg,
    verticalFovDeg: fov.verticalDeg,
  };
};

const flying = (
  heightM: number,
  tiltDeg: number,
  velocity: PathSample['velocity'],
  headingDeg = 37,
): PathSample => ({
  timeS: 0,
  pose: { at: { x: 0, y: 0, z: heightM }, headingDeg, tiltDeg },
  velocity,
  yawDegS: 0,
  tiltDegS: 0,
});

const ahead = (speed: number, headingDeg: number) => ({
  x: speed * Math.sin((headingDeg * Math.PI) / 180),
  y: speed * Math.cos((headingDeg * Math.PI) / 180),
  z: 0,
});

describe('ground pace', () => {
  it.each(vectors.cases)('$direction at $heightM m, $speedMs m/s, $cameraDepressionDeg° down', (c) => {
    const pace = groundPace(of(c));
    for (const [mine, theirs] of [
      [pace.slantRangeM, c.slantRangeM],
      [pace.frameSpanM, c.frameSpanM],
      [pace.crossingS, c.crossingSeconds],
      [pace.rateDegS, c.angularRateDegPerS],
      [pace.edgeDepressionDeg, c.edgeDepressionDeg],
      [pace.edgeRateDegS, c.edgeRateDegPerS],
      [pace.edgeCrossingS, c.edgeCrossingSeconds],
    ] as const)
      expect(Math.abs(mine - theirs)).toBeLessThan(vectors.tolerance);
  });

  it('the speed for a crossing gives that crossing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...vectors.cases), numberIn(1, 60), (c, wanted) => {
        const speedMs = speedForEdgeCrossing(wanted, of(c));
        expect(groundPace({ ...of(c), speedMs }).edgeCrossingS).toBeCloseTo(wanted, 8);
      }),
    );
  });
});

describe('pace of any movement', () => {
  it.each(vectors.cases)('agrees with the closed form: $direction $heightM m', (c) => {
    const lens = of(c);
    const heading = 37;
    const velocity = ahead(c.speedMs, c.direction === 'forward' ? heading : heading + 90);
    const rates = edgeRates(
      flying(c.heightM, -c.cameraDepressionDeg, velocity, heading),
      lens.verticalFovDeg,
      0,
    );
    expect(Math.hypot(rates?.acrossDegS ?? 0, rates?.alongDegS ?? 0)).toBeCloseTo(
      groundPace(lens).edgeRateDegS,
      6,
    );
  });

  it('a yaw about a level camera moves near and far alike, at the cosine of the depression', () => {
    const rates = edgeRates({ ...flying(10, 0, { x: 0, y: 0, z: 0 }), yawDegS: 12 }, 40, 0);
    expect(Math.abs(rates?.acrossDegS ?? 0)).toBeCloseTo(12 * Math.cos((20 * Math.PI) / 180), 6);
  });

  it('an orbit holds its centre still while the near ground runs', () => {
    const r = 30;
    const v = 4;
    const h = 15;
    const down = (Math.atan2(h, r) * 180) / Math.PI;
    const sample: PathSample = {
      ...flying(h, -down, { x: v, y: 0, z: 0 }, 0),
      yawDegS: (-v / r) * (180 / Math.PI),
    };
    expect(Math.abs(edgeRates(sample, 1e-9, 0)?.acrossDegS ?? 1)).toBeLessThan(1e-6);
    expect(Math.abs(edgeRates(sample, 40, 0)?.acrossDegS ?? 0)).toBeGreaterThan(1);
  });

  it('sees no ground when it looks up, and none from under it', () => {
    expect(edgeRates(flying(10, 40, { x: 3, y: 0, z: 0 }), 40, 0)).toBeUndefined();
    expect(edgeRates(flying(-1, -30, { x: 3, y: 0, z: 0 }), 40, 0)).toBeUndefined();
  });
});

describe('bands and blur', () => {
  it('names the bands at their limits', () => {
    expect([Infinity, 21, 15, 8, 5, 3, 1, 0].map(paceBand)).toEqual([
      'still',
      'still',
      'calm',
      'gentle',
      'lively',
      'fast',
      'frantic',
      'frantic',
    ]);
  });
  it('blur is pixels a second times the shutter', () =>
    expect(blurPixels(8, 3840, 1 / 50)).toBeCloseTo(9.6, 9));
});
