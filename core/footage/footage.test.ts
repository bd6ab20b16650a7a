import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/footage.json';
import {
  beatsToSeconds,
  capturedSeconds,
  framesPerFrame,
  slowestCleanFactor,
  steadySecondsWanted,
} from './captured';
import {
  lengthForSeconds,
  rampProgress,
  rampTimeAt,
  rampTiming,
  speedForSeconds,
  usableSeconds,
} from './ramp';
import { panoramaColumns, timelapse } from './still';
import { takeSeconds } from './takes';
import type { CutStyle, Aspect } from '../model';
import { fieldOfView, frameShape } from '../lens';
import cards from '../vectors/cards.json';
import type { Message } from '../messages';
import { numberIn, said } from '../testing';

const value = <T>(r: { ok: true; value: T } | { ok: false; reason: Message }): T => {
  if (!r.ok) throw new Error(said(r.reason));
  return r.value;
};
const positive = (max: number) => numberIn(0.2, max);
const cutStyle = fc.constantFrom<CutStyle>('in-motion', 'whole');

describe('seconds of the cut', () => {
  it.each(vectors.captured)('captured $capturedSeconds s', (c) => {
    const segments = c.segments.map(([timelineS = 0, speedFactor = 1]) => ({
      timelineS,
      speedFactor,
      endFactor: null,
    }));
    expect(capturedSeconds(segments)).toBeCloseTo(c.capturedSeconds, 3);
    expect(slowestCleanFactor(c.timelineFps, c.captureFps)).toBeCloseTo(c.slowestCleanFactor, 4);
    const slowest = Math.min(...segments.map((s) => s.speedFactor));
    expect(framesPerFrame(slowest, c.timelineFps, c.captureFps) >= 1 - 1e-9).toBe(c.clean);
  });
  it.each(vectors.beats)('$beats beats at $bpm', (c) =>
    expect(value(beatsToSeconds(c.beats, c.bpm))).toBeCloseTo(c.seconds, 3),
  );
  it('has no beats without a tempo', () => expect(beatsToSeconds(8, 0)).toMatchObject({ ok: false }));
  it('never wants less than the minimum hold', () =>
    expect([steadySecondsWanted(3, 5), steadySecondsWanted(8, 5)]).toEqual([5, 8]));
});

describe('eased moves', () => {
  it.each(vectors.moves)('$lengthM m at $speedMs m/s', (m) => {
    const t = value(rampTiming(m.lengthM, m.speedMs, m.accelMs2));
    expect(t.totalS).toBeCloseTo(m.totalSeconds, 3);
    expect(t.steadyS).toBeCloseTo(m.steadySeconds, 3);
    expect(t.peakMs).toBeCloseTo(m.peakSpeedMs, 3);
  });

  it('progress runs from 0 to 1 without turning back, never above the peak speed', () => {
    fc.assert(
      fc.property(positive(400), positive(20), positive(3), (length, speed, accel) => {
        const t = value(rampTiming(length, speed, accel));
        let before = 0;
        for (let i = 1; i <= 200; i += 1) {
          const now = rampProgress(t, (t.totalS * i) / 200);
          expect(now).toBeGreaterThanOrEqual(before - 1e-12);
          expect(((now - before) * length) / (t.totalS / 200)).toBeLessThanOrEqual(t.peakMs * 1.0001);
          before = now;
        }
        expect(before).toBeCloseTo(1, 9);
      }),
    );
  });

  it('the time at a share is where that share is reached', () => {
    fc.assert(
      fc.property(positive(300), positive(12), numberIn(0.01, 0.99), (length, speed, share) => {
        const t = value(rampTiming(length, speed, 1));
        expect(Math.abs(rampProgress(t, rampTimeAt(t, share)) - share)).toBeLessThan(0.01);
      }),
    );
  });

  it('solving for length and un-solving agree', () => {
    fc.assert(
      fc.property(positive(60), positive(15), positive(3), cutStyle, (wanted, speed, accel, cut) => {
        const length = value(lengthForSeconds(wanted, speed, accel, cut));
        expect(usableSeconds(value(rampTiming(length, speed, accel)), cut)).toBeCloseTo(wanted, 6);
      }),
    );
  });

  it('solving for speed and un-solving agree, or says why not', () => {
    fc.assert(
      fc.property(positive(60), positive(300), positive(3), cutStyle, (wanted, length, accel, cut) => {
        const speed = speedForSeconds(wanted, length, accel, cut);
        if (!speed.ok) {
          expect(wanted).toBeLessThan(2 * Math.sqrt(length / accel) + 1e-9);
          return;
        }
        expect(usableSeconds(value(rampTiming(length, speed.value, accel)), cut)).toBeCloseTo(wanted, 5);
      }),
    );
  });

  it.each([
    [0, 4, 1],
    [10, 0, 1],
    [10, 4, 0],
    [-1, 4, 1],
    [NaN, 4, 1],
  ])('gives a reason for length %s, speed %s, acceleration %s', (l, v, a) => {
    const timing = rampTiming(l, v, a);
    if (l === 0) expect(timing).toMatchObject({ ok: true, value: { totalS: 0 } });
    else expect(timing).toMatchObject({ ok: false, reason: { code: expect.stringMatching(/^path\./) } });
  });
});

