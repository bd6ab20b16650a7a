import { describe, expect, it } from 'vitest';
import { said } from '../testing';
import { filterStops, flickerSafe } from './equation';
import { simpleTask as task } from './fixtures';
import { shortfallOf } from './missing';
import { equivalents, solveKnob, stackOf } from './quick';
import { exposureRamp, rampSteps, rampWhy } from './ramp';
import { filterRegret, regretOf, shutterRegret, type ExposureAnswer, type ExposureTask } from './regret';
import { isoSteps, SHUTTER_STOPS, SHUTTERS } from './series';
import { dials, prepareExposure, solveExposure, whyFor } from './solve';
import { exposureSpan } from './span';
import { bracketPlan, lockRule } from './stills';
import { describeChoice, reasonsFor } from './tell';

/** A shutter of one over `d` at f/4 and base ISO, in light that is so many stops over. */
const answer = (d: number, offStops: number, more: Partial<ExposureTask> = {}, iso = 100): ExposureAnswer => {
  const t = task({ sceneEv100: Math.log2(16 * d) - Math.log2(iso / 100) + offStops, ...more });
  const choice = { aperture: 4, shutterS: 1 / d, iso, ndStops: 0, filterId: null, regret: 9 };
  return { task: t, choice: describeChoice(t, choice) };
};

describe('what a camera offers', () => {
  it('steps of ISO hold base and ceiling once each, whether they are in the series or not', () => {
    expect(isoSteps(100, 400)).toEqual([100, 125, 160, 200, 250, 320, 400]);
    expect(isoSteps(110, 210)).toEqual([110, 125, 160, 200, 210]);
    expect(isoSteps(100, 100)).toEqual([100]);
  });
  it('every shutter adds the stops of its time', () => {
    expect(SHUTTERS.map((t) => SHUTTER_STOPS.get(t))).toEqual(SHUTTERS.map((t) => -Math.log2(t)));
  });
  it('a shutter shorter than a pulse catches none whole, however near to nothing it is', () => {
    expect([1 / 100, 1 / 50, 3 / 100, 1 / 8000, 1 / 20_000].map((t) => flickerSafe(t, 50))).toEqual([
      true,
      true,
      true,
      false,
      false,
    ]);
  });
  it('what is asked for is held to its rules in words a person reads', () => {
    expect(() => filterStops(0.5)).toThrow('1 or more');
    const dark = { ev100: 2, aperture: 8, shutterS: 1 / 500, iso: 100, ndStops: 0 };
    // log2(64 · 500) − 2: a filter would have to brighten by 12.97 stops.
    expect(solveKnob(dark, 'ndStops')).toMatchObject({
      reason: { values: { stops: { quantity: 'stops', value: expect.closeTo(12.97, 2), digits: 1 } } },
    });
    expect(solveKnob({ ...dark, ev100: Math.log2(64 * 500) }, 'ndStops')).toEqual({ ok: true, value: 0 });
    expect(stackOf([0.5])).toMatchObject({ reason: { code: 'exposure.quick.factor' } });
    expect(stackOf([1, 8])).toMatchObject({ ok: true, value: { factor: 8 } });
  });
  it('equivalents are no longer than what is asked, that one included', () => {
    const own = { aperture: 4, shutterS: 1 / 50, iso: 400, ndStops: 0 };
    const list = equivalents(own, [4], isoSteps(100, 1600), 1 / 50);
    expect(Math.max(...list.map((s) => s.shutterS))).toBe(1 / 50);
    // A third of a stop each: 1/50 at 400, 1/60 at 500 and so on; 1/48 and 1/96 stand beside 1/50 and 1/100.
    expect(list.slice(0, 3).map((s) => [Math.round(1 / s.shutterS), s.iso])).toEqual([
      [50, 400],
      [60, 500],
      [80, 640],
    ]);
    // A sixth of a stop is the most: half of that off either way finds the same.
    const between = { ...own, iso: 400 * 2 ** (1 / 6) };
    expect(equivalents(between, [4], [400, 500], 1 / 50).filter((s) => s.shutterS === 1 / 50)).toHaveLength(
      2,
    );
  });
});

