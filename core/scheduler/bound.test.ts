import { describe, expect, it } from 'vitest';
import { weightBoundOf } from './bound';
import { shot, turning, line } from './line-fixtures';
import { tablesOf } from './tables';
import { type PlanShot } from './types';

describe('no plan is worth more', () => {
  const bound = (shots: readonly PlanShot[], packs: readonly number[]): number =>
    weightBoundOf(tablesOf(line(shots, packs))).weightBound;
  it('than what the energy of all packs buys, the last shot in part', () => {
    // A shot beside another costs its 3 Wh of takes and no way at all.
    const two = [shot('a', 10, 10, { weight: 9 }), shot('b', 10, 10, { weight: 6 })];
    // Room of a pack of 7.5 Wh: 4.5 Wh once take-off and landing are paid; a for 3, b half for 1.5.
    expect(bound(two, [7.5])).toBeCloseTo(9 + 3, 9);
    expect(bound([...two].reverse(), [7.5])).toBeCloseTo(9 + 3, 9);
    expect(bound(two, [6, 3])).toBeCloseTo(9, 9);
    expect(bound(two, [6, 6])).toBeCloseTo(15, 9);
    expect(bound(two, [60])).toBeCloseTo(15, 9);
    expect(bound(two, [])).toBe(0);
    // A pack that cannot even take off takes nothing away from the others.
    expect(bound(two, [9, 1])).toBeCloseTo(15, 9);
    // To the last watt-hour of the biggest pack a shot counts.
    expect(bound([shot('a', 30, 30)], [9])).toBeCloseTo(1, 9);
    expect(bound([shot('a', 31, 31)], [9])).toBe(0);
    // Of two ways round the one with the shorter way to it: 10 m from the launch point, not 30.
    expect(bound([turning('a', 30, 10)], [7])).toBeCloseTo(1, 9);
    // From the end of another it is nearer than from the launch point; from its own end it is not flown again.
    expect(bound([shot('a', 20, 50), shot('b', 52, 52, { weight: 3 })], [6.2])).toBeCloseTo(3, 9);
    expect(bound([shot('a', 50, 50)], [10])).toBe(0);
    // One that no single pack can reach counts for nothing, however much all hold together.
    expect(bound([shot('far', 40, 40, { weight: 100 }), ...two], [6, 6])).toBeCloseTo(15, 9);
  });
});
