import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/power.json';
import { numberIn, Reached, said } from '../testing';
import type { AirframeFigures } from '../model';
import { dragNote } from './plausible';
import { dragFit, powerModel, usualDragArea } from './power';

const crafts = vectors.craft as (AirframeFigures & { name: string })[];
const wren = crafts.find((c) => c.name === 'Wren 246')!;

/** Cruise minutes that follow from a drag area by the power model itself: what an honest maker would print. */
const honest = (craft: AirframeFigures, dragAreaM2: number): AirframeFigures => {
  const known = { ...craft, cruiseMinutes: 0, dragAreaM2 };
  const watts = powerModel(known, 1.225).watts(craft.cruiseSpeedMs, 0);
  return { ...craft, cruiseMinutes: (craft.packWh / watts) * 60, dragAreaM2: 0 };
};

describe('the drag of an aircraft', () => {
  it('an honest cruise gives back the area it was made with, and that area beside it changes nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...crafts), numberIn(0.002, 0.06), (craft, areaM2) => {
        const rated = honest(craft, areaM2);
        expect(dragFit(rated).areaM2).toBeCloseTo(areaM2, 6);
        expect(dragFit({ ...rated, dragAreaM2: areaM2 }).areaM2).toBeCloseTo(areaM2, 6);
      }),
    );
  });
  it('two statements are weighed: the answer lies between them, surer than either, nearer to the surer one', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(numberIn(4, 16), numberIn(0.003, 0.05), numberIn(0.003, 0.05), (v, cruise, stated) => {
        fc.pre(Math.abs(Math.log(cruise / stated)) > 0.1);
        const rated = honest({ ...wren, cruiseSpeedMs: v }, cruise);
        const [one, two] = [dragFit(rated), dragFit({ ...rated, cruiseMinutes: 0, dragAreaM2: stated })];
        const both = dragFit({ ...rated, dragAreaM2: stated });
        expect(both.basis).toBe('both');
        expect(both.areaM2).toBeGreaterThan(Math.min(cruise, stated));
        expect(both.areaM2).toBeLessThan(Math.max(cruise, stated));
        const spread = (f: typeof both): number => Math.log(f.highM2 / f.areaM2);
        expect(spread(both)).toBeLessThan(Math.min(spread(one), spread(two)) + 1e-12);
        const towardsRated =
          Math.abs(Math.log(both.areaM2 / cruise)) < Math.abs(Math.log(both.areaM2 / stated));
        expect(towardsRated).toBe(spread(one) < spread(two));
        reached.when('rated', towardsRated);
        reached.when('stated', !towardsRated);
      }),
      { numRuns: 300 },
    );
    reached.atLeast('rated', 30);
    reached.atLeast('stated', 30);
  });
  it('a stated area is within e^±0.5; a rated time is sure of its watts to a tenth, and of its drag the less the smaller its part of them is', () => {
    const stated = dragFit({ ...wren, cruiseMinutes: 0, dragAreaM2: 0.01 });
    expect(stated.basis).toBe('drag-area');
    expect(stated.highM2).toBeCloseTo(0.01 * Math.exp(0.5), 9);
    expect(stated.lowM2).toBeCloseTo(0.01 / Math.exp(0.5), 9);
    for (const cruiseSpeedMs of [6, 10, 16]) {
      const craft = honest({ ...wren, cruiseSpeedMs }, 0.01);
      const rated = dragFit(craft);
      expect(rated.basis).toBe('rated-cruise');
      // Relative error of the drag: a tenth of the cruise's watts over the watts that drag takes.
      const cruiseShare = craft.hoverMinutes / craft.cruiseMinutes;
      const dragShare = rated.k * cruiseSpeedMs ** 3;
      const sigma = (0.1 * cruiseShare) / dragShare;
      expect(rated.highM2 / rated.areaM2).toBeCloseTo(Math.exp(sigma), 9);
      expect(rated.areaM2 / rated.lowM2).toBeCloseTo(Math.exp(sigma), 9);
      // Both: inverse variances add up, and weigh the logarithms.
      const both = dragFit({ ...craft, dragAreaM2: 0.02 });
      const [w1, w2] = [1 / sigma ** 2, 1 / 0.25];
      expect(Math.log(both.highM2 / both.areaM2)).toBeCloseTo(1 / Math.sqrt(w1 + w2), 9);
      expect(Math.log(both.areaM2)).toBeCloseTo((w1 * Math.log(0.01) + w2 * Math.log(0.02)) / (w1 + w2), 6);
    }
  });
  it('no jump where a rated cruise stops saying anything', () => {
    // Minutes at which the cruise takes exactly the power of its shape: more of them leave no drag at all.
    const limit = honest({ ...wren }, 1e-9).cruiseMinutes;
    const at = (minutes: number): number =>
      dragFit({ ...wren, cruiseMinutes: minutes, dragAreaM2: 0.006 }).areaM2;
    let before = at(limit * 0.9);
    for (let minutes = limit * 0.9; minutes < limit * 1.05; minutes += limit * 0.0005) {
      const area = at(minutes);
      expect(Math.abs(Math.log(area / before)), `${minutes} min`).toBeLessThan(0.02);
      before = area;
    }
    expect(before).toBeCloseTo(0.006, 9);
  });
  it('is said to be far from the usual where it is, in words with both figures', () => {
    expect(said(dragNote(wren)!)).toMatch(/drag area of 0\.029.*4\.9.*usual.*0\.006/);
    expect(dragNote(honest(wren, usualDragArea(wren.massKg) * 1.2))).toBeNull();
    expect(said(dragNote(honest(wren, usualDragArea(wren.massKg) / 3))!)).toMatch(/the usual is 3\.0.? that/);
    expect(dragNote({ ...wren, cruiseMinutes: 0, dragAreaM2: 0 })).toBeNull();
  });
});