describe('light that is borne', () => {
  const low = (more: Partial<ExposureTask>) => exposureSpan(task(more), 0)!;
  /** The longest and the shortest shutter a span at f/4 and base ISO stands for, one over s. */
  const ends = (more: Partial<ExposureTask>): number[] => {
    const { lowEv, highEv } = low(more);
    return [2 ** (lowEv + 0.5 - 4), 2 ** (highEv - 0.5 - 4)].map((d) => Math.round(d * 10) / 10);
  };
  it('of video, stills and lapses is from the longest shutter to the shortest of each', () => {
    // 150° to 216° at 25 fps is 1/60 to 1/41.7; at the very edge of the band it counts.
    expect(ends({})).toEqual([48, 60]);
    expect(ends({ bandLowDeg: 180, bandHighDeg: 180 })).toEqual([50, 50]);
    expect(ends({ bandLowDeg: 180.02, bandHighDeg: 216 })).toEqual([48, 48]);
    // Nearly still in the dark a shutter may be as long as the frame.
    expect(ends({ still: true, sceneEv100: 2 })).toEqual([25, 60]);
    expect(ends({ aim: { by: 'at-most', seconds: 1 / 100 } })).toEqual([100, 8000]);
    expect(ends({ aim: { by: 'at-most', seconds: 1 / 98 } })[0]).toBe(100);
    expect(ends({ aim: { by: 'at-most', seconds: 1 / 102 } })[0]).toBe(120);
    expect(ends({ aim: { by: 'about', seconds: 1 / 50, mostS: 1 } })).toEqual([25, 100]);
  });
  it('of lamps is what catches their pulses whole, where a shutter in the band does', () => {
    expect(ends({ mainsHz: 50 })).toEqual([50, 50]);
    expect(ends({ mainsHz: 60 })).toEqual([60, 60]);
    // None does: all of them stay.
    expect(ends({ mainsHz: 50, bandLowDeg: 86, bandHighDeg: 112 })).toEqual([100, 100]);
    expect(ends({ mainsHz: 50, bandLowDeg: 40, bandHighDeg: 60 })).toEqual([160, 200]);
  });
  it('reckons with the sharp apertures alone, their ends included, and with what is wanted lighter or darker', () => {
    const apertures = [2, 2.8, 4, 8, 11];
    const span = low({ apertures, sharp: [2.8, 8] });
    expect(span.lowEv).toBeCloseTo(2 * Math.log2(2.8) + Math.log2(48) - 0.5, 9);
    expect(span.highEv).toBeCloseTo(6 + Math.log2(60) + 0.5, 9);
    expect(low({ apertures }).highEv).toBeCloseTo(2 * Math.log2(11) + Math.log2(60) + 0.5, 9);
    const lighter = low({ biasStops: 1.5 });
    expect(lighter.lowEv - low({}).lowEv).toBeCloseTo(1.5, 9);
    expect(lighter.highEv - low({}).highEv).toBeCloseTo(1.5, 9);
    // A band no shutter lies in bears nothing.
    expect(exposureSpan(task({ bandLowDeg: 1, bandHighDeg: 0.9 }), 0)).toBeNull();
  });
});

