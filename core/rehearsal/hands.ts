import type { Vec3 } from '../geometry';
import { mean } from '../units';
import type { Controls } from './sticks';
import type { TrySample } from './try';

/** Speeds are smoothed over a fifth of a second: so many samples to either side. */
const WIDE = 3;

/**
 * Change of acceleration at every sample of a try, from smoothed speeds, m/s³; 0 at the two ends, where there is nothing to
 * compare with.
 */
export const jerkAlong = (samples: readonly TrySample[]): readonly number[] => {
  const smooth = samples.map((_, i): Vec3 => {
    const part = samples.slice(Math.max(0, i - WIDE), i + WIDE + 1);
    return {
      x: mean(part.map((s) => s.velocity.x)),
      y: mean(part.map((s) => s.velocity.y)),
      z: mean(part.map((s) => s.velocity.z)),
    };
  });
  const dt = (samples[1]?.tS ?? 1) - (samples[0]?.tS ?? 0);
  const slope = (list: readonly Vec3[]): Vec3[] =>
    list.slice(2).map((v, i) => {
      const a = list[i] ?? v;
      return { x: (v.x - a.x) / (2 * dt), y: (v.y - a.y) / (2 * dt), z: (v.z - a.z) / (2 * dt) };
    });
  const inner = slope(slope(smooth)).map((j) => Math.hypot(j.x, j.y, j.z));
  return samples.map((_, i) => inner[i - 2] ?? 0);
};

/** A stick that moves back by at least this much in the middle of a take has corrected. */
const CORRECTION = 0.12;
const MIDDLE = [0.12, 0.88] as const;
const STICKS: readonly (keyof Controls)[] = ['forward', 'right', 'up', 'yaw', 'tilt'];

/**
 * Seconds of the corrections in the middle of a take, in order: each time a stick turns back against the way it was moving, by an
 * eighth of its way or more. A take that is flown through has none.
 */
export const correctionsIn = (samples: readonly TrySample[]): readonly number[] => {
  const middle = samples.slice(Math.floor(samples.length * MIDDLE[0]), Math.ceil(samples.length * MIDDLE[1]));
  const turns = (axis: keyof Controls): readonly number[] => {
    const at: number[] = [];
    let [extreme, direction] = [middle[0]?.controls[axis] ?? 0, 0];
    for (const { tS, controls } of middle) {
      const x = controls[axis];
      if (direction !== 0 && Math.sign(x - extreme) === direction) extreme = x;
      else if (Math.abs(x - extreme) >= CORRECTION) {
        if (direction !== 0) at.push(tS);
        direction = Math.sign(x - extreme);
        extreme = x;
      }
    }
    return at;
  };
  return STICKS.flatMap(turns).sort((a, b) => a - b);
};

/** How far the stick that is pushed farthest stands off its middle at every sample, 0 to 1. */
export const pushAlong = (samples: readonly TrySample[]): readonly number[] =>
  samples.map(({ controls }) => STICKS.reduce((most, axis) => Math.max(most, Math.abs(controls[axis])), 0));
