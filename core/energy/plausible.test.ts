import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import vectors from '../vectors/power.json';
import { numberIn, said } from '../testing';
import type { AirframeFigures } from '../model';
import { airframeFaults, idealHoverW, leanAt } from './plausible';
import { powerModel } from './power';

const crafts = vectors.craft as (AirframeFigures & { name: string })[];

describe('figures an aircraft cannot have', () => {
  it('are not told of the aircraft there are', () => {
    for (const craft of crafts) expect(airframeFaults(craft), craft.name).toEqual([]);
  });
  it('a hover on less power than an ideal rotor takes is told, with the minutes there could be', () => {
    fc.assert(
      fc.property(fc.constantFrom(...crafts), numberIn(0.5, 1.5), (craft, share) => {
        fc.pre(Math.abs(share - 1) > 0.01);
        const most = (craft.packWh / idealHoverW(craft)) * 60;
        const faults = airframeFaults({
          ...craft,
          cruiseMinutes: 0,
          dragAreaM2: 0,
          hoverMinutes: most * share,
        });
        expect(faults.map((f) => f.field)).toEqual(share > 1 ? ['hoverMinutes'] : []);
        if (faults[0]) expect(said(faults[0].say)).toContain(`${Math.round(most)}`);
      }),
    );
  });
  it('momentum theory: thrust times the speed of the air through the disc, which carries the weight', () => {
    const craft = crafts[0]!;
    const area = craft.rotors * Math.PI * (craft.rotorDiameterM / 2) ** 2;
    const through = idealHoverW(craft) / (craft.massKg * 9.80665);
    // Mass flow ρ A v_i, turned by 2 v_i, is the force.
    expect(1.225 * area * through * 2 * through).toBeCloseTo(craft.massKg * 9.80665, 6);
  });
  it('a lean follows from the drag the power model counts, and a speed that leans beyond 60° is told', () => {
    const craft = { ...crafts[0]!, cruiseMinutes: 0, cruiseSpeedMs: 0, dragAreaM2: 0.02 };
    const drag = 0.5 * 1.225 * 0.02 * 15 * 15;
    expect(Math.tan((leanAt(craft, 15) * Math.PI) / 180)).toBeCloseTo(drag / (craft.massKg * 9.80665), 9);
    expect(powerModel(craft, 1.225).basis).toBe('drag-area');
    const limit = Math.sqrt((Math.tan(Math.PI / 3) * craft.massKg * 9.80665) / (0.5 * 1.225 * 0.02));
    expect(airframeFaults({ ...craft, maxSpeedMs: limit * 0.99 })).toEqual([]);
    const fault = airframeFaults({ ...craft, maxSpeedMs: 2 * limit })[0]!;
    expect(fault.field).toBe('maxSpeedMs');
    expect(airframeFaults({ ...craft, maxSpeedMs: limit * 1.01 }).map((f) => f.field)).toEqual([fault.field]);
    // At twice the speed four times the drag: tan 73.9° is four times tan 60°.
    const leanDeg = Math.round((Math.atan(4 * Math.tan(Math.PI / 3)) * 180) / Math.PI);
    expect(said(fault.say)).toContain(`${leanDeg}°`);
    expect(said(fault.say)).toContain(`${Math.round(limit)} m/s`);
  });
});