describe('what is said at a bound', () => {
  const values = (d: number, off: number, more: Partial<ExposureTask> = {}, iso = 100) =>
    Object.fromEntries(reasonsFor(answer(d, off, more, iso)).map((m) => [m.code, m.values]));
  it('names how far, how long and how high', () => {
    const stops = { quantity: 'stops', value: expect.closeTo(1.2, 9), digits: 1 };
    const degrees = (value: number) => ({ quantity: 'degrees', value: expect.closeTo(value, 9), digits: 0 });
    expect(values(50, 1.2)['exposure.over']).toEqual({ stops });
    expect(values(50, -1.2)['exposure.under.hand']).toEqual({ stops });
    expect(values(50, -1.2, {}, 1600)).toMatchObject({
      'exposure.under.ceiling': { stops },
      'exposure.iso-raised': { iso: 1600 },
    });
    expect(values(100, 0)['exposure.angle.short']).toEqual({ angle: degrees(90) });
    expect(values(25, 0)['exposure.angle.long']).toEqual({ angle: degrees(360) });
    expect(values(25, 0, { still: true, sceneEv100: 3 })['exposure.angle.long-still']).toEqual({
      angle: degrees(360),
    });
    expect(values(48, 0, { mainsHz: 50 })['exposure.flickers']).toEqual({ hertz: 50 });
    expect(Object.keys(values(50, 0, { mainsHz: 50 }))).not.toContain('exposure.flickers');
  });
  it('a shutter at the edge of the band is in it, one beyond by more than rounding is not', () => {
    const marks = (bandLowDeg: number, bandHighDeg: number) => {
      const { choice } = answer(50, 0, { bandLowDeg, bandHighDeg });
      return [choice.inBand, ...choice.marks];
    };
    expect(marks(180, 180)).toEqual([true]);
    expect(marks(180.005, 216)).toEqual([true]);
    expect(marks(180.02, 216)).toEqual([false, 'strobes']);
    expect(marks(150, 179.995)).toEqual([true]);
    expect(marks(150, 179.98)).toEqual([false, 'smears']);
    const edge = { bandLowDeg: 180.005, bandHighDeg: 216 };
    expect(shutterRegret(1 / 50, task(edge))).toBe(0);
    // An angle that is aimed at is told as one.
    const aimed = answer(100, 0, { aim: { by: 'angle' } } as Partial<ExposureTask>);
    expect(aimed.choice.marks).toEqual(['strobes']);
    expect(shutterRegret(1 / 100, aimed.task)).toBe(shutterRegret(1 / 100, task()));
  });
  it('another filter than in the air is named only there', () => {
    const other = (flightFilterId: string | null | undefined) =>
      Object.keys(values(50, 0, { flightFilterId })).includes('exposure.other-filter');
    expect([other(undefined), other(null), other('nd8')]).toEqual([false, false, true]);
  });
  it('a bracket and what must not change name what they are about', () => {
    expect(bracketPlan(5, 'sunInFrame').why.values).toEqual({ stops: 20 });
    expect(bracketPlan(7, 'sunInFrame').why.values).toEqual({ stops: 20 });
    expect((['panorama', 'bracket', 'time-lapse'] as const).map((k) => lockRule(k).values)).toEqual([
      { kind: 'panorama' },
      { kind: 'bracket' },
      { kind: 'lapse' },
    ]);
    // Six of ten stops beyond a frame, in steps that just cover them, are enough.
    expect(bracketPlan(7, 'sunInFrame').why.code).toBe('exposure.bracket.holds');
  });
  it('why a shutter of a still is told as a shutter, one of video as a band', () => {
    const aim = (more: Partial<ExposureTask>): string => {
      const got = solveExposure(task({ sceneEv100: Math.log2(800), ...more }));
      if (!got.ok) throw new Error(said(got.reason));
      return JSON.stringify(whyFor(got.value));
    };
    expect(aim({})).toContain('"aim":"band"');
    expect(aim({ aim: { by: 'at-most', seconds: 1 / 50 } })).toContain('"aim":"shutter"');
  });
});

describe('costs and dials', () => {
  it('a filter costs its own, a second filter in the air a landing; a share of a stop more does not', () => {
    const filters = [
      { id: 'nd8', factor: 8, cost: 0.25 },
      { id: 'vnd', factor: 16, cost: 0.5 },
    ];
    const flown = task({ filters, flightFilterId: 'nd8', flightStops: 3 });
    expect([filterRegret('vnd', 4, task({ filters })), filterRegret('nd8', 3, task({ filters }))]).toEqual([
      0.5, 0.25,
    ]);
    expect(filterRegret('nd8', 3.01, flown)).toBe(0.25);
    expect(filterRegret('gone', 3, task({ filters }))).toBe(0);
    expect(filterRegret(null, 0, task({ filters: [{ id: 'nd8', factor: 8, cost: 0.25 }] }))).toBe(0);
  });
  it('an error costs a stop a stop where it is within the tolerance, dark or bright', () => {
    const of = (off: number) => regretOf(answer(50, off).task, { ...answer(50, off).choice }, null);
    expect([of(0.4), of(-0.4), of(0)]).toEqual([
      expect.closeTo(0.4, 9),
      expect.closeTo(0.4, 9),
      expect.closeTo(0, 9),
    ]);
  });
  it('what is held by hand leaves one notch; the longest shutter is a whole frame, or half a second of a still', () => {
    const of = (more: Partial<ExposureTask>) => dials(task(more));
    expect(of({ fixed: { shutterS: 1 / 51, aperture: 5, iso: 333 } })).toMatchObject({
      shutters: [{ value: 1 / 51, stops: Math.log2(51) }],
      apertures: [{ value: 5 }],
      isos: [{ value: 333 }],
    });
    const longest = (more: Partial<ExposureTask>) => Math.max(...of(more).shutters.map((n) => n.value));
    expect([longest({}), longest({ aim: { by: 'at-most', seconds: 1 / 50 } })]).toEqual([1 / 25, 0.5]);
    expect(longest({ aim: { by: 'about', seconds: 1, mostS: 2 } })).toBe(2);
    // A longer one costs more of each aim: notches are remembered apart.
    const regret = (seconds: number) =>
      of({ aim: { by: 'at-most', seconds } }).shutters.find((n) => n.value === 1 / 50)?.regret;
    expect([regret(1 / 100), regret(1 / 50)]).toEqual([2.5, 0]);
    const first = (more: Partial<ExposureTask>) => of(more).shutters[0]!.value;
    expect([first({}), first({ aim: { by: 'about', seconds: 1, mostS: 2 } })]).toEqual([1 / 50, 1]);
  });
  it('equal base and ceiling are an ISO, a filter of factor 1 a filter; impossible tasks are told as such', () => {
    const told = (more: Partial<ExposureTask>) => {
      const got = solveExposure(task({ sceneEv100: Math.log2(800), ...more }));
      return got.ok ? got.value.choice.iso : got.reason.code;
    };
    expect(told({ isoBase: 100, isoCeiling: 100 })).toBe(100);
    expect(told({ filters: [{ id: 'clear', factor: 1 }] })).toBe(100);
    expect(told({ filters: [{ id: 'odd', factor: 0.9 }] })).toBe('exposure.none.factor');
    expect(told({ isoBase: 100, isoCeiling: 99 })).toBe('exposure.none.iso');
    expect(told({ captureFps: 100_000 })).toBe('exposure.none.shutter');
    expect(prepareExposure(task({ apertures: [] }))(9, null)).toBeNull();
    expect(prepareExposure(task({ captureFps: 100_000 }))(9, null)).toBeNull();
  });
});

