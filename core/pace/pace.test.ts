import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/pace.json';
import { fieldOfView, frameShape, projectPoint } from '../lens';
import type { Aspect } from '../model';
import type { PathSample } from '../moves';
import { blurPixels, paceBand } from './band';
import { LEVEL_SCENE, movePace, nearGround } from './moving';
import { groundPace, speedForEdgeCrossing, type FlightDirection } from './ground';
import { numberIn } from '../testing';

const of = (c: (typeof vectors.cases)[number]) => {
  const fov = fieldOfView(c.equivalentMm, frameShape(c.aspect as Aspect));
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

const WIDE = fieldOfView(24, frameShape('16:9'));
const LEVEL = { surfaceAt: () => 0, subjectAt: null, subjectHeightM: 0 };
const withSubject = (heightM: number) => ({
  ...LEVEL,
  subjectHeightM: heightM,
  subjectAt: () => ({ at: { x: 0, y: 0, z: heightM / 2 }, velocity: { x: 0, y: 0, z: 0 } }),
});
/** A moment of an orbit about the origin, east of which it flies north of nothing: at (0, −r), going east. */
const orbiting = (radiusM: number, speedMs: number, heightM: number, tiltDeg: number): PathSample => ({
  ...flying(heightM, tiltDeg, { x: speedMs, y: 0, z: 0 }, 0),
  pose: { at: { x: 0, y: -radiusM, z: heightM }, headingDeg: 0, tiltDeg },
  yawDegS: -(speedMs / radiusM) * (180 / Math.PI),
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
  /** What the lowest line of the frame meets on level ground. */
  const ground = (sample: PathSample, verticalDeg: number) =>
    nearGround(null, sample, { horizontalDeg: verticalDeg, verticalDeg }, LEVEL_SCENE);

  it.each(vectors.cases)('agrees with the closed form: $direction $heightM m', (c) => {
    const lens = of(c);
    const heading = 37;
    const velocity = ahead(c.speedMs, c.direction === 'forward' ? heading : heading + 90);
    const rates = ground(flying(c.heightM, -c.cameraDepressionDeg, velocity, heading), lens.verticalFovDeg);
    expect(Math.hypot(rates?.acrossDegS ?? 0, rates?.alongDegS ?? 0)).toBeCloseTo(
      groundPace(lens).edgeRateDegS,
      6,
    );
  });

  it('a yaw about a level camera moves near and far alike, at the cosine of the depression', () => {
    const rates = ground({ ...flying(10, 0, { x: 0, y: 0, z: 0 }), yawDegS: 12 }, 40);
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
    expect(Math.abs(ground(sample, 1e-9)?.acrossDegS ?? 1)).toBeLessThan(1e-6);
    expect(Math.abs(ground(sample, 40)?.acrossDegS ?? 0)).toBeGreaterThan(1);
  });

  it.each(vectors.turning)(
    'an orbit of $radiusM m at $speedMs m/s: the horizon turns at the yaw rate',
    (c) => {
      const fov = fieldOfView(c.equivalentMm, frameShape(c.aspect as Aspect));
      const level = orbiting(c.radiusM, c.speedMs, 60, 0);
      expect(level.yawDegS).toBeCloseTo(-c.yawRateDegPerS, 3);
      const pace = movePace([level], fov, { ...LEVEL, subjectHeightM: 10 });
      expect(pace.of).toBe('background');
      expect(Math.abs(pace.crossingS - c.horizonCrossingSeconds)).toBeLessThan(vectors.tolerance);
    },
  );

  it('sees no ground when it looks up', () => {
    expect(ground(flying(10, 40, { x: 3, y: 0, z: 0 }), 40)).toBeNull();
    expect(ground(flying(10, -40, { x: 3, y: 0, z: 0 }), 40)).toMatchObject({ of: 'ground', heightM: 10 });
  });

  it('changes smoothly with every input: radius, height, speed, tilt, zoom', () => {
    const base = { radius: 60, speed: 6, height: 25, tilt: -20, mm: 24 };
    const paceOf = (c: typeof base): number => {
      const fov = fieldOfView(c.mm, frameShape('16:9'));
      return 1 / movePace([orbiting(c.radius, c.speed, c.height, c.tilt)], fov, withSubject(12)).crossingS;
    };
    const spans = { radius: [8, 400], speed: [0.5, 18], height: [2, 120], tilt: [-90, 30], mm: [12, 160] };
    for (const [name, [from, to]] of Object.entries(spans) as [keyof typeof base, [number, number]][]) {
      const steps = 4000;
      let before = paceOf({ ...base, [name]: from });
      for (let i = 1; i <= steps; i += 1) {
        const now = paceOf({ ...base, [name]: from + ((to - from) * i) / steps });
        expect(Math.abs(now - before), `${name} at ${from + ((to - from) * i) / steps}`).toBeLessThan(
          0.004 + 0.05 * before,
        );
        before = now;
      }
    }
  });

  it('of an orbit stays finite at every radius', () => {
    for (let radius = 10; radius <= 400; radius += 0.5) {
      const { crossingS } = movePace([orbiting(radius, 8, 25, -15)], WIDE, withSubject(12));
      expect(crossingS).toBeLessThan(25);
      expect(crossingS).toBeGreaterThan(1);
    }
  });

  it('counts the ground under the frame, not the launch point: raised by so much, it is as if flown lower', () => {
    fc.assert(
      fc.property(numberIn(5, 100), numberIn(-40, 60), numberIn(-60, -5), (over, groundM, tilt) => {
        const velocity = ahead(6, 37);
        const here = movePace([flying(groundM + over, tilt, velocity)], WIDE, {
          ...LEVEL,
          surfaceAt: () => groundM,
        });
        const level = movePace([flying(over, tilt, velocity)], WIDE, LEVEL);
        expect(here.crossingS).toBeCloseTo(level.crossingS, 6);
      }),
    );
  });

  it('meets a slope where the line of sight does', () => {
    // Ground that rises one in ten ahead: the lowest line at δ meets it at h / (sin δ + 0.1 cos δ).
    const sample = flying(40, -10, { x: 0, y: 5, z: 0 }, 0);
    const seen = movePace([sample], WIDE, { ...LEVEL, surfaceAt: (_x, y) => y / 10 });
    const down = ((10 + WIDE.verticalDeg / 2) * Math.PI) / 180;
    const range = 40 / (Math.sin(down) + 0.1 * Math.cos(down));
    expect(seen.rateDegS).toBeCloseTo(((5 * Math.sin(down)) / range) * (180 / Math.PI), 1);
  });

  it('a subject that runs through a still frame is what crosses', () => {
    const still = flying(10, 0, { x: 0, y: 0, z: 0 }, 0);
    const pace = movePace([still], WIDE, {
      ...LEVEL,
      subjectHeightM: 10,
      subjectAt: () => ({ at: { x: 0, y: 40, z: 10 }, velocity: { x: 12, y: 0, z: 0 } }),
    });
    expect(pace).toMatchObject({ of: 'subject' });
    expect(pace.crossingS).toBeCloseTo(WIDE.horizontalDeg / ((12 / 40) * (180 / Math.PI)), 6);
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
  it('blur is what a point moves in the picture while the shutter is open, along or across', () => {
    const [widthPx, heightPx, shutterS] = [3840, 2160, 1 / 50];
    for (const [velocity, headingDeg] of [
      [ahead(7, 0), 0],
      [ahead(7, 90), 0],
    ] as const) {
      const sample = flying(12, -90, velocity, headingDeg);
      const pace = movePace([sample], WIDE, LEVEL);
      const [a, b] = [0, shutterS].map((t) =>
        projectPoint(
          {
            ...sample.pose,
            at: { x: velocity.x * t, y: velocity.y * t, z: 12 },
          },
          WIDE.horizontalDeg,
          WIDE.verticalDeg,
          { x: 0, y: 0, z: 0 },
        ),
      );
      const moved = Math.hypot(((b!.x - a!.x) * widthPx) / 2, ((b!.y - a!.y) * heightPx) / 2);
      // An angle against its tangent: a frame that is wide is a little slower in the middle than by its angle.
      expect(blurPixels(pace, [widthPx, heightPx], shutterS) / moved).toBeGreaterThan(0.93);
      expect(blurPixels(pace, [widthPx, heightPx], shutterS) / moved).toBeLessThan(1.25);
    }
  });
});
