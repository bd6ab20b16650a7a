import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, lengthOf, offset, turnBetween, vec } from '../geometry';
import footage from '../vectors/footage.json';
import { context, EASING, flown, subject, value } from './fixtures';
import { fitSeconds } from './fit';
import { fly } from './trajectory';
import { dragHandlesOf, withDragHandle } from './drag-handles';
import { initialValues } from './parameters';
import { MOVES, moveOf } from './registry';
import type { CameraMove } from './types';
import { numberIn, said } from '../testing';

/** Values of a move drawn from a practical part of its own limits; those that describe no path are thrown back. */
const valuesOf = (move: CameraMove) =>
  fc
    .record(
      Object.fromEntries(
        move.parameters.map((p) => {
          const top =
            { metres: 150, speed: 12, degrees: 360, degreesPerSecond: 30 }[p.quantity as string] ?? p.max;
          return [
            p.id,
            p.choice
              ? fc.constantFrom(0, 1)
              : numberIn(Math.max(p.min, p.quantity === 'metres' ? 1 : p.min), Math.min(p.max, top)),
          ];
        }),
      ),
    )
    .filter((values) => move.shape(values, subject, context).ok);

describe.each(MOVES.map((m) => [m.kind, m] as const))('%s', (_, move) => {
  it('tells what it says, what the sticks do, what it needs and what to mind', () => {
    for (const text of [move.name, move.says, move.sticks, move.needs, move.caution])
      expect(text).toMatch(/\S/);
    expect(move.roles.length).toBeGreaterThan(0);
    for (const p of move.parameters) {
      expect(p.initial).toBeGreaterThanOrEqual(p.min);
      expect(p.initial).toBeLessThanOrEqual(p.max);
    }
  });

  it('flies with its initial values', () => {
    const f = flown(move, initialValues(move.parameters));
    expect(f.totalS).toBeGreaterThan(0);
    expect(f.samples.at(-1)?.timeS).toBeCloseTo(f.totalS, 9);
  });

  it('moves without a jump and never faster than it peaks', () => {
    fc.assert(
      fc.property(valuesOf(move), (values) => {
        const shape = value(move.shape(values, subject, context));
        let before = shape.poseAt(0);
        for (let i = 1; i <= 400; i += 1) {
          const now = shape.poseAt(i / 400);
          const { extent } = shape;
          const length =
            extent.by === 'legs'
              ? extent.legs.length * Math.max(...extent.legs.map((l) => (l.by === 'path' ? l.lengthM : 0)))
              : 'lengthM' in extent
                ? extent.lengthM
                : 0;
          expect(distance(before.at, now.at)).toBeLessThanOrEqual((length / 400) * 1.02 + 1e-6);
          before = now;
        }
        const f = flown(move, values);
        for (const s of f.samples)
          expect(lengthOf(s.velocity)).toBeLessThanOrEqual(f.peakSpeedMs * 1.02 + 0.01);
      }),
      { numRuns: 25 },
    );
  });

  it('is as long reversed as it is forward', () => {
    fc.assert(
      fc.property(valuesOf(move), (values) => {
        const shape = value(move.shape(values, subject, context));
        const length = (at: (u: number) => { x: number; y: number; z: number }): number => {
          let sum = 0;
          for (let i = 1; i <= 200; i += 1) sum += distance(at((i - 1) / 200), at(i / 200));
          return sum;
        };
        const forward = length((u) => shape.poseAt(u).at);
        expect(length((u) => shape.poseAt(1 - u).at)).toBeCloseTo(forward, 6);
        if ('lengthM' in shape.extent && shape.extent.lengthM > 1)
          expect(Math.abs(forward / shape.extent.lengthM - 1)).toBeLessThan(0.004);
      }),
      { numRuns: 25 },
    );
  });

  it('keeps a framed subject in the middle of the frame', () => {
    if (
      !move.parameters.some((p) => p.id === 'keepFramed') &&
      move.kind !== 'orbit' &&
      move.kind !== 'part-orbit' &&
      move.kind !== 'hold'
    )
      return;
    for (const s of flown(move, { ...initialValues(move.parameters), keepFramed: 1 }).samples) {
      const { at, headingDeg, tiltDeg } = s.pose;
      expect(
        Math.abs(
          turnBetween(headingDeg, (Math.atan2(subject.aim.x - at.x, subject.aim.y - at.y) * 180) / Math.PI),
        ),
      ).toBeLessThan(1e-6);
      expect(tiltDeg).toBeCloseTo(
        (Math.atan2(subject.aim.z - at.z, Math.hypot(subject.aim.x - at.x, subject.aim.y - at.y)) * 180) /
          Math.PI,
        6,
      );
    }
  });

  it('fitted by speed or by length, lasts what was wanted', () => {
    if (move.kind === 'hold') return;
    for (const by of ['speed', 'length'] as const)
      for (const cut of ['in-motion', 'whole'] as const)
        for (const wanted of [6, 14]) {
          const fit = fitSeconds(
            by,
            move,
            initialValues(move.parameters),
            (v) => move.shape(v, subject, context),
            EASING,
            cut,
            wanted,
          );
          if (!fit.ok) {
            expect(said(fit.reason)).toMatch(/\S/);
            continue;
          }
          expect(flown(move, fit.value, cut).usableS).toBeCloseTo(wanted, 3);
        }
  });
});

