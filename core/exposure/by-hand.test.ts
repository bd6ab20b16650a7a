import { describe, expect, it } from 'vitest';
import type { Message } from '../messages';
import { simpleTask } from './fixtures';
import { shortfallOf } from './missing';
import {
  apertureRegret,
  errorRegret,
  filterRegret,
  isoRegret,
  mayBeLong,
  regretOf,
  shutterRegret,
  type ExposureChoice,
  type ExposureTask,
} from './regret';
import { describeChoice, reasonsFor, whyNot } from './tell';
import { exposureSpan, spanHolds } from './span';
import { solveKnob } from './quick';
import { solveExposure } from './solve';
import { bracketPlan, lapseShutter, stillShutter } from './stills';

const task = (more: Partial<ExposureTask> = {}): ExposureTask =>
  simpleTask({ filters: [{ id: 'nd8', factor: 8, cost: 0.25 }], ...more });
const code = (m: Message): string => m.code;

describe('regret by hand', () => {
  it('of an error: a stop a stop, and six or four more for each beyond half a stop', () => {
    expect([0, 0.5, -0.5, 1.5, -1.5].map(errorRegret)).toEqual([0, 0.5, 0.5, 1.5 + 6, 1.5 + 4]);
  });
  it('of a shutter: how far from 180°, and out of the band what is short or long', () => {
    const of = (t: number, more: Partial<ExposureTask> = {}) => shutterRegret(t, task(more));
    expect(of(1 / 50)).toBe(0);
    // 200° is in the band.
    expect(of(1 / 45)).toBeCloseTo(Math.log2(200 / 180) * 0.3, 9);
    // Edges of the band belong to it.
    expect(of(150 / 9000)).toBeCloseTo(Math.log2(180 / 150) * 0.3, 9);
    expect(of(216 / 9000)).toBeCloseTo(Math.log2(216 / 180) * 0.3, 9);
    // 90°: a stop off, out of it, and log2(150/90) short.
    expect(of(1 / 100)).toBeCloseTo(0.3 + 0.6 + 2 * Math.log2(150 / 90), 9);
    // 360°: a stop off, out of it, and log2(360/216) long.
    expect(of(1 / 25)).toBeCloseTo(0.3 + 0.6 + 2.5 * Math.log2(360 / 216), 9);
    // Nearly still and dark, that costs little; in daylight it costs all.
    expect(of(1 / 25, { still: true, sceneEv100: 7.9 })).toBe(0.3);
    expect(of(1 / 25, { still: true, sceneEv100: 8 })).toBeGreaterThan(2);
    expect(mayBeLong({ still: false, sceneEv100: 2 })).toBe(false);
    // On 60 Hz, 1/50 catches 2.4 pulses; on 50 Hz two.
    expect(of(1 / 50, { mainsHz: 60 })).toBe(3);
    expect(of(1 / 50, { mainsHz: 50 })).toBe(0);
  });
  it('of a shutter that is no angle: what a still is too long, and how far a lapse is from its aim', () => {
    const still = task({ aim: { by: 'at-most', seconds: 1 / 100 } });
    expect([1 / 400, 1 / 100, 1 / 50].map((t) => shutterRegret(t, still))).toEqual([0, 0, 2.5]);
    const lapse = task({ aim: { by: 'about', seconds: 1, mostS: 2 } });
    expect([0.5, 1, 2].map((t) => shutterRegret(t, lapse))).toEqual([0.3, 0, 0.3]);
    // A single frame that flickers costs a third of what a film that does costs.
    expect(shutterRegret(1 / 500, { ...still, mainsHz: 50 })).toBe(1);
  });
  it('of ISO, aperture and filter', () => {
    expect([50, 100, 400].map((iso) => isoRegret(iso, task()))).toEqual([0, 0, 2 * 0.55]);
    // About f/4 where nothing is known; the middle of the sharp range where it is, and more outside it.
    expect(apertureRegret(4, task())).toBe(0);
    expect(apertureRegret(8, task())).toBeCloseTo(2 * 0.15, 9);
    const sharp = { sharp: [4, 16] as const };
    expect(apertureRegret(8, task(sharp))).toBeCloseTo(0, 9);
    expect(apertureRegret(4, task(sharp))).toBeCloseTo(2 * 0.15, 9);
    expect(apertureRegret(2, task(sharp))).toBeCloseTo(4 * 0.15 + 2 * 0.4, 9);
    expect(apertureRegret(32, task(sharp))).toBeCloseTo(4 * 0.15 + 2 * 0.4, 9);
    expect([filterRegret(null, 0, task()), filterRegret('nd8', 3, task())]).toEqual([0, 0.25]);
    const flown = { flightFilterId: 'nd8', flightStops: 3 };
    expect(filterRegret('nd8', 3, task(flown))).toBe(0.25);
    // Another mark of a variable one is a landing as well.
    expect(filterRegret('nd8', 4, task(flown))).toBe(2.25);
    expect(filterRegret(null, 0, task(flown))).toBe(2);
    expect(filterRegret(null, 0, task({ flightFilterId: null }))).toBe(0);
    expect(filterRegret('nd8', 4, task({ flightFilterId: 'nd8' }))).toBe(0.25);
  });
  it('adds up: f/4, 1/50 at ISO 200 without a filter in light for 100', () => {
    // log2(16 · 50) − 1 = 8.644: a scene of 9.644 is one stop over, half of it beyond the tolerance.
    const s = { aperture: 4, shutterS: 1 / 50, iso: 200, ndStops: 0 };
    const scene = Math.log2(800);
    expect(regretOf(task({ sceneEv100: scene }), s, null)).toBeCloseTo(1 + 6 * 0.5 + 0.55, 9);
    expect(regretOf(task({ sceneEv100: scene, biasStops: 1 }), s, null)).toBeCloseTo(0.55, 9);
  });
});

