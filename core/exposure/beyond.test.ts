import { said } from '../testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bracketPlan, lapseShutter, lockRule, stillShutter } from './stills';
import { equivalents, shutterOfAngle, solveKnob, stackOf, type Exposure, type Knob } from './quick';
import { exposureError, filterStops, flickerSafe, settingEv } from './equation';
import { exposureSpan, spanHolds } from './span';
import { isoSteps, LONG_SHUTTERS, SHUTTERS } from './series';
import { prepareExposure, runnerUpOf, solveExposure } from './solve';
import { regretOf, type ExposureTask } from './regret';
import { shortfallOf } from './missing';
import { numberIn } from '../testing';

const base: ExposureTask = {
  sceneEv100: 14,
  apertures: [2.8],
  isoBase: 100,
  isoCeiling: 3200,
  filters: [4, 8, 16, 32, 64].map((factor) => ({ id: `nd${factor}`, factor })),
  captureFps: 25,
  bandLowDeg: 150,
  bandHighDeg: 216,
  biasStops: -0.3,
  mainsHz: null,
  still: false,
  fixed: {},
};
const solve = (task: ExposureTask) => {
  const r = solveExposure(task);
  if (!r.ok) throw new Error(said(r.reason));
  return r.value;
};

describe('a filter that bears the light', () => {
  const tasks = fc.record({
    sceneEv100: numberIn(-2, 17),
    apertures: fc.constantFrom([2.8], [1.7], [2.8, 4, 5.6, 8, 11]),
    captureFps: fc.constantFrom(24, 25, 30, 50, 100),
    still: fc.boolean(),
    mainsHz: fc.constantFrom(null, 50, 60),
    cleanStops: fc.integer({ min: 0, max: 5 }),
    factor: fc.constantFrom(1, 4, 16, 64),
  });
  it('agrees with searching every setting', () => {
    fc.assert(
      fc.property(tasks, ({ cleanStops, factor, ...change }) => {
        const task = { ...base, ...change };
        const span = exposureSpan(task, cleanStops)!;
        const stops = filterStops(factor);
        const margin = Math.min(
          Math.abs(task.sceneEv100 - stops - span.lowEv),
          Math.abs(task.sceneEv100 - stops - span.highEv),
        );
        // On the very edge the steps of the dials decide; a sixth of a stop off it, they do not.
        if (margin < 1 / 6) return;
        const shutters = SHUTTERS.filter((t) => t * task.captureFps <= 1.0001).filter((t) => {
          const deg = 360 * t * task.captureFps;
          return (deg >= 149.9 && deg <= 216.1) || (task.still && task.sceneEv100 < 8 && deg > 216);
        });
        const steady =
          task.mainsHz === null ? shutters : shutters.filter((t) => flickerSafe(t, task.mainsHz!));
        const isos = isoSteps(task.isoBase, Math.min(task.isoCeiling, task.isoBase * 2 ** cleanStops));
        const any = (steady.length > 0 ? steady : shutters).some((shutterS) =>
          task.apertures.some((aperture) =>
            isos.some(
              (iso) =>
                Math.abs(
                  exposureError(task.sceneEv100, { aperture, shutterS, iso, ndStops: stops }) -
                    task.biasStops,
                ) <= 0.5,
            ),
          ),
        );
        expect(spanHolds(span, task.sceneEv100, stops)).toBe(any);
      }),
      { numRuns: 300 },
    );
  });
  it('of two time-lapses that aim at the same shutter, the one with less time between frames bears less dark', () => {
    const lapse = (mostS: number): ExposureTask => ({ ...base, aim: { by: 'about', seconds: 1, mostS } });
    const [long, short] = [exposureSpan(lapse(2), 2)!, exposureSpan(lapse(1), 2)!];
    expect(short.lowEv - long.lowEv).toBeCloseTo(1, 6);
    expect(exposureSpan(lapse(2), 2)).toEqual(long);
  });
  it('a stronger filter bears brighter light, never darker', () => {
    const span = exposureSpan(base, 2)!;
    for (let ev = -5; ev < 20; ev += 0.25)
      for (const stops of [0, 2, 4])
        expect(spanHolds(span, ev, stops)).toBe(spanHolds(span, ev + 2, stops + 2));
  });
  it('has no span where nothing is in the band', () => {
    expect(exposureSpan({ ...base, apertures: [] }, 2)).toBeNull();
    expect(exposureSpan({ ...base, isoBase: 0 }, 2)).toBeNull();
  });
});