describe('orbits', () => {
  it.each(footage.orbits)('radius $radiusM m, height $heightM m, arc $arcDeg°', (o) => {
    const about = { aim: vec(0, 0, 0), heightM: 2, widthM: 2, headingDeg: 0, speedMs: 0 };
    const move = moveOf(o.arcDeg === 360 ? 'orbit' : 'part-orbit')!;
    const shape = value(
      move.shape(
        {
          radiusM: o.radiusM,
          heightM: o.heightM,
          turns: 1,
          arcDeg: o.arcDeg,
          speedMs: o.speedMs,
          fromBearingDeg: 0,
          sense: 1,
        },
        about,
      ),
    );
    expect(shape.extent.by === 'path' && shape.extent.lengthM).toBeCloseTo(o.pathM, 3);
    const f = value(fly(shape, { accelMs2: 4, turnAccelDegS2: 8 }, 'in-motion', 5));
    if (f.steadyS > 1) expect(f.peakYawDegS).toBeCloseTo(o.steadyYawRateDegPerS, 2);
    expect(-f.start.tiltDeg).toBeCloseTo(o.cameraDepressionDeg, 3);
    expect(distance(f.start.at, about.aim)).toBeCloseTo(o.slantRangeM, 3);
  });

  it('clockwise is seen from above', () => {
    const f = flown(moveOf('part-orbit')!, {
      ...initialValues(moveOf('part-orbit')!.parameters),
      sense: 1,
      fromBearingDeg: 0,
      arcDeg: 90,
    });
    expect(f.start.at.y).toBeGreaterThan(subject.aim.y);
    expect(f.end.at.x).toBeGreaterThan(subject.aim.x + 20);
  });
});

describe('reveals', () => {
  /** Whether the straight line from the camera to the subject's middle passes over the screen's top. */
  const clears = (values: Record<string, number>, share: number): boolean => {
    const move = moveOf('rise-reveal')!;
    const shape = value(move.shape({ ...initialValues(move.parameters), ...values }, subject));
    const at = shape.poseAt(share).at;
    const v = { ...initialValues(move.parameters), ...values };
    const sight = at.z + ((subject.aim.z - at.z) * v['screenM']!) / v['distanceM']!;
    return sight >= v['screenHeightM']!;
  };
  it('a rise clears the view at its mark and not before', () => {
    const move = moveOf('rise-reveal')!;
    fc.assert(
      fc.property(numberIn(2, 30), numberIn(6, 14), (screenM, screenHeightM) => {
        const values = { screenM, screenHeightM, endM: 60 };
        const shape = move.shape({ ...initialValues(move.parameters), ...values }, subject);
        if (!shape.ok) {
          expect(said(shape.reason)).toMatch(/view/);
          return;
        }
        const share = shape.value.marks![0]!.share;
        expect(clears(values, share + 1e-6)).toBe(true);
        expect(clears(values, share - 1e-3)).toBe(false);
      }),
    );
  });
  it('a slide comes out from behind its edge at its mark', () => {
    const move = moveOf('side-reveal')!;
    const v = { ...initialValues(move.parameters), lengthM: 60, edgeM: 5, screenM: 20, distanceM: 70 };
    const shape = value(move.shape(v, subject));
    const aside = (share: number): number => {
      const at = shape.poseAt(share).at;
      // Aside of the middle line, measured where the edge stands.
      const off = (at.x - subject.aim.x) * -Math.sign(Math.cos((180 * Math.PI) / 180));
      return (off * (70 - 20)) / 70;
    };
    expect(Math.abs(aside(shape.marks![0]!.share))).toBeCloseTo(5, 6);
  });
  it('says why nothing is revealed', () => {
    const rise = moveOf('rise-reveal')!;
    const why = (change: object): string => {
      const r = rise.shape({ ...initialValues(rise.parameters), ...change }, subject);
      return r.ok ? '' : said(r.reason);
    };
    expect(why({ screenM: 80 })).toMatch(/between/);
    expect(why({ screenHeightM: 1 })).toMatch(/from the start/);
    expect(why({ endM: 4 })).toMatch(/clears only at/);
  });
});

describe('with a moving subject', () => {
  it.each(['track', 'follow'])('%s keeps its place beside the subject all the way', (kind) => {
    const move = moveOf(kind)!;
    const f = flown(move, initialValues(move.parameters));
    const run = f.samples.map((s) => s.pose.at);
    const heading = (subject.headingDeg * Math.PI) / 180;
    const along = (p: { x: number; y: number }): number => p.x * Math.sin(heading) + p.y * Math.cos(heading);
    expect(along(run.at(-1)!) - along(run[0]!)).toBeCloseTo(80, 6);
    const across = run.map((p) => p.x * Math.cos(heading) - p.y * Math.sin(heading));
    for (const a of across) expect(a).toBeCloseTo(across[0]!, 6);
  });
  it('arrive and turn looks at where it comes from, then after it', () => {
    const move = moveOf('arrive-and-turn')!;
    const f = flown(move, initialValues(move.parameters));
    expect(f.start.headingDeg).toBeCloseTo(250, 6);
    expect(f.end.headingDeg).toBeCloseTo(70, 6);
  });
});

