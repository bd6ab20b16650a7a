import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { windSpeedAt, type Wind } from '../air';
import { vec, type Vec3 } from '../geometry';
import type { Trajectory } from '../moves';
import { numberIn, Reached } from '../testing';
import { hoverCost, legCost, legFlyer, verticalCost, wayHome } from './leg';
import { pathEnergy } from './path';
import type { PowerModel } from './power';

/** Power so plain that every sum can be done on paper: W = 100 + v² + 40 · climb. */
const plain: PowerModel = {
  watts: (air, climb) => 100 + air * air + 40 * climb,
  hoverW: 100,
  basis: 'drag-area',
};
const flyer = legFlyer({
  power: plain,
  repositionMs: 8,
  topAirspeedMs: 16,
  maxClimbMs: 4,
  maxDescentMs: 2.5,
  homeGustShare: 0,
});
/** The same wind at every height. */
const wind = (speed: number, fromDeg: number, gust = speed): Wind => ({
  speedAt10mMs: speed,
  gustAt10mMs: gust,
  fromDeg,
  shear: 0,
});
const leg = (on: Wind, from: Vec3, to: Vec3) => {
  const cost = legCost(flyer, on, from, to);
  if (!cost.ok) throw new Error('not flown');
  return cost.value;
};

describe('legs by hand', () => {
  it('energy of least cost over ground in still air: 100/v = v', () => {
    expect(flyer.thriftyMs()).toBeCloseTo(10, 2);
  });
  it('hover against the air it stands in', () => {
    expect(hoverCost(plain, wind(6, 0), 30, 90)).toEqual({ seconds: 90, wattHours: (136 * 90) / 3600 });
  });
  it('up at the fastest climb and its power, down at the fastest descent without any, none for no way', () => {
    expect(verticalCost(flyer, wind(3, 0), 10, 50)).toEqual({
      seconds: 10,
      wattHours: ((100 + 9 + 160) * 10) / 3600,
    });
    expect(verticalCost(flyer, wind(3, 0), 50, 10)).toEqual({ seconds: 16, wattHours: (109 * 16) / 3600 });
    expect(verticalCost(flyer, wind(3, 0), 20, 20)).toEqual({ seconds: 0, wattHours: 0 });
    const shear = { ...wind(5, 0), shear: 0.2 };
    const air = windSpeedAt(5, 30, 0.2);
    expect(verticalCost(flyer, shear, 50, 10).wattHours).toBeCloseTo(((100 + air * air) * 16) / 3600, 9);
  });
  it.each([
    ['with the wind', 200, 1],
    ['a little with it', 240, Math.hypot(8 - 3 * Math.cos(Math.PI / 4.5), 3 * Math.sin(Math.PI / 4.5)) / 5],
  ])('%s at the speed wished for, whatever the origin', (_, fromDeg) => {
    const on = wind(3, fromDeg);
    const bearing = (20 * Math.PI) / 180;
    const far = vec(700 + 160 * Math.sin(bearing), -40 + 160 * Math.cos(bearing), 30);
    const cost = leg(on, vec(700, -40, 30), far);
    expect(cost.seconds).toBeCloseTo(20, 9);
    const turn = ((fromDeg - 20) * Math.PI) / 180;
    const air = Math.hypot(8 + 3 * Math.cos(turn), 3 * Math.sin(turn));
    expect(cost.wattHours).toBeCloseTo(((100 + air * air) * 20) / 3600, 9);
    expect(cost.level?.lengthM).toBeCloseTo(160, 9);
    expect(cost.level?.slower).toBeCloseTo(1, 9);
  });
  it('against the wind as wished while the thriftiest airspeed allows it, then at the thriftiest, against a dense search', () => {
    const reached = new Reached();
    fc.assert(
      fc.property(numberIn(0, 20), numberIn(0, 180), (speed, fromDeg) => {
        const [head, cross] = [
          speed * Math.cos((fromDeg * Math.PI) / 180),
          speed * Math.sin((fromDeg * Math.PI) / 180),
        ];
        const ground = (air: number): number => Math.sqrt(Math.max(0, air * air - cross * cross)) - head;
        let [best, least] = [0, Infinity];
        for (let air = Math.abs(cross); air <= 16; air += 0.004) {
          const perMetre = ground(air) > 1e-3 ? plain.watts(air, 0) / ground(air) : Infinity;
          if (perMetre < least) [best, least] = [air, perMetre];
        }
        const needed = Math.hypot(8 + head, cross);
        const cost = legCost(flyer, wind(speed, fromDeg), vec(0, 0, 20), vec(0, 400, 20));
        if (needed <= 8) {
          reached.when('with it', true);
          expect(cost.ok && cost.value.seconds).toBeCloseTo(50, 9);
        } else if (least === Infinity) expect(reached.when('too strong', !cost.ok)).toBe(true);
        else if (needed <= Math.max(best, 8) - 0.01) {
          reached.when('as wished', true);
          expect(cost.ok && cost.value.seconds).toBeCloseTo(50, 9);
        } else if (needed > Math.max(best, 8) + 0.01 && ground(best) > 2 && cross < 14) {
          reached.when('thriftiest', true);
          const seconds = 400 / ground(Math.max(best, 8));
          expect(cost.ok && cost.value.seconds / seconds).toBeCloseTo(1, 2);
          expect(cost.ok && cost.value.level?.slower).toBeCloseTo((cost.ok ? cost.value.seconds : 0) / 50, 9);
        }
      }),
      { numRuns: 300 },
    );
    for (const what of ['with it', 'as wished', 'thriftiest', 'too strong']) reached.atLeast(what, 8);
  });
  it('a steep leg takes as long as its climb or descent, at the airspeed that leaves, and is not called slow for it', () => {
    const up = leg(wind(0, 0), vec(0, 0, 10), vec(30, 0, 90));
    expect(up).toEqual({
      seconds: 20,
      wattHours: ((100 + 1.5 * 1.5 + 40 * 4) * 20) / 3600,
      level: { lengthM: 30, slower: 1 },
    });
    const down = leg(wind(0, 0), vec(0, 0, 90), vec(30, 0, 40));
    expect(down.seconds).toBe(20);
    expect(down.wattHours).toBeCloseTo(((100 + 1.5 * 1.5 - 40 * 2.5) * 20) / 3600, 9);
    expect(down.level?.slower).toBe(1);
  });
  it('a leg without length is a climb on the spot, and one of two centimetres is flown', () => {
    expect(leg(wind(2, 0), vec(5, 5, 10), vec(5.009, 5, 50))).toEqual(
      verticalCost(flyer, wind(2, 0), 10, 50),
    );
    expect(leg(wind(0, 0), vec(5, 5, 10), vec(5.02, 5, 10)).level?.lengthM).toBeCloseTo(0.02, 9);
  });
  it('the way home is its three parts, and says how much slower than in still air its level part is', () => {
    const on = wind(4, 180, 6);
    const home = wayHome({ ...flyer, homeGustShare: 0.5 }, on, vec(0, 300, 20), 70, vec(0, 0, 10));
    const up = verticalCost(flyer, wind(5, 180), 20, 80);
    const down = verticalCost(flyer, wind(5, 180), 80, 10);
    let least = Infinity;
    let speed = 0;
    for (let air = 5.01; air <= 16; air += 0.001)
      if (plain.watts(air, 0) / (air - 5) < least)
        [least, speed] = [plain.watts(air, 0) / (air - 5), air - 5];
    if (!home.ok) throw new Error('no way home');
    expect(home.value.seconds).toBeCloseTo(up.seconds + 300 / speed + down.seconds, 1);
    expect(home.value.wattHours).toBeCloseTo(up.wattHours + (least * 300) / 3600 + down.wattHours, 5);
    expect(home.value.level?.lengthM).toBe(300);
    expect(home.value.level?.slower).toBeCloseTo(flyer.thriftyMs() / speed, 2);
  });
});

