import { bearingTo, flatLength, minus, turnBetween } from '../geometry';
import type { SENSE_SIDES } from '../model';
import type { Pose } from '../moves';

export type SenseSide = (typeof SENSE_SIDES)[number];

/** Slower than this between two poses it goes nowhere, m. */
const STILL_M = 0.05;

/**
 * Which of its sides goes first where a path passes a share of its poses; null where it stands still. A way that climbs or sinks
 * more than it goes along is up or down. The camera looks ahead of the aircraft, as a gimbal without yaw of its own does.
 */
export const travelSide = (poses: readonly Pose[], share: number): SenseSide | null => {
  const at = Math.min(poses.length - 2, Math.max(0, Math.floor(share * (poses.length - 1))));
  const [a, b] = [poses[at], poses[at + 1]];
  if (!a || !b) return null;
  const way = minus(b.at, a.at);
  const along = flatLength(way.x, way.y);
  if (Math.hypot(along, way.z) < STILL_M) return null;
  if (Math.abs(way.z) > along) return way.z > 0 ? 'up' : 'down';
  const turn = turnBetween(a.headingDeg, bearingTo(a.at, b.at));
  if (Math.abs(turn) <= 45) return 'front';
  if (Math.abs(turn) >= 135) return 'back';
  return turn > 0 ? 'right' : 'left';
};