/** A setting for a scene of so many stops over it. */
const chosen = (offStops: number, more: Partial<ExposureTask> = {}, shutterS = 1 / 50, iso = 100) => {
  const found = { aperture: 4, shutterS, iso, ndStops: 0, filterId: null, regret: 9 };
  const t = task({ sceneEv100: Math.log2(16 / shutterS) - Math.log2(iso / 100) + offStops, ...more });
  return { task: t, choice: describeChoice(t, found) };
};

describe('what is said about a choice, by hand', () => {
  it.each<[string, ReturnType<typeof chosen>, Partial<ExposureChoice>, string[]]>([
    ['right', chosen(0.5), { marks: [], inBand: true }, ['exposure.right', 'exposure.angle.in']],
    ['over', chosen(0.6), { marks: ['clips'] }, ['exposure.over', 'exposure.angle.in']],
    ['under by hand', chosen(-0.6), { marks: ['dark'] }, ['exposure.under.hand', 'exposure.angle.in']],
    [
      'under at the ceiling',
      chosen(-0.6, {}, 1 / 50, 1600),
      { marks: ['dark'] },
      ['exposure.under.ceiling', 'exposure.angle.in', 'exposure.iso-raised'],
    ],
    [
      'short',
      chosen(0, {}, 1 / 100),
      { marks: ['strobes'], inBand: false },
      ['exposure.right', 'exposure.angle.short'],
    ],
    [
      'long',
      chosen(0, {}, 1 / 25),
      { marks: ['smears'], inBand: false },
      ['exposure.right', 'exposure.angle.long'],
    ],
    [
      'long, still and dark',
      chosen(0, { still: true, sceneEv100: 7 }, 1 / 25),
      { inBand: false },
      ['exposure.under.hand', 'exposure.angle.long-still'],
    ],
    [
      'flickering, with another filter on',
      chosen(0, { mainsHz: 60, flightFilterId: 'nd8' }),
      { marks: ['flickers'], flickers: true },
      ['exposure.right', 'exposure.angle.in', 'exposure.flickers', 'exposure.other-filter'],
    ],
    [
      'a still that is sharp',
      chosen(0, { aim: { by: 'at-most', seconds: 1 / 50 } }),
      { marks: [], inBand: true },
      ['exposure.right', 'exposure.still.sharp'],
    ],
    [
      'a still that is long',
      chosen(0, { aim: { by: 'at-most', seconds: 1 / 60 } }),
      { marks: [], inBand: true },
      ['exposure.right', 'exposure.still.long'],
    ],
    [
      'a time-lapse',
      chosen(0, { aim: { by: 'about', seconds: 1, mostS: 2 } }, 1 / 2),
      { marks: [], inBand: true },
      ['exposure.right', 'exposure.lapse'],
    ],
  ])('%s', (_, answer, choice, codes) => {
    expect(answer.choice).toMatchObject(choice);
    expect(reasonsFor(answer).map(code)).toEqual(codes);
  });
  it('the miss is counted from what is wanted, not from the middle', () => {
    // Wanted a stop under, the setting is 0.2 under: it comes out 0.8 too bright, and nobody is told that it is under.
    const answer = chosen(-0.2, { biasStops: -1 });
    expect(answer.choice.marks).toEqual(['clips']);
    expect(reasonsFor(answer)[0]).toEqual({
      code: 'exposure.over',
      values: { stops: { quantity: 'stops', value: expect.closeTo(0.8, 9), digits: 1 } },
    });
    expect(shortfallOf(answer)!.stops).toBeCloseTo(0.8, 9);
    expect(shortfallOf(chosen(-1.5, { biasStops: -1 }))).toBeNull();
  });
  it('look is what is left of the regret without the light', () => {
    expect(chosen(1.5).choice.lookCost).toBeCloseTo(9 - 7.5, 9);
  });
  it('why not the next: what it is marked with, its ISO, its look, or that it misses', () => {
    const answer = chosen(0);
    const next = (more: Partial<ExposureChoice>): string =>
      JSON.stringify(whyNot(answer, { ...answer.choice, ...more }).values['reason']);
    expect(code(whyNot(answer, null))).toBe('exposure.why');
    expect(code(whyNot(answer, answer.choice))).toBe('exposure.why.next');
    const best = ({ task: t, choice }: typeof answer): unknown =>
      whyNot({ task: t, choice: { ...choice, marks: [] } } as never, null).values['got'];
    expect(best(answer)).toMatchObject({ code: 'exposure.best', values: { aim: 'band', iso: 0 } });
    expect(best(chosen(0, {}, 1 / 50, 400))).toMatchObject({ values: { aim: 'band', iso: 400 } });
    expect(best(chosen(0, { aim: { by: 'at-most', seconds: 1 } }))).toMatchObject({
      values: { aim: 'shutter' },
    });
    expect(next({ marks: ['smears'] })).toContain('"smears"');
    expect(next({ iso: 200 })).toContain('"iso"');
    expect(next({ lookCost: 99 })).toContain('"look"');
    expect(next({})).toContain('"exact"');
  });
});