describe('a path by hand', () => {
  /** Flown from 0 to 2 m/s and back to 0 in 8 s: velocity is a parabola, so that v² is of the fourth degree. */
  const flownTo = (dir: Vec3, z: number, steps = 64): Trajectory =>
    ({
      totalS: 8,
      samples: Array.from({ length: steps + 1 }, (_, i) => {
        const t = (i / steps) * 8;
        const v = (t * (8 - t)) / 8;
        return { pose: { at: vec(t, 0, z) }, velocity: vec(dir.x * v, dir.y * v, dir.z * v) };
      }),
    }) as unknown as Trajectory;
  // ∫v = 32/3 and ∫v² = 8⁵/(30·64) over the eight seconds.
  const [V, V2] = [32 / 3, 8 ** 5 / (30 * 64)];

  it('there and back take the power of their own airspeed, with the wind at the height above the ground below', () => {
    const on = { ...wind(3, 90), shear: 0.3 };
    const air = windSpeedAt(3, 40, 0.3);
    const { there, back } = pathEnergy(flownTo(vec(0, 1, 0), 55), plain, on, () => 15);
    // The wind comes from the east, straight across.
    for (const way of [there, back]) {
      expect(way.wattHours * 3600).toBeCloseTo((100 + air * air) * 8 + V2, 3);
      expect(way.peakAirspeedMs).toBeCloseTo(Math.hypot(2, air), 9);
      expect(way.meanW).toBeCloseTo((way.wattHours * 3600) / 8, 9);
    }
    const unknown = pathEnergy(flownTo(vec(0, 1, 0), 55), plain, on, () => NaN);
    expect(unknown).toEqual(pathEnergy(flownTo(vec(0, 1, 0), 55), plain, on));
    expect(unknown.there.wattHours).toBeGreaterThan(there.wattHours);
  });
  it.each([
    [vec(1, 0, 0), 270],
    [vec(0, 1, 0), 180],
  ])('with the wind there, against it back (%j)', (dir, fromDeg) => {
    const { there, back } = pathEnergy(flownTo(dir, 20), plain, wind(3, fromDeg));
    expect(there.wattHours * 3600).toBeCloseTo(109 * 8 + V2 - 6 * V, 3);
    expect(back.wattHours * 3600).toBeCloseTo(109 * 8 + V2 + 6 * V, 3);
    expect(there.peakAirspeedMs).toBeCloseTo(3, 9);
    expect(back.peakAirspeedMs).toBeCloseTo(5, 9);
  });
  it('up there is down back', () => {
    const { there, back } = pathEnergy(flownTo(vec(0, 0, 1), 20), plain, wind(0, 0));
    expect(there.wattHours * 3600).toBeCloseTo(800 + 40 * V, 3);
    expect(back.wattHours * 3600).toBeCloseTo(800 - 40 * V, 3);
    expect(pathEnergy(flownTo(vec(0, 0, 1), 20, 0), plain, wind(0, 0)).there.wattHours).toBe(0);
  });
});
