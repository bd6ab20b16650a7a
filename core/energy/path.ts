import { windVectors, type Wind } from '../air';
import type { Trajectory } from '../moves';
import { flatLength } from '../geometry';
import type { PowerModel } from './power';

/** Energy of a path flown in one direction. */
export interface PathEnergy {
  readonly wattHours: number;
  readonly peakAirspeedMs: number;
  readonly meanW: number;
}

/** A path flown as laid out, and end to start: the ground velocity turns round, the wind does not. */
export interface BothWays {
  readonly there: PathEnergy;
  readonly back: PathEnergy;
}

/** Weight of a sample in Simpson's rule over an even number of intervals. */
const simpson = (i: number, last: number): number => (i === 0 || i === last ? 1 : i % 2 === 1 ? 4 : 2);

/**
 * Energy of a flown move both ways: power at the airspeed and climb of each sample, in the wind at its height, integrated
 * over time by Simpson's rule.
 * @param groundAt height of the ground over a place, m; level where left out or unknown
 */
export const pathEnergy = (
  move: Trajectory,
  power: PowerModel,
  wind: Wind,
  groundAt?: (x: number, y: number) => number,
): BothWays => {
  const { samples, totalS } = move;
  const last = samples.length - 1;
  const windAt = windVectors(wind);
  const sum = { there: 0, back: 0 };
  const peak = { there: 0, back: 0 };
  samples.forEach(({ pose, velocity }, i) => {
    const ground = groundAt?.(pose.at.x, pose.at.y) ?? 0;
    const air = windAt(Number.isNaN(ground) ? pose.at.z : pose.at.z - ground);
    const weight = simpson(i, last);
    const there = flatLength(velocity.x - air.x, velocity.y - air.y);
    const back = flatLength(velocity.x + air.x, velocity.y + air.y);
    sum.there += weight * power.watts(there, velocity.z);
    sum.back += weight * power.watts(back, -velocity.z);
    peak.there = Math.max(peak.there, there);
    peak.back = Math.max(peak.back, back);
  });
  const way = (direction: 'there' | 'back'): PathEnergy => {
    const meanW = last > 0 ? sum[direction] / (3 * last) : 0;
    return { wattHours: (meanW * totalS) / 3600, peakAirspeedMs: peak[direction], meanW };
  };
  return { there: way('there'), back: way('back') };
};