describe('moves built of others', () => {
  it('a spiral that does not widen or climb is the orbit of its radius', () => {
    const spiral = moveOf('spiral-out')!;
    const orbit = moveOf('orbit')!;
    const a = flown(spiral, {
      ...initialValues(spiral.parameters),
      startM: 30,
      endM: 30,
      startHeightM: 15,
      endHeightM: 15,
      turns: 1,
    });
    const b = flown(orbit, { ...initialValues(orbit.parameters), radiusM: 30, heightM: 15, turns: 1 });
    expect(a.lengthM / b.lengthM).toBeCloseTo(1, 2);
    for (const share of [0, 8, 12, 24])
      expect(distance(a.samples[share]!.pose.at, b.samples[share]!.pose.at)).toBeLessThan(0.3);
  });
  it('a fly-over ends over the subject, looking straight down', () => {
    const move = moveOf('fly-over')!;
    const { end } = flown(move, initialValues(move.parameters));
    expect(end.tiltDeg).toBe(-90);
    expect(Math.hypot(end.at.x - subject.aim.x, end.at.y - subject.aim.y)).toBeLessThan(1e-6);
  });
  it('a spiral flies at one speed although its radius grows', () => {
    const move = moveOf('spiral-out')!;
    const f = flown(move, { ...initialValues(move.parameters), startM: 10, endM: 80, speedMs: 3 });
    const steady = f.samples
      .filter((s) => s.timeS > 4 && s.timeS < f.totalS - 4)
      .map((s) => lengthOf(s.velocity));
    expect(Math.max(...steady) - Math.min(...steady)).toBeLessThan(0.15);
  });
});

describe('inputs', () => {
  it.each([
    ['hold', 0],
    ['push-in', 2],
    ['rise', 2],
    ['slide', 1],
    ['orbit', 2],
    ['top-down-turn', 1],
    ['low-to-high', 3],
    ['spiral-out', 5],
    ['pan', 1],
    ['tilt-reveal', 1],
    ['track', 1],
    ['slide-turn', 3],
    ['top-down-line', 1],
    ['top-down-spin', 2],
  ])('%s uses %i at once', (kind, count) => {
    const move = moveOf(kind)!;
    expect(flown(move, initialValues(move.parameters)).simultaneous).toBe(count);
  });
  it('a push in with the tilt fixed is one input less', () => {
    const move = moveOf('push-in')!;
    expect(flown(move, { ...initialValues(move.parameters), keepFramed: 0 }).inputs).toEqual(['forward']);
  });
});

describe('numbers that describe no path', () => {
  it.each([
    ['orbit', { radiusM: 0 }, /radius/],
    ['push-in', { startM: 20, endM: 30 }, /nearer/],
    ['pull-back', { startM: 30, endM: 20 }, /farther/],
    ['rise', { startM: 30, endM: 30 }, /higher/],
    ['descend', { startM: 10, endM: 20 }, /lower/],
    ['low-to-high', { startHeightM: 9, endHeightM: 9 }, /higher/],
  ])('%s with %o says why', (kind, change, why) => {
    const move = moveOf(kind)!;
    const shape = move.shape({ ...initialValues(move.parameters), ...change }, subject);
    expect(shape.ok ? '' : said(shape.reason)).toMatch(why);
  });
  it('a hold of no seconds cannot be timed', () => {
    const move = moveOf('hold')!;
    expect(fly(value(move.shape(initialValues(move.parameters), subject)), EASING, 'whole', 0).ok).toBe(
      false,
    );
  });
  it('an unknown kind is no move', () => expect(moveOf('loop')).toBeUndefined());
});

describe('drag handles on the plan', () => {
  const about = { aim: vec(30, 80, 4), heightM: 8, widthM: 10, headingDeg: 90, speedMs: 0 };
  it('a handle dragged somewhere lies there, as far as its numbers go', () => {
    for (const move of MOVES) {
      const values = initialValues(move.parameters);
      for (const handle of dragHandlesOf(move, values, about))
        fc.assert(
          fc.property(numberIn(0, 359), numberIn(20, 90), (deg, m) => {
            const to =
              handle.part === 'near'
                ? offset(about.aim, Math.round(deg), m, 0)
                : offset(about.aim, 180 + (move.kind === 'fly-through' ? 180 : 0), m, 0);
            const again =
              dragHandlesOf(move, withDragHandle(move, values, about, handle.part, to), about).find(
                (g) => g.part === handle.part,
              )?.at ?? vec(0, 0, 0);
            expect(Math.hypot(again.x - to.x, again.y - to.y), `${move.kind} ${handle.part}`).toBeLessThan(
              handle.part === 'near' ? 1.2 : 0.1,
            );
          }),
          { numRuns: 8 },
        );
    }
  });
});