describe('what no exposure can be worked out from', () => {
  it.each<[Partial<ExposureTask>, string]>([
    [{ sceneEv100: NaN }, 'exposure.none.light'],
    [{ apertures: [] }, 'exposure.none.aperture'],
    [{ isoBase: 0 }, 'exposure.none.iso'],
    [{ isoCeiling: 99 }, 'exposure.none.iso'],
    [{ filters: [{ id: 'x', factor: 0.5, cost: 0 }] }, 'exposure.none.factor'],
    [{ captureFps: 0 }, 'exposure.none.rate'],
    [{ fixed: { filterId: 'gone' } }, 'exposure.none.filter'],
  ])('%j: %s', (more, reason) => {
    expect(solveExposure(task(more))).toMatchObject({ ok: false, reason: { code: reason } });
  });
  it('the fifth number is found whatever stands in its place yet, from four that are numbers', () => {
    const known = { aperture: 4, shutterS: 1 / 50, iso: 100, ndStops: 3, ev100: Math.log2(800) + 3 };
    for (const knob of ['aperture', 'shutterS', 'iso', 'ndStops', 'ev100'] as const) {
      const answer = solveKnob({ ...known, [knob]: NaN }, knob);
      expect(answer.ok && answer.value, knob).toBeCloseTo(known[knob], 9);
      const other = knob === 'ev100' ? 'iso' : 'ev100';
      expect(solveKnob({ ...known, [knob]: NaN }, other)).toMatchObject({
        ok: false,
        reason: { code: 'exposure.quick.above-zero' },
      });
    }
  });
});

describe('what would help, by hand', () => {
  const helps = (answer: Parameters<typeof shortfallOf>[0]) => {
    const short = shortfallOf(answer);
    return short && [short.stops, short.workable.map((w) => code(w.say))];
  };
  it('nothing is missing within half a stop', () => {
    expect([helps(chosen(0.5)), helps(chosen(-0.5))]).toEqual([null, null]);
  });
  it('too bright: a stronger filter; a shutter below the band only where that would do', () => {
    const [stops, codes] = helps(chosen(2, { filters: [] }))!;
    expect(stops).toBeCloseTo(2, 9);
    expect(codes).toEqual(['exposure.filter-would', 'exposure.without-it']);
    expect(helps(chosen(9, { filters: [] }))![1]).toEqual(['exposure.filter-would']);
    // As strong as what is on and what is missing, or as a shutter in the band at base ISO wants; as filters are sold.
    const filter = (answer: Parameters<typeof shortfallOf>[0]) =>
      shortfallOf(answer)!.workable[0]!.say.values;
    const stops9 = { quantity: 'stops', value: 9, digits: 0 };
    expect(filter(chosen(1, {}, 1 / 8000))).toEqual({ factor: 512, stops: stops9 });
    const t = task({ sceneEv100: Math.log2(16 * 42) + 3 + 2.3 });
    const on = { aperture: 4, shutterS: 1 / 42, iso: 100, ndStops: 3, filterId: 'nd8', regret: 9 };
    expect(filter({ task: t, choice: describeChoice(t, on) } as never)).toMatchObject({ factor: 64 });
    // A filter chosen by hand stays: the shorter shutter is for it.
    expect(helps(chosen(2, { fixed: { filterId: null } }))![1]).toContain('exposure.without-it');
    // Held by hand: let go of it, where the rest would reach.
    expect(helps(chosen(2, { fixed: { shutterS: 1 / 50, filterId: null } }))![1]).toContain('exposure.free');
  });
  it('too dark: a longer shutter where it is not allowed yet, waiting, or a faster lens', () => {
    const dark = chosen(-1, {}, 1 / 50, 1600);
    expect(helps(dark)).toEqual([
      expect.closeTo(-1, 9),
      ['exposure.longer', 'exposure.wait', 'exposure.wider'],
    ]);
    const wider = shortfallOf(dark)!.workable.at(-1)!.say;
    expect(JSON.stringify(wider)).toContain('3200');
    expect(shortfallOf(dark)!.workable[0]!.say.values).toEqual({
      angle: { quantity: 'degrees', value: 360, digits: 0 },
    });
    expect(helps(chosen(-3, {}, 1 / 50, 1600))![1]).toEqual(['exposure.wait', 'exposure.wider']);
    // Long already: f/4, 1/25 at ISO 1600 is for 4.6 EV, the scene has 3.6.
    expect(helps(chosen(-1, { still: true }, 1 / 25, 1600))![1]).toEqual(['exposure.wait', 'exposure.wider']);
  });
});