describe('what would help, at its bounds', () => {
  const say = (a: ExposureAnswer) => shortfallOf(a)?.workable.map((w) => w.say) ?? [];
  it('a filter is named as it is sold: of exactly three stops the one of three', () => {
    // What is missing is more than what a shutter in the band at base ISO leaves over.
    const factor = (off: number) => say(answer(60, off))[0]?.values?.['factor'];
    expect([factor(3), factor(3.001), factor(2.999)]).toEqual([8, 16, 8]);
  });
  it('names what is held by hand, and only that', () => {
    const held = say(answer(50, 3, { fixed: { shutterS: 1 / 50, iso: undefined } as never }));
    expect(JSON.stringify(held[0])).toContain('"knob":"shutterS"');
    expect(JSON.stringify(held[0])).not.toContain('"knob":"iso"');
    expect(say(answer(50, 3)).map((m) => m.code)).not.toContain('exposure.free');
  });
  it('a longer shutter is named only where it may not be long already', () => {
    const codes = (more: Partial<ExposureTask>) => say(answer(50, -1, more, 1600)).map((m) => m.code);
    expect(codes({})[0]).toBe('exposure.longer');
    expect(codes({ still: true })).toEqual(['exposure.wait', 'exposure.wider']);
  });
});

describe('a ramp by hand', () => {
  const lapse = task({ apertures: [4], isoCeiling: 400, aim: { by: 'about', seconds: 1 / 8, mostS: 1 / 8 } });
  const run = (stops: number, count = 40, start = { shutterS: 1 / 50, iso: 100 }) =>
    exposureRamp(lapse, start, (s) => 9 + (stops * s) / (count - 1), { count, everyS: 1 });
  it('in failing light lengthens the shutter by its notches, twins left out, then raises the ISO to its ceiling', () => {
    const { steps, outAtFrame } = run(-4.62);
    const shown = steps.map((s) => (s.dial === 'iso' ? `ISO ${s.iso}` : `1/${Math.round(1 / s.shutterS)}`));
    expect(shown).toEqual([
      ...['1/40', '1/30', '1/25', '1/20', '1/15', '1/13', '1/10', '1/8'],
      ...['ISO 125', 'ISO 160', 'ISO 200', 'ISO 250', 'ISO 320', 'ISO 400'],
    ]);
    // 1/50 to 1/8 is 2.64 stops, ISO 400 two more: it lasts.
    expect(outAtFrame).toBeNull();
    expect(said(rampSteps(run(-0.4)))).toMatch(/^.*1\/40/);
    expect(said(rampSteps(run(-4.62)))).toContain('ISO');
  });
  it('says from where on it is out, by how much and on which side', () => {
    const dark = rampWhy(run(-7));
    expect(dark).toMatchObject({ code: 'exposure.ramp.out', values: { bright: 'no' } });
    expect(dark.values).toMatchObject({
      stops: { quantity: 'stops', value: expect.closeTo(7 - Math.log2(50 / 8) - 2, 9), digits: 1 },
    });
    expect(rampWhy(run(9))).toMatchObject({ values: { bright: 'yes' } });
    // Growing light: ISO first, and 1/8000 is the shortest there is.
    expect(
      run(9, 40, { shutterS: 1 / 50, iso: 200 })
        .steps.slice(0, 4)
        .map((s) => s.dial),
    ).toEqual(['iso', 'iso', 'iso', 'shutter']);
  });
  it('light that stays moves nothing', () => {
    expect(run(0)).toEqual({ steps: [], outAtFrame: null, restStops: 0 });
  });
});