describe('takes', () => {
  const plan = {
    takes: 3,
    moveS: 20,
    preRollS: 2,
    postRollS: 2,
    subjectMarginS: 1,
    setupS: 30,
    settleS: 4,
    resetLegS: 15,
  };
  it('same way pays the reset leg, there and back does not', () => {
    expect(takeSeconds({ ...plan, style: 'same-way' })).toEqual({
      takeS: 26,
      recordedTakeS: 26,
      betweenS: 19,
      airS: 30 + 3 * 26 + 2 * 19,
      recordedS: 78,
    });
    expect(takeSeconds({ ...plan, style: 'there-and-back' }).airS).toBe(30 + 78 + 8);
  });
  it('walks to the mark and back are on the card of every take', () => {
    const walked = takeSeconds({ ...plan, style: 'same-way', walkS: 7 });
    expect([walked.takeS, walked.recordedTakeS, walked.recordedS]).toEqual([26, 40, 120]);
    expect(walked.airS).toBe(30 + 120 + 2 * 19);
  });
  it('one take has nothing between', () =>
    expect(takeSeconds({ ...plan, takes: 1, style: 'same-way' }).airS).toBe(56));
});

describe('stills', () => {
  it.each(vectors.timelapse)('time-lapse of $clipSeconds s', (t) =>
    expect(timelapse(t.clipSeconds, t.fps, t.intervalSeconds)).toEqual({
      frames: t.frames,
      captureS: t.captureSeconds,
    }),
  );
  it.each(cards.panorama)('panorama over $sweepDeg°', (p) =>
    expect(
      panoramaColumns(
        p.sweepDeg,
        fieldOfView(p.equivalentMm, frameShape(p.aspect as Aspect)).horizontalDeg,
        p.overlap,
      ),
    ).toBe(p.frames),
  );
});

describe('a take with somebody in the frame', () => {
  it('is recorded a margin longer before and after, in the air as on the card', () => {
    const plan = {
      takes: 3,
      style: 'there-and-back' as const,
      moveS: 10,
      preRollS: 2,
      postRollS: 2,
      subjectMarginS: 0,
      setupS: 20,
      settleS: 4,
      resetLegS: 15,
    };
    const [without, withMargin] = [takeSeconds(plan), takeSeconds({ ...plan, subjectMarginS: 3 })];
    expect(withMargin.takeS).toBe(without.takeS + 6);
    expect(withMargin.recordedS).toBe(without.recordedS + 18);
    expect(withMargin.airS).toBe(without.airS + 18);
  });
});