describe('light a filter bears, by hand', () => {
  it('is from the widest and longest at clean ISO to the narrowest and shortest at base, half a stop more on each side', () => {
    const t = task({ apertures: [2.8, 4, 8], sharp: [2.8, 4] });
    // In the band of 150° to 216° at 25 fps lie 1/60, 1/50, 1/48 of the dial.
    const span = exposureSpan(t, 2)!;
    expect(span.lowEv).toBeCloseTo(2 * Math.log2(2.8) + Math.log2(48) - 2 - 0.5, 9);
    expect(span.highEv).toBeCloseTo(2 * Math.log2(4) + Math.log2(60) + 0.5, 9);
    // The ceiling of the camera comes before clean stops; what is fixed by hand leaves no room.
    expect(exposureSpan(t, 9)!.lowEv).toBeCloseTo(2 * Math.log2(2.8) + Math.log2(48) - 4 - 0.5, 9);
    const fixed = exposureSpan(task({ fixed: { aperture: 8, shutterS: 1 / 100, iso: 200 } }), 5)!;
    expect(fixed.lowEv).toBeCloseTo(6 + Math.log2(100) - 1 - 0.5, 9);
    expect(fixed.highEv - fixed.lowEv).toBeCloseTo(1, 9);
    expect(exposureSpan(task({ apertures: [] }), 2)).toBeNull();
    expect(exposureSpan(task({ isoBase: 0 }), 2)).toBeNull();
    // None sharp: all of them count.
    expect(exposureSpan(task({ apertures: [8], sharp: [2, 4] }), 0)!.highEv).toBeCloseTo(
      6 + Math.log2(60) + 0.5,
      9,
    );
  });
  it('of a lapse: shutters within a stop of its aim, none longer than it leaves room for', () => {
    const lapse = exposureSpan(task({ aim: { by: 'about', seconds: 1, mostS: 1.6 } }), 0)!;
    // f/4 at base ISO: 1.6 s is the longest, half a second the shortest.
    expect(lapse.lowEv).toBeCloseTo(4 - Math.log2(1.6) - 0.5, 9);
    expect(lapse.highEv).toBeCloseTo(4 + 1 + 0.5, 9);
  });
  it('moves up by the stops of the filter, ends included', () => {
    const span = { lowEv: 8, highEv: 10 };
    expect([10.9, 11, 13, 13.1].map((ev) => spanHolds(span, ev, 3))).toEqual([false, true, true, false]);
  });
  it('a still needs one over twice its focal length; a lapse half its interval, a second at the most', () => {
    expect(stillShutter(24)).toEqual({ by: 'at-most', seconds: 1 / 48 });
    expect(lapseShutter(1)).toEqual({ by: 'about', seconds: 0.5, mostS: 0.8 });
    expect(lapseShutter(5)).toEqual({ by: 'about', seconds: 1, mostS: 1 });
  });
  it('a bracket covers what a frame of ten stops does not, in steps of two stops at the most', () => {
    const of = (...args: Parameters<typeof bracketPlan>) => {
      const { stepStops, coversStops, why } = bracketPlan(...args);
      return [Math.round(stepStops * 3), Math.round(coversStops * 3), why.code];
    };
    expect(of(5, 'sunInFrame')).toEqual([6, 24, 'exposure.bracket.more']);
    expect(of(7, 'sunInFrame')).toEqual([5, 30, 'exposure.bracket.holds']);
    expect(of(5, 'night')).toEqual([6, 24, 'exposure.bracket.holds']);
    expect(of(5, 'low')).toEqual([3, 12, 'exposure.bracket.holds']);
    expect(of(5, 'plain')).toEqual([2, 8, 'exposure.bracket.holds']);
    expect(of(1, 'plain')[0]).toBe(6);
  });
});
