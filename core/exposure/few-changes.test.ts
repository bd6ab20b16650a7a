import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { numberIn, Reached } from '../testing';
import { fewestChanges } from './few-changes';
import { regretOf, type ExposureChoice, type ExposureTask } from './regret';
import { dials, solveExposure } from './solve';

const task = (sceneEv100: number, more: Partial<ExposureTask> = {}): ExposureTask => ({
  sceneEv100,
  apertures: [2.8, 4],
  isoBase: 100,
  isoCeiling: 400,
  filters: [],
  captureFps: 25,
  bandLowDeg: 150,
  bandHighDeg: 216,
  biasStops: -0.3,
  mainsHz: null,
  still: false,
  fixed: { filterId: null },
  ...more,
});
const moments = (evs: readonly number[], perTake = 3) =>
  evs.map((ev, i) => ({ task: task(ev), take: String(Math.floor(i / perTake)) }));
const moved = (a: ExposureChoice, b: ExposureChoice): number =>
  Number(a.aperture !== b.aperture) +
  Number(Math.max(a.shutterS, b.shutterS) / Math.min(a.shutterS, b.shutterS) > 1.06) +
  Number(a.iso !== b.iso);
const changes = (list: readonly (ExposureChoice | null)[]): number =>
  list.reduce((sum, c, i) => sum + (i === 0 ? 0 : moved(list[i - 1]!, c!)), 0);

/** All settings a moment may have: those within the tolerance of its best. */
const allowed = (t: ExposureTask, tolerance: number): ExposureChoice[] => {
  const best = solveExposure(t);
  if (!best.ok) return [];
  const d = dials(t);
  const found: ExposureChoice[] = [];
  for (const a of d.apertures)
    for (const s of d.shutters)
      for (const i of d.isos) {
        const setting = { aperture: a.value, shutterS: s.value, iso: i.value, ndStops: 0 };
        const regret = regretOf(t, setting, null);
        if (regret <= best.value.choice.regret + tolerance + 1e-9)
          found.push({ ...best.value.choice, ...setting, regret });
      }
  return found;
};

/** Fewest changes by trying everything, the aperture kept within a take. */
const fewest = (list: ReturnType<typeof moments>, tolerance: number): number => {
  const walk = (i: number, before: ExposureChoice | null, sum: number, limit: number): number => {
    const here = list[i];
    if (!here) return sum;
    let least = limit;
    for (const c of allowed(here.task, tolerance)) {
      if (before && list[i - 1]?.take === here.take && c.aperture !== before.aperture) continue;
      const next = sum + (before ? moved(before, c) : 0);
      if (next < least) least = Math.min(least, walk(i + 1, c, next, least));
    }
    return least;
  };
  return walk(0, null, 0, 99);
};

