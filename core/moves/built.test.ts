import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, lengthOf, turnBetween, vec } from '../geometry';
import footage from '../vectors/footage.json';
import { context, EASING, flown, subject, value } from './fixtures';
import { combined, NOTHING_ADDED, reversed } from './combine';
import { fitSeconds } from './fit';
import { fly } from './trajectory';
import { initialValues } from './parameters';
import { knobsOf, solveBy } from './solve';
import { MOVES, moveOf } from './registry';
import { PLAIN_CONTEXT, type MoveContext, type MoveShape } from './types';
import { timingOf } from './timing';
import type { MoveValues } from '../model';
import { numberIn, said } from '../testing';

describe('combined moves', () => {
  const added = fc.record({
    riseM: numberIn(-5, 60),
    awayM: numberIn(-5, 80),
    aroundDeg: numberIn(-180, 180),
    yawDeg: numberIn(-40, 40),
    tiltDeg: numberIn(-20, 20),
  });
  const base = fc.constantFrom(
    'hold',
    'pull-back',
    'push-in',
    'rise',
    'slide',
    'orbit',
    'top-down-turn',
    'pan',
    'four-pass',
    'route',
    'time-lapse',
  );
  const shapeOf = (kind: string): MoveShape =>
    value(moveOf(kind)!.shape(initialValues(moveOf(kind)!.parameters), subject, context));

  it('adding nothing changes nothing', () => {
    for (const m of MOVES) {
      const s = shapeOf(m.kind);
      expect(combined(s, NOTHING_ADDED, subject)).toBe(s);
    }
  });
  it('rises, goes away and goes round by what was added, without a jump, and stays as gentle as it was', () => {
    fc.assert(
      fc.property(base, added, (kind, a) => {
        const own = shapeOf(kind);
        const shape = combined(own, a, subject);
        const out = (p: { x: number; y: number }): number =>
          Math.hypot(p.x - subject.aim.x, p.y - subject.aim.y);
        const [before, after] = [own.poseAt(1).at, shape.poseAt(1).at];
        expect(Math.abs(after.z - before.z - a.riseM)).toBeLessThan(0.02);
        expect(Math.abs(out(after) - Math.max(0, out(before) + a.awayM))).toBeLessThan(0.02);
        expect(distance(shape.poseAt(0).at, own.poseAt(0).at)).toBeLessThan(1e-6);
        const flight = fly(shape, EASING, 'whole', 8);
        if (!flight.ok) return;
        for (const s of flight.value.samples)
          expect(lengthOf(s.velocity)).toBeLessThanOrEqual(flight.value.peakSpeedMs * 1.6 + 0.6);
      }),
      { numRuns: 120 },
    );
  });
  it('a pull back that rises and goes round is as long as its path', () => {
    const shape = combined(shapeOf('pull-back'), { ...NOTHING_ADDED, riseM: 30, aroundDeg: 60 }, subject);
    let sum = 0;
    for (let i = 1; i <= 2000; i += 1)
      sum += distance(shape.poseAt((i - 1) / 2000).at, shape.poseAt(i / 2000).at);
    expect('lengthM' in shape.extent && shape.extent.lengthM / sum).toBeCloseTo(1, 3);
    expect(value(fly(shape, EASING, 'whole', 5)).simultaneous).toBeGreaterThan(3);
    for (const share of [0, 0.3, 1]) {
      const p = shape.poseAt(share);
      expect(
        Math.abs(
          turnBetween(
            p.headingDeg,
            (Math.atan2(subject.aim.x - p.at.x, subject.aim.y - p.at.y) * 180) / Math.PI,
          ),
        ),
      ).toBeLessThan(1e-6);
    }
  });
});

describe('flown backwards', () => {
  it.each(MOVES.filter((m) => m.reversible).map((m) => [m.kind, m] as const))(
    '%s takes the same path and time, ends exchanged',
    (_, move) => {
      const shape = value(move.shape(initialValues(move.parameters), subject, context));
      const [there, back] = [
        value(fly(shape, EASING, 'in-motion', 6)),
        value(fly(reversed(shape), EASING, 'in-motion', 6)),
      ];
      expect(back.totalS).toBeCloseTo(there.totalS, 6);
      expect(back.lengthM).toBeCloseTo(there.lengthM, 3);
      if (shape.extent.by !== 'hold') expect(distance(back.start.at, there.end.at)).toBeLessThan(1e-9);
      expect(reversed(reversed(shape)).poseAt(0.3)).toEqual(shape.poseAt(1 - 0.7));
    },
  );
});

