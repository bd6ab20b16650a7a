import { lookAt, tiltTo, type MoveShape, type Pose } from '../moves';
import type { Ground } from '../terrain';
import { turnBetween, vec, type Vec3 } from '../geometry';

const STEPS = 128;
/** A pose that looks at the subject this closely was meant to. */
const AIMED_DEG = 0.5;

/**
 * A move as an aid flies it that keeps the height over ground: where the ground rises, so does the aircraft; where it falls
 * away, it stays up. Height over the falling slope therefore grows: the aid does not follow ground downhill.
 * @param aim what is kept framed where the move looked at it before
 */
export const overGround = (shape: MoveShape, ground: Ground, aim: Vec3): MoveShape => {
  const start = shape.poseAt(0).at;
  const base = ground.at(start.x, start.y);
  if (Number.isNaN(base)) return shape;
  // What the ground has risen so far, never falling again.
  const risen = new Float64Array(STEPS + 1);
  for (let i = 0, most = 0; i <= STEPS; i += 1) {
    const { x, y } = shape.poseAt(i / STEPS).at;
    const z = ground.at(x, y);
    if (z - base > most) most = z - base;
    risen[i] = most;
  }
  const riseAt = (share: number): number => {
    const u = Math.min(STEPS, Math.max(0, share * STEPS));
    const i = Math.min(STEPS - 1, Math.floor(u));
    return (risen[i] ?? 0) + ((risen[i + 1] ?? 0) - (risen[i] ?? 0)) * (u - i);
  };
  return {
    ...shape,
    poseAt: (share): Pose => {
      const pose = shape.poseAt(share);
      const at = vec(pose.at.x, pose.at.y, pose.at.z + riseAt(share));
      const aimed =
        Math.abs(tiltTo(pose.at, aim) - pose.tiltDeg) < AIMED_DEG &&
        Math.abs(turnBetween(lookAt(pose.at, aim).headingDeg, pose.headingDeg)) < AIMED_DEG;
      return { at, headingDeg: pose.headingDeg, tiltDeg: aimed ? tiltTo(at, aim) : pose.tiltDeg };
    },
  };
};
