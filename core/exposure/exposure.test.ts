import { said } from '../testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/exposure.json';
import { exposureError, filterStops, flickerSafe, opticalDensity, settingEv, shutterAngle } from './equation';
import { isoSteps, SHUTTERS } from './series';
import { reasonsFor } from './tell';
import { regretOf, type ExposureTask } from './regret';
import { runnerUpOf, solveExposure, whyFor } from './solve';
import { numberIn } from '../testing';

describe('exposure equation', () => {
  it.each(vectors.settings)('f/$aperture ISO $iso ND $ndStops', (s) => {
    const [n = 1, d = 1] = s.shutterSeconds;
    const setting = { aperture: s.aperture, shutterS: n / d, iso: s.iso, ndStops: s.ndStops };
    expect(settingEv(setting)).toBeCloseTo(s.settingEv100, 3);
    expect(exposureError(s.sceneEv100, setting)).toBeCloseTo(s.overexposureStops, 3);
    expect(shutterAngle(n / d, s.fps)).toBeCloseTo(s.shutterAngleDeg, 6);
  });
  it.each(vectors.filters)('filter factor $factor', (f) => {
    expect(filterStops(f.factor)).toBeCloseTo(f.stops, 3);
    expect(opticalDensity(f.factor)).toBeCloseTo(f.opticalDensity, 3);
  });
  it.each(vectors.flicker)('1/$shutterDenominator on $mainsHz Hz', (f) =>
    expect(flickerSafe(1 / f.shutterDenominator, f.mainsHz)).toBe(f.safe),
  );
  it('refuses a filter that would brighten', () => expect(() => filterStops(0)).toThrow(RangeError));
});

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

const tasks = fc
  .record({
    sceneEv100: numberIn(-3, 16),
    apertures: fc.constantFrom([2.8], [1.7], [2.8, 4, 5.6, 8, 11]),
    isoBase: fc.constantFrom(50, 100, 125),
    isoCeiling: fc.constantFrom(400, 3200, 6400),
    captureFps: fc.constantFrom(24, 25, 30, 50, 60, 100),
    mainsHz: fc.constantFrom(null, 50, 60),
    still: fc.boolean(),
    flightFilterId: fc.constantFrom(undefined, null, 'nd16'),
  })
  .map((r): ExposureTask => ({ ...base, ...r }));

const exhaustive = (task: ExposureTask): number => {
  let best = Infinity;
  for (const filter of [{ id: null, factor: 1 }, ...task.filters])
    for (const aperture of task.apertures)
      for (const shutterS of SHUTTERS.filter((t) => t * task.captureFps <= 1.0001))
        for (const iso of isoSteps(task.isoBase, task.isoCeiling)) {
          best = Math.min(
            best,
            regretOf(task, { aperture, shutterS, iso, ndStops: Math.log2(filter.factor) }, filter.id),
          );
        }
  return best;
};

describe('exposure solver', () => {
  it('is never worse than searching every discrete choice', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        expect(solve(task).choice.regret).toBeLessThanOrEqual(exhaustive(task) + 1e-9);
      }),
      { numRuns: 80 },
    );
  });

  it('never leaves the camera', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        const { choice } = solve(task);
        expect(task.apertures).toContain(choice.aperture);
        expect(choice.iso).toBeGreaterThanOrEqual(task.isoBase);
        expect(choice.iso).toBeLessThanOrEqual(task.isoCeiling);
        expect(choice.shutterS * task.captureFps).toBeLessThanOrEqual(1.0001);
      }),
    );
  });

  it('in daylight picks a filter that sits the shutter in the band at base ISO', () => {
    const answer = solve({ ...base, sceneEv100: 14.6 });
    const [choice, runnerUp] = [answer.choice, runnerUpOf(answer)];
    expect(choice).toMatchObject({ iso: 100, inBand: true, filterId: 'nd64' });
    expect(runnerUp?.filterId !== choice.filterId || runnerUp.shutterS !== choice.shutterS).toBe(true);
  });

  it('says that it clips when no filter is strong enough', () => {
    const answer = solve({ ...base, filters: [], sceneEv100: 15, fixed: { shutterS: 1 / 50 } });
    expect(answer.choice.errorStops).toBeGreaterThan(4);
    expect(reasonsFor(answer).map(said).join(' ')).toMatch(/clip/);
    expect(answer.choice.marks).toContain('clips');
    expect(said(whyFor(answer))).toMatch(/clips the highlights/);
  });

  it('opens the shutter towards 360° for a still frame in the dark before it gives up light', () => {
    const dark = { ...base, sceneEv100: 1.5, isoCeiling: 800 };
    expect(solve({ ...dark, still: true }).choice.shutterAngleDeg).toBeCloseTo(360, 0);
    expect(solve({ ...dark, still: true }).choice.filterId).toBeNull();
  });

  it('keeps what was fixed by hand and solves the rest', () => {
    const { choice } = solve({ ...base, fixed: { iso: 400, filterId: 'nd32' } });
    expect(choice).toMatchObject({ iso: 400, filterId: 'nd32' });
  });

  it('does not change the filter in the air for half a stop', () => {
    const { choice } = solve({ ...base, sceneEv100: 14.2, flightFilterId: 'nd32' });
    expect(choice.filterId).toBe('nd32');
  });

  it('picks a flicker-safe shutter where lamps light the scene', () => {
    expect(solve({ ...base, sceneEv100: 7, captureFps: 30, mainsHz: 50 }).choice.flickers).toBe(false);
  });

  it.each([
    [{ apertures: [] }, /aperture/],
    [{ isoBase: 800, isoCeiling: 100 }, /ISO/],
    [{ filters: [{ id: 'x', factor: 0 }] }, /filter/],
    [{ sceneEv100: NaN }, /light/],
    [{ fixed: { filterId: 'gone' } }, /no longer/],
  ])('gives a reason instead of a setting: %o', (change, reason) => {
    const answer = solveExposure({ ...base, ...change } as ExposureTask);
    expect(answer.ok ? '' : said(answer.reason)).toMatch(reason);
  });
});