describe('timing', () => {
  const extents = MOVES.map(
    (m) => [m.kind, value(m.shape(initialValues(m.parameters), subject, context)).extent] as const,
  ).filter(([, e]) => e.by !== 'hold');
  it.each(extents)('%s: share and time undo each other and never run backwards', (_, extent) => {
    const t = value(timingOf(extent, EASING, 5));
    expect(t.steadyS).toBeLessThanOrEqual(t.totalS + 1e-9);
    expect(t.steadyFromS + t.steadyS).toBeLessThanOrEqual(t.totalS + 1e-6);
    let before = -1e-9;
    for (let i = 0; i <= 50; i += 1) {
      const share = t.shareAt((t.totalS * i) / 50);
      expect(share).toBeGreaterThanOrEqual(before - 1e-9);
      before = share;
      if (share > 0.01 && share < 0.99) expect(t.shareAt(t.timeAt(share))).toBeCloseTo(share, 2);
    }
    expect(before).toBeCloseTo(1, 6);
  });
  it('an even speed along a route is the closed form of a straight line, with constant ramps', () => {
    fc.assert(
      fc.property(numberIn(5, 300), numberIn(0.5, 8), (lengthM, v) => {
        const t = value(timingOf({ by: 'speeds', lengthM, speedAt: () => v }, EASING, 5));
        const exact = lengthM >= v * v ? lengthM / v + v : 2 * Math.sqrt(lengthM);
        expect(t.totalS / exact).toBeCloseTo(1, 1);
      }),
    );
  });
  it('legs add up, and the steady part is that of the shortest pass', () => {
    const legs = [
      { by: 'path', lengthM: 40, speedMs: 2 },
      { by: 'wait', seconds: 4 },
      { by: 'path', lengthM: 20, speedMs: 2 },
    ] as const;
    const one = (lengthM: number) => value(timingOf({ by: 'path', lengthM, speedMs: 2 }, EASING, 5));
    const t = value(timingOf({ by: 'legs', legs }, EASING, 5));
    expect(t.totalS).toBeCloseTo(one(40).totalS + 4 + one(20).totalS, 9);
    expect(t.steadyS).toBeCloseTo(one(20).steadyS, 9);
  });
});

describe('solving', () => {
  const cases = MOVES.filter((m) => m.kind !== 'hold').flatMap((m) =>
    knobsOf(m).map((k) => [`${m.kind} by ${k.id}`, m, k] as const),
  );
  it.each(cases)('%s: solved and flown again gives what was asked', (_, move, knob) => {
    const values = initialValues(move.parameters);
    const measure = (v: MoveValues): number | null => {
      const s = move.shape(v, subject, context);
      const f = s.ok ? fly(s.value, EASING, 'whole', 8) : s;
      return f.ok ? f.value.totalS : null;
    };
    const now = measure(values)!;
    for (const wanted of [now * 0.7, now * 1.4]) {
      const solved = solveBy(move, values, knob, values[knob.id] ?? 0, measure, wanted);
      if (!solved.ok) {
        expect(said(solved.reason)).toMatch(/nearest|no path|finds/);
        continue;
      }
      expect(measure(solved.value)!).toBeCloseTo(wanted, 2);
    }
  });
  it('agrees with the closed form', () => {
    const move = moveOf('slide')!;
    const values = initialValues(move.parameters);
    const usable = (v: MoveValues): number => flown(move, v).usableS;
    const closed = value(
      fitSeconds('speed', move, values, (v) => move.shape(v, subject), EASING, 'in-motion', 9),
    );
    const solved = value(
      solveBy(
        move,
        values,
        knobsOf(move).find((k) => k.id === 'speedMs')!,
        values['speedMs']!,
        usable,
        9,
      ),
    );
    expect(solved['speedMs']).toBeCloseTo(closed['speedMs']!, 4);
  });
});