describe('beyond one filter for one shot', () => {
  it('sets a variable filter to a mark, and knows the mark the flight is flown with', () => {
    const vario = [4, 8, 16, 32].map((factor) => ({ id: 'vario', factor, cost: 0.15 }));
    const free = solve({ ...base, sceneEv100: 13, filters: vario }).choice;
    expect(free).toMatchObject({ filterId: 'vario', inBand: true });
    const held = solve({
      ...base,
      sceneEv100: 13.3,
      filters: vario,
      flightFilterId: 'vario',
      flightStops: free.ndStops,
    }).choice;
    expect(held.ndStops).toBe(free.ndStops);
  });
  it('takes a polariser only where it pays or nothing else does', () => {
    const both = [
      { id: 'nd3', factor: 2.83 },
      { id: 'pol', factor: 2.83, cost: 0.4 },
    ];
    expect(solve({ ...base, sceneEv100: 10.3, filters: both }).choice.filterId).toBe('nd3');
    expect(solve({ ...base, sceneEv100: 10.3, filters: both.slice(1) }).choice.filterId).toBe('pol');
  });
  it('is never worse than every discrete choice, for stills and time-lapses as well', () => {
    const aims = fc.constantFrom(stillShutter(24), lapseShutter(2), lapseShutter(0.5));
    fc.assert(
      fc.property(
        numberIn(0, 16),
        aims,
        fc.constantFrom([2.8], [2.8, 4, 5.6, 8]),
        (sceneEv100, aim, apertures) => {
          const task: ExposureTask = { ...base, sceneEv100, aim, apertures, sharp: [2.8, 5.6] };
          const mostS = aim.by === 'about' ? aim.mostS : 0.5;
          let best = Infinity;
          for (const f of [{ id: null, factor: 1 }, ...task.filters])
            for (const aperture of apertures)
              for (const shutterS of [...LONG_SHUTTERS, ...SHUTTERS].filter((t) => t <= mostS + 1e-9))
                for (const iso of isoSteps(100, 3200)) {
                  best = Math.min(
                    best,
                    regretOf(task, { aperture, shutterS, iso, ndStops: Math.log2(f.factor) }, f.id),
                  );
                }
          expect(solve(task).choice.regret).toBeLessThanOrEqual(best + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('keeps a still short and a time-lapse long', () => {
    expect(solve({ ...base, sceneEv100: 14, aim: stillShutter(24) }).choice.shutterS).toBeLessThanOrEqual(
      1 / 48 + 1e-9,
    );
    const lapse = solve({
      ...base,
      sceneEv100: 9,
      aim: lapseShutter(2),
      filters: [64, 512, 1024].map((factor) => ({ id: `nd${factor}`, factor })),
    }).choice;
    expect(lapse.shutterS).toBeGreaterThanOrEqual(0.5);
    expect(lapse.shutterS).toBeLessThanOrEqual(1);
  });
  it('a hand choice that strobes, smears, flickers or clips is marked', () => {
    const marks = (change: Partial<ExposureTask>) => solve({ ...base, ...change }).choice.marks;
    expect(marks({ fixed: { shutterS: 1 / 500 } })).toContain('strobes');
    expect(marks({ fixed: { shutterS: 1 / 25 } })).toContain('smears');
    expect(marks({ fixed: { shutterS: 1 / 25 }, still: true })).toContain('smears');
    expect(marks({ fixed: { shutterS: 1 / 25 }, still: true, sceneEv100: 4 })).not.toContain('smears');
    expect(marks({ fixed: { shutterS: 1 / 60 }, mainsHz: 50 })).toContain('flickers');
    expect(marks({ fixed: { filterId: null, iso: 1600 }, bandHighDeg: 216, filters: [] })).toEqual(
      expect.arrayContaining(['clips']),
    );
    expect(marks({})).toEqual([]);
  });
});

describe('one camera for many lights', () => {
  it('chooses as well as asking anew each time, in any order of lights', () => {
    const lights = fc.array(fc.tuple(numberIn(-2, 16), fc.constantFrom(null, 50, 60)), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(
        lights,
        fc.boolean(),
        fc.constantFrom([2.8], [2.8, 4, 5.6, 8]),
        fc.constantFrom(undefined, 'nd16'),
        (list, still, apertures, flightFilterId) => {
          const task: ExposureTask = { ...base, still, apertures, flightFilterId };
          const choose = prepareExposure(task);
          for (const [ev, mains] of list)
            expect(choose(ev, mains)?.regret).toBeCloseTo(
              solve({ ...task, sceneEv100: ev, mainsHz: mains }).choice.regret,
              9,
            );
        },
      ),
    );
  });
  it('has no answer where there is none', () =>
    expect(prepareExposure({ ...base, apertures: [] })(12, null)).toBeNull());
  it('the runner-up is no better than the choice, and another', () => {
    fc.assert(
      fc.property(numberIn(0, 16), (sceneEv100) => {
        const answer = solve({ ...base, sceneEv100 });
        const second = runnerUpOf(answer)!;
        expect(second.regret).toBeGreaterThanOrEqual(answer.choice.regret - 1e-9);
        expect([second.filterId, second.shutterS]).not.toEqual([
          answer.choice.filterId,
          answer.choice.shutterS,
        ]);
      }),
    );
  });
});

describe('what is missing', () => {
  it('names the stops and a filter that would do, for every light that is too bright', () => {
    fc.assert(
      fc.property(numberIn(12, 19), (sceneEv100) => {
        const task = { ...base, sceneEv100, filters: [], fixed: { shutterS: 1 / 50 } };
        const short = shortfallOf(solve(task))!;
        expect(short.stops).toBeGreaterThan(0.5);
        const factor = Number(/factor (\d+)/.exec(short.workable.map((w) => said(w.say)).join(' '))?.[1]);
        const cured = solve({ ...task, filters: [{ id: 'new', factor }] });
        expect(shortfallOf(cured)).toBeNull();
      }),
    );
  });
  it('offers to free a hand choice only where that helps', () => {
    expect(
      said(shortfallOf(solve({ ...base, fixed: { iso: 3200, filterId: null } }))?.workable[0]?.say),
    ).toBe('Free the hand choice: ISO, filter.');
    expect(
      shortfallOf(solve({ ...base, sceneEv100: -8, fixed: { iso: 100 } }))?.workable.some((w) =>
        said(w.say).startsWith('Free'),
      ),
    ).toBe(false);
  });
  it('says by how many stops it is too dark, and what would bear it', () => {
    const short = shortfallOf(solve({ ...base, sceneEv100: -6 }))!;
    expect(short.stops).toBeLessThan(-2);
    expect(short.workable.map((w) => said(w.say)).join(' ')).toMatch(/stops more light.*ISO \d+/);
  });
  it('is silent where the exposure is right', () => expect(shortfallOf(solve(base))).toBeNull());
});

describe('four of five', () => {
  const exposures = fc.record({
    ev100: numberIn(-4, 17),
    aperture: numberIn(1, 22),
    shutterS: numberIn(1e-4, 2),
    iso: numberIn(25, 25600),
    ndStops: numberIn(0, 12),
  });
  it('the fifth makes the exposure right, whichever it is', () => {
    fc.assert(
      fc.property(
        exposures,
        fc.constantFrom<Knob>('ev100', 'aperture', 'shutterS', 'iso', 'ndStops'),
        (e: Exposure, knob) => {
          const solved = solveKnob(e, knob);
          if (!solved.ok) {
            expect(knob).toBe('ndStops');
            expect(exposureError(e.ev100, { ...e, ndStops: 0 })).toBeLessThan(0);
            return;
          }
          const whole = { ...e, [knob]: solved.value };
          expect(exposureError(whole.ev100, whole)).toBeCloseTo(0, 8);
        },
      ),
    );
  });
  it('refuses what is no exposure', () => {
    expect(solveKnob({ ev100: 12, aperture: 0, shutterS: 1 / 50, iso: 100, ndStops: 0 }, 'iso').ok).toBe(
      false,
    );
    expect(solveKnob({ ev100: NaN, aperture: 4, shutterS: 1 / 50, iso: 100, ndStops: 0 }, 'iso').ok).toBe(
      false,
    );
    expect(
      solveKnob({ ev100: 2, aperture: 8, shutterS: 1 / 500, iso: 100, ndStops: 0 }, 'ndStops'),
    ).toMatchObject({ ok: false, reason: { code: 'exposure.quick.too-dark' } });
  });
  it('equivalent exposures are a sixth of a stop apart at most, and the one itself is among them', () => {
    const own = { aperture: 4, shutterS: 1 / 50, iso: 200, ndStops: 3 };
    const list = equivalents(own, [2.8, 4, 5.6], isoSteps(100, 800), 1 / 25);
    expect(list.length).toBeGreaterThan(4);
    expect(list).toContainEqual(own);
    for (const s of list) expect(Math.abs(settingEv(s) - settingEv(own))).toBeLessThanOrEqual(1 / 6 + 1e-6);
  });
  it('a stack of filters takes what its parts take one after another', () => {
    fc.assert(
      fc.property(fc.array(numberIn(1, 1000), { maxLength: 4 }), (factors) => {
        const stack = stackOf(factors);
        expect(stack.ok && stack.value.stops).toBeCloseTo(
          factors.reduce((sum, f) => sum + filterStops(f), 0),
          8,
        );
      }),
    );
    expect(stackOf([8, 0]).ok).toBe(false);
    expect(stackOf([-4]).ok).toBe(false);
  });
  it('an angle at a rate is a shutter', () => expect(shutterOfAngle(180, 25)).toBeCloseTo(1 / 50, 12));
});

describe('single frames', () => {
  it('a time-lapse shutter leaves time to write, and is never longer than a hover holds', () => {
    fc.assert(
      fc.property(numberIn(0.3, 60), (interval) => {
        const aim = lapseShutter(interval);
        if (aim.by !== 'about') throw new Error('an aim');
        expect(aim.seconds).toBeLessThanOrEqual(aim.mostS + 1e-12);
        expect(aim.mostS).toBeLessThanOrEqual(Math.min(1, interval * 0.8) + 1e-12);
      }),
    );
  });
  it('a bracket widens with the scene up to two stops a step, and says when it is not enough', () => {
    expect(bracketPlan(3, 'plain').stepStops).toBeLessThan(bracketPlan(3, 'sunInFrame').stepStops);
    expect(bracketPlan(3, 'sunInFrame')).toMatchObject({
      stepStops: 2,
      coversStops: 4,
    });
    for (const n of [3, 5, 7])
      for (const s of ['night', 'sunInFrame', 'low', 'plain'] as const)
        expect(bracketPlan(n, s).stepStops).toBeLessThanOrEqual(2);
  });
  it('knows what stays locked', () =>
    expect(
      (['panorama', 'bracket', 'time-lapse'] as const).every(
        (kind) => /xposure|ISO/.test(said(lockRule(kind))) && /White balance/.test(said(lockRule(kind))),
      ),
    ).toBe(true));
});
