import { describe, expect, it } from 'vitest';
import { lineSolid } from '../clearance';
import { vec } from '../geometry';
import type { Trajectory } from '../moves';
import { HANDS_OFF } from './sticks';
import { marginsOf } from './margins';
import type { TrySample } from './try';

/** A mast of 30 m, ten metres beside a line along the x axis. */
const mast = lineSolid('m', 'Mast', [vec(50, 10, 30)], 0, true);
const sample = (tS: number, x: number, y: number, z: number): TrySample => ({
  tS,
  pose: { at: vec(x, y, z), headingDeg: 0, tiltDeg: 0 },
  velocity: vec(10, 0, 0),
  controls: HANDS_OFF,
});
const flown = (y: (x: number) => number): TrySample[] =>
  Array.from({ length: 11 }, (_, i) => sample(i, 10 * i, y(10 * i), 20));
const plan = {
  samples: flown(() => 0).map(({ pose }) => ({ pose })),
  totalS: 10,
} as unknown as Trajectory;
const level = (): number => 0;

describe('what a try leaves free', () => {
  it('is as the plan where the plan was flown, with the second of it', () => {
    const m = marginsOf(
      flown(() => 0),
      plan,
      [mast],
      level,
      4,
      2,
      1.8,
    );
    expect(m.nearest?.name).toBe('Mast');
    expect(m.nearest?.freeM).toBeCloseTo(10, 1);
    expect(m.nearest?.tS).toBeCloseTo(5, 1);
    expect(m.plannedFreeM).toBeCloseTo(10, 1);
    expect([m.lowestM, m.usedWh, m.plannedWh]).toEqual([20, 2, 1.8]);
  });
  it('shrinks by as much as the line wandered, to nothing where it went through', () => {
    for (const off of [2, 5, 8]) {
      const m = marginsOf(
        flown(() => off),
        plan,
        [mast],
        level,
        4,
        2,
        2,
      );
      expect(m.nearest?.freeM).toBeCloseTo(10 - off, 1);
      expect(m.tooNear).toBe(off === 8);
      expect(m.plannedFreeM).toBeCloseTo(10, 1);
    }
    const through = marginsOf(
      flown(() => 10),
      plan,
      [mast],
      level,
      4,
      2,
      2,
    );
    expect(through.nearest!.freeM).toBeLessThan(0.3);
    expect(through.tooNear).toBe(true);
  });
  it('names nothing that is far, and no height over ground nobody knows', () => {
    const far = marginsOf(
      flown(() => -70),
      plan,
      [mast],
      () => NaN,
      4,
      2,
      2,
    );
    expect([far.nearest, far.lowestM, far.tooNear]).toEqual([null, NaN, false]);
    expect(
      marginsOf(
        flown(() => 0),
        plan,
        [],
        (x) => x / 10,
        4,
        2,
        2,
      ),
    ).toMatchObject({ nearest: null, plannedFreeM: null, lowestM: 10 });
  });
});
