import { windVector, type Wind } from '../air';
import type { FlownMove } from '../moves';
import type { PowerModel } from './power';

export interface PathEnergy {
  readonly wattHours: number;
  readonly peakAirspeedMs: number;
  readonly meanW: number;
}

/**
 * Energy of a flown move: power at the airspeed and climb of each sample, in the wind at its height, integrated over
 * time by Simpson's rule.
 * @param reversed flown end to start: the ground velocity turns round
 */
export const pathEnergy = (move: FlownMove, power: PowerModel, wind: Wind, reversed = false): PathEnergy => {
  const { samples, totalS } = move;
  const last = samples.length - 1;
  const sign = reversed ? -1 : 1;
  let sum = 0;
  let peakAirspeedMs = 0;
  samples.forEach((sample, i) => {
    const air = windVector(wind, sample.pose.at.z);
    const airspeed = Math.hypot(sign * sample.velocity.x - air.x, sign * sample.velocity.y - air.y);
    peakAirspeedMs = Math.max(peakAirspeedMs, airspeed);
    sum += power.watts(airspeed, sign * sample.velocity.z) * (i === 0 || i === last ? 1 : i % 2 === 1 ? 4 : 2);
  });
  const meanW = last > 0 ? sum / (3 * last) : 0;
  return { wattHours: (meanW * totalS) / 3600, peakAirspeedMs, meanW };
};