describe('special moves', () => {
  it.each(footage.timelapse)('time-lapse of $clipSeconds s every $intervalSeconds s', (t) => {
    const move = moveOf('time-lapse')!;
    const f = value(
      fly(
        value(
          move.shape({ ...initialValues(move.parameters), intervalS: t.intervalSeconds }, subject, {
            ...context,
            clipS: t.clipSeconds,
            timelineFps: t.fps,
          }),
        ),
        EASING,
        'whole',
        5,
      ),
    );
    expect(f.frames!.count).toBe(t.frames);
    expect(f.totalS).toBeCloseTo(t.captureSeconds, 6);
  });
  it('a gap smaller than the aircraft is no path; the sentence names what would do', () => {
    const move = moveOf('fly-through')!;
    const r = move.shape({ ...initialValues(move.parameters), gapWidthM: 0.3 }, subject, context);
    expect(r.ok ? '' : said(r.reason)).toMatch(
      /0\.3 m by 10\.0 m; Test itself is 0\.40 m by 0\.12 m.*2\.4 m by 2\.1 m/,
    );
    expect(value(move.shape(initialValues(move.parameters), subject, context)).marks![0]!.say).toMatch(/gap/);
  });
  it('a route goes through its points and refuses doubled ones', () => {
    const move = moveOf('route')!;
    const shape = value(move.shape({ keepFramed: 0, tiltDeg: -10 }, subject, context));
    for (const p of context.points) {
      const near = Math.min(
        ...Array.from({ length: 2001 }, (_, i) => distance(shape.poseAt(i / 2000).at, vec(p.xM, p.yM, p.zM))),
      );
      expect(near).toBeLessThan(0.15);
    }
    const doubled = move.shape({}, subject, {
      ...context,
      points: [context.points[0]!, context.points[0]!, context.points[1]!],
    });
    expect(doubled.ok ? '' : said(doubled.reason)).toMatch(/Points 1 and 2/);
    expect(move.shape({}, subject, PLAIN_CONTEXT).ok).toBe(false);
    const f = value(fly(shape, EASING, 'whole', 5));
    expect(f.peakYawDegS).toBeLessThan(60 * 1.6);
  });
  it('an FPV line keeps the horizon, faster the more the camera is set up', () => {
    const move = moveOf('fpv-line')!;
    const speedAt = (fixedTiltDeg: number | null, horizonDeg = 0): number => {
      const s = value(
        move.shape({ ...initialValues(move.parameters), horizonDeg }, subject, {
          ...context,
          craft: { ...context.craft!, fixedTiltDeg },
        }),
      );
      return s.extent.by === 'path' ? s.extent.speedMs : NaN;
    };
    expect(speedAt(30)).toBeGreaterThan(speedAt(20));
    expect(speedAt(null)).toBeCloseTo(speedAt(25), 9);
    expect(speedAt(20, -5)).toBeCloseTo(speedAt(25, 0), 9);
    const why = (craft: MoveContext['craft']): string => {
      const r = move.shape({ ...initialValues(move.parameters), horizonDeg: 25 }, subject, {
        ...context,
        craft,
      });
      return r.ok ? '' : said(r.reason);
    };
    expect(why(context.craft)).toMatch(/backwards/);
    expect(why(null)).toMatch(/choose an aircraft/);
    expect(why({ ...context.craft!, dragAreaM2: 0 })).toMatch(/drag area/);
  });
  it('a panorama sweeps what it says and overlaps', () => {
    const move = moveOf('panorama')!;
    const f = value(
      fly(
        value(move.shape({ ...initialValues(move.parameters), sweepDeg: 180, rows: 2 }, subject, context)),
        EASING,
        'whole',
        5,
      ),
    );
    const columns = Math.ceil(180 / (context.horizontalFovDeg * 0.7));
    expect(f.frames!.count).toBe(2 * columns);
    expect(
      Math.abs(
        turnBetween(f.start.headingDeg, f.samples[Math.floor(f.samples.length / 2) - 3]!.pose.headingDeg),
      ),
    ).toBeGreaterThan(120);
    expect(f.lengthM).toBe(0);
  });
  it('four passes go there, back, and both again across', () => {
    const f = flown(moveOf('four-pass')!, initialValues(moveOf('four-pass')!.parameters));
    expect(f.lengthM).toBeGreaterThan(230);
    expect(Math.abs(turnBetween(f.start.headingDeg, f.end.headingDeg))).toBeCloseTo(90, 6);
    expect(distance(f.start.at, f.end.at)).toBeLessThan(1e-6);
  });
  it('a bracket counts its stills', () => {
    const move = moveOf('bracket')!;
    for (const stills of [3, 5, 7])
      expect(value(move.shape({ ...initialValues(move.parameters), stills }, subject)).frames!.count).toBe(
        stills,
      );
  });
});