describe('fewest changes through a flight', () => {
  it('is as few as trying everything finds', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(
        numberIn(8.5, 12),
        fc.array(numberIn(-0.5, 0.8), { minLength: 3, maxLength: 4 }),
        (start, steps) => {
          const evs = steps.reduce<number[]>((list, s) => [...list, (list.at(-1) ?? start) + s], [start]);
          const list = moments(evs, 2);
          const least = fewest(list, 1 / 3);
          fc.pre(least < 99);
          reached.when(least === 0 ? 'none' : 'some', true);
          expect(changes(fewestChanges(list, 1 / 3))).toBe(least);
        },
      ),
      { numRuns: 40 },
    );
    reached.atLeast('some', 5);
    reached.atLeast('none', 3);
  });
  it('tells the regret of what it sets, ISO and all', () => {
    const dark = task(7.5);
    const [only] = fewestChanges([{ task: dark, take: '0' }], 1 / 3);
    expect(only!.iso).toBeGreaterThan(dark.isoBase);
    expect(only!.regret).toBeCloseTo(regretOf(dark, only!, null), 9);
  });
  it('reckons with the filter that is on, the very mark of a variable one, and what it costs', () => {
    const filters = [
      { id: 'nd8', factor: 8, cost: 0.3 },
      { id: 'vnd', factor: 16, cost: 0.2 },
      { id: 'vnd', factor: 64, cost: 0.4 },
    ];
    const reached = new Reached();
    fc.assert(
      fc.property(numberIn(9, 17), fc.constantFrom('nd8', 'vnd', null), (ev, filterId) => {
        const t = task(ev, { filters, isoCeiling: 1600, fixed: { filterId } });
        const best = solveExposure(t);
        if (!best.ok) throw new Error('it has an answer');
        const [only] = fewestChanges([{ task: t, take: '0' }], 0);
        const { regret, lookCost } = best.value.choice;
        expect(only).toEqual({
          ...best.value.choice,
          regret: expect.closeTo(regret, 9),
          lookCost: expect.closeTo(lookCost, 9),
        });
        expect(only!.regret).toBeCloseTo(regretOf(t, only!, filterId), 9);
        reached.when(`${filterId} ${Math.round(only!.ndStops)}`, true);
      }),
    );
    for (const on of ['nd8 3', 'vnd 4', 'vnd 6', 'null 0']) reached.atLeast(on, 10);
  });
  it('leaves a shutter that only differs by a rounding where it is, unless another is set by hand', () => {
    const ev = 2 * Math.log2(4) + Math.log2(50);
    const at = (shutterS?: number) => ({
      task: task(ev, {
        fixed: { filterId: null, aperture: 4, ...(shutterS === undefined ? {} : { shutterS }) },
      }),
      take: '0',
    });
    const shutters = (...list: ReturnType<typeof at>[]) => fewestChanges(list, 1 / 3).map((c) => c!.shutterS);
    expect(shutters(at(1 / 48), at())).toEqual([1 / 48, 1 / 48]);
    expect(shutters(at(1 / 48), at(1 / 50))).toEqual([1 / 48, 1 / 50]);
    expect(shutters(at(1 / 100), at())[1]).not.toBe(1 / 100);
    // Set by hand later: what comes before is dialled so from the start, and what comes after stays.
    for (const hand of [1 / 48, 1 / 50]) {
      expect(shutters(at(), at(), at(hand), at())).toEqual([hand, hand, hand, hand]);
      const other = 1 / 48 + 1 / 50 - hand;
      expect(shutters(at(), at(hand), at(other), at())).toEqual([hand, hand, other, other]);
    }
  });
  it('keeps the shutter that is steady under lamps, whatever a shot before or after was set to by hand', () => {
    const ev = 2 * Math.log2(4) + Math.log2(50);
    const at = (shutterS?: number, mainsHz: number | null = null) => ({
      task: task(ev, {
        mainsHz,
        fixed: { filterId: null, aperture: 4, ...(shutterS === undefined ? {} : { shutterS }) },
      }),
      take: '0',
    });
    const list = [at(undefined, 50), at(1 / 48), at(undefined, 50), at()];
    const chosen = fewestChanges(list, 1 / 3).map((c) => c!);
    expect(chosen.map((c) => c.shutterS)).toEqual([1 / 50, 1 / 48, 1 / 50, 1 / 50]);
    expect(chosen.some((c) => c.flickers)).toBe(false);
  });
  it('opens the aperture between two takes, never within one', () => {
    const held = { apertures: [2.8, 11], fixed: { filterId: null, shutterS: 1 / 50, iso: 100 } };
    const evFor = (n: number): number => 2 * Math.log2(n) + Math.log2(50) - 0.3;
    const flown = (takes: readonly string[]) =>
      fewestChanges(
        [2.8, 11].map((n, i) => ({ task: task(evFor(n), held), take: takes[i]! })),
        1 / 3,
      ).map((c) => c!.aperture);
    expect(flown(['0', '1'])).toEqual([2.8, 11]);
    expect(new Set(flown(['0', '0'])).size).toBe(1);
  });
  it('keeps one setting where staying costs little, however the single bests flicker', () => {
    const evs = [9.9, 10.0, 10.1, 10.0, 10.15, 9.95, 10.05, 10.1, 10.0];
    const list = fewestChanges(moments(evs), 1 / 3);
    expect(changes(list)).toBe(0);
    expect(new Set(list.map((c) => c!.shutterS)).size).toBe(1);
    for (const [i, c] of list.entries()) {
      const best = solveExposure(task(evs[i]!));
      expect(c!.regret - (best.ok ? best.value.choice.regret : NaN)).toBeLessThanOrEqual(1 / 3 + 1e-9);
    }
  });
  it('never moves the aperture within a take, even where the light runs away', () => {
    const list = fewestChanges(
      [8, 9.5, 11, 11, 12.5, 14].map((ev, i) => ({
        task: task(ev, { apertures: [1.8, 2.8, 4, 5.6, 8] }),
        take: i < 3 ? 'a' : 'b',
      })),
      1 / 3,
    );
    expect(new Set(list.slice(0, 3).map((c) => c!.aperture)).size).toBe(1);
    expect(new Set(list.slice(3).map((c) => c!.aperture)).size).toBe(1);
    expect(list[3]!.aperture).toBeGreaterThanOrEqual(list[2]!.aperture);
  });
  it('says nothing for a moment nothing can be worked out for, and goes on beside it', () => {
    const list = fewestChanges([...moments([10]), { task: task(NaN), take: 'x' }, ...moments([10])], 1 / 3);
    expect(list.map((c) => c !== null)).toEqual([true, false, true]);
    expect(fewestChanges([], 1)).toEqual([]);
  });
});
