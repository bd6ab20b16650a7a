import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { exposureRamp, rampSetting, rampSteps, rampWhy } from './ramp';
import { lapseShutter } from './stills';
import { dials } from './solve';
import type { ExposureTask } from './regret';

const task = (everyS: number, isoCeiling: number): ExposureTask => ({
  sceneEv100: 8,
  apertures: [2.8, 4, 5.6],
  isoBase: 100,
  isoCeiling,
  filters: [],
  captureFps: 25,
  bandLowDeg: 144,
  bandHighDeg: 216,
  biasStops: 0,
  mainsHz: null,
  still: false,
  fixed: {},
  aim: lapseShutter(everyS),
});
const lightOf = ({ shutterS, iso }: { shutterS: number; iso: number }): number =>
  Math.log2(shutterS) + Math.log2(iso);

describe('the ramp of a time-lapse', () => {
  it('keeps each frame as bright as the first to a fifth of a stop, for as long as there is a notch left', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        numberIn(0.5, 8),
        fc.constantFrom(400, 3200),
        numberIn(-6, 6),
        fc.constantFrom(1 / 4, 1 / 30, 1 / 500),
        fc.constantFrom(100, 400),
        (everyS, ceiling, wholeStops, shutterS, iso) => {
          const t = task(everyS, ceiling);
          const frames = { count: 250, everyS };
          const start = { shutterS: Math.min(shutterS, 1 / 4), iso };
          const lastS = (frames.count - 1) * everyS;
          const evAt = (s: number): number => 8 + (wholeStops * s) / lastS;
          const ramp = exposureRamp(t, start, evAt, frames);
          for (const { dial } of ramp.steps) reached.when(dial, true);
          reached.when(ramp.outAtFrame === null ? 'lasted' : 'out', true);
          const until = ramp.outAtFrame ?? frames.count + 1;
          let worst = 0;
          for (let n = 1; n < until; n += 1) {
            const s = (n - 1) * everyS;
            const off = evAt(s) - 8 + lightOf(rampSetting(ramp, start, s)) - lightOf(start);
            worst = Math.max(worst, Math.abs(off));
          }
          expect(worst).toBeLessThanOrEqual(0.21);
          if (ramp.outAtFrame !== null)
            expect(Math.sign(ramp.restStops), 'out on the side the light went').toBe(Math.sign(wholeStops));
        },
      ),
      { numRuns: 200 },
    );
    for (const what of ['lasted', 'out', 'iso', 'shutter']) reached.atLeast(what, 20);
  });
  it('one notch a step, one way in light that goes one way, and the noise of a high ISO leaves first', () => {
    const t = task(4, 3200);
    const start = { shutterS: 1 / 2, iso: 800 };
    const brighter = exposureRamp(t, start, (s) => s / 120, { count: 250, everyS: 4 });
    const firstShutter = brighter.steps.findIndex((s) => s.dial === 'shutter');
    expect(brighter.steps.slice(0, firstShutter).map((s) => s.iso)).toEqual([
      640, 500, 400, 320, 250, 200, 160, 125, 100,
    ]);
    expect(brighter.steps.slice(firstShutter).every((s) => s.dial === 'shutter' && s.iso === 100)).toBe(true);
    const darker = exposureRamp(t, start, (s) => -s / 300, { count: 250, everyS: 4 });
    expect(darker.steps[0]).toMatchObject({ dial: 'shutter', shutterS: 0.6 });
    const longest = Math.max(...darker.steps.map((s) => s.shutterS));
    expect(longest).toBeLessThanOrEqual(lapseShutter(4).by === 'about' ? 1 : 0);
    const known = new Set(dials(t).isos.map((n) => n.value));
    expect(darker.steps.every((s) => known.has(s.iso))).toBe(true);
  });
  it('in steady light nothing moves, and a dial fixed by hand stays', () => {
    const frames = { count: 100, everyS: 2 };
    const start = { shutterS: 1 / 4, iso: 100 };
    expect(exposureRamp(task(2, 3200), start, () => 5, frames)).toMatchObject({
      steps: [],
      outAtFrame: null,
    });
    const byHand = { ...task(2, 3200), fixed: { iso: 100 } };
    const ramp = exposureRamp(byHand, start, (s) => s / 100, frames);
    expect(ramp.steps.length).toBeGreaterThan(3);
    expect(ramp.steps.every((s) => s.dial === 'shutter')).toBe(true);
  });
  it('names the frame from which no dial follows any more, how far off the last one is, and to which side', () => {
    const still = { ...task(2, 3200), fixed: { iso: 100, shutterS: 1 / 4 } };
    const start = { shutterS: 1 / 4, iso: 100 };
    const frames = { count: 10, everyS: 2 };
    // A tenth of a stop a frame: the fourth is 0.3 off, more than half a notch; the tenth 0.9.
    const out = exposureRamp(still, start, (s) => s / 20, frames);
    expect(out).toMatchObject({ steps: [], outAtFrame: 4 });
    expect(out.restStops).toBeCloseTo(0.9, 9);
    const why = rampWhy(out);
    expect([why.code, why.values['frame']]).toEqual(['exposure.ramp.out', 4]);
    expect(rampWhy({ ...out, restStops: -0.9 }).values['bright']).not.toEqual(why.values['bright']);
    expect(rampWhy({ ...out, restStops: -0.9 }).values['stops']).toEqual(why.values['stops']);
    // What comes after the last frame is nobody's.
    const after = exposureRamp(still, start, (s) => (s < 20 ? 0 : 5), frames);
    expect(after).toMatchObject({ outAtFrame: null, restStops: 0 });
    expect(rampWhy(after).code).toBe('exposure.ramp.why');
    // Out for a while and back again is not out.
    const dip = exposureRamp(still, start, (s) => (s === 6 ? 1 : 0), frames);
    expect(dip.outAtFrame).toBeNull();
  });
  it('says each step by its dial, or that there is none', () => {
    const start = { shutterS: 1 / 4, iso: 200 };
    const ramp = exposureRamp(task(2, 3200), start, (s) => s / 10, { count: 20, everyS: 2 });
    const first = rampSteps({ ...ramp, steps: ramp.steps.slice(0, 1) });
    expect(JSON.stringify(first.values['steps'])).toContain('"setting":"ISO 160"');
    expect(ramp.steps[0]).toMatchObject({ frame: 3, atS: 4, dial: 'iso', iso: 160, shutterS: 1 / 4 });
    expect(rampSteps({ ...ramp, steps: [] }).code).toBe('exposure.ramp.none');
  });
});
