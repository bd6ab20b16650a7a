import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoFilm } from '../../demo';
import { FilmDeriver } from '../film';
import { vec } from '../geometry';
import type { Feature } from '../model';
import { LEVEL_GROUND } from '../terrain';
import { numberIn, Reached } from '../testing';
import { HANDS_OFF, leavesAmong, overLeaves, rehearsalOf, Try, type RehearsedPlace } from '.';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

const input = demoFilm();
const wood = input.features.find((f) => f.kind === 'wood')!;
const square: Feature = {
  ...wood,
  shape: 'area',
  heightM: 12,
  radiusM: 0,
  points: [
    { ...wood.points[0]!, xM: -40, yM: -40 },
    { ...wood.points[0]!, xM: 40, yM: -40 },
    { ...wood.points[0]!, xM: 40, yM: 40 },
    { ...wood.points[0]!, xM: -40, yM: 40 },
  ],
};
const misled = overLeaves([square], LEVEL_GROUND);

describe('leaves below', () => {
  it('mislead the hold among them, ever less above them, and not at all beside them or over what bears none', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(numberIn(-55, 55), numberIn(-55, 55), numberIn(0, 30), numberIn(0, 3), (x, y, z, up) => {
        const [low, high] = [misled(vec(x, y, z)), misled(vec(x, y, z + up))];
        expect(high).toBeLessThanOrEqual(low);
        // Nowhere a jump: by as much as one rises.
        expect(low - high).toBeLessThanOrEqual(up / 8 + 1e-9);
        const beside = Math.max(Math.abs(x), Math.abs(y)) > 40;
        if (reached.when('beside', beside)) expect(low).toBe(0);
        if (reached.when('among', !beside && z <= 12)) expect(low).toBe(1);
        if (reached.when('over', !beside && z > 12 && z < 20)) expect(low).toBeGreaterThan(0);
      }),
      { numRuns: 400 },
    );
    for (const what of ['beside', 'among', 'over']) reached.atLeast(what, 8);
    expect(overLeaves([{ ...square, kind: 'building' }], LEVEL_GROUND)(vec(0, 0, 5))).toBe(0);
    expect(leavesAmong(input.features).every((f) => f.kind === 'wood' || f.kind === 'tree')).toBe(true);
    expect(leavesAmong(input.features).length).toBeGreaterThan(0);
  });

  it('make a hover wander with the gusts, not in still air, and a kept flight is flown again with them', () => {
    const shot = [...new FilmDeriver().derive(input).shots.values()].find(
      (s) => s.facts.shot.title === 'Valley wakes',
    )!;
    const wander = (calm: boolean, leavesAt: RehearsedPlace['leavesAt']): number => {
      const { craft, place, trajectory } = rehearsalOf(shot, { handling: 'normal', calm })!;
      const rng = xoroshiro128plus(7);
      const random = (): number => (rng.next() >>> 0) / 2 ** 32;
      const { start } = trajectory;
      const t = new Try(start, craft, { ...place, leavesAt, random });
      let most = 0;
      for (let i = 0; i < 60; i += 1) {
        t.fly(HANDS_OFF, 60);
        most = Math.max(most, Math.hypot(t.state.at.x - start.at.x, t.state.at.y - start.at.y));
      }
      return most;
    };
    const [clear, leaves] = [wander(false, () => 0), wander(false, () => 1)];
    expect(leaves).toBeGreaterThan(1.3 * clear);
    expect(wander(true, () => 1)).toBeCloseTo(
      wander(true, () => 0),
      9,
    );
    const under = { ...square, points: square.points.map((p) => ({ ...p, xM: p.xM * 100, yM: p.yM * 100 })) };
    const there = rehearsalOf(shot, {
      handling: 'normal',
      calm: false,
      leaves: [{ ...under, heightM: 200 }],
    })!;
    expect(there.place.leavesAt(there.trajectory.start.at)).toBe(1);
    expect(rehearsalOf(shot, { handling: 'normal', calm: false })!.place.leavesAt(vec(0, 0, 1))).toBe(0);
  });
});
