import { message, type Message } from '../messages';
import { between, distance, type Vec3 } from '../geometry';
import { found, none, type Result } from '../units';
import { lookAlong, lookAt, tiltTo, type Pose } from './pose';
import type { MoveShape, MoveSubject } from './types';

/** Straight path from a to b at a speed; the camera looks as `poseAt` says. */
export const straightShape = (
  from: Vec3,
  to: Vec3,
  speedMs: number,
  look: (at: Vec3, share: number) => Pose,
): Result<MoveShape, Message> => {
  const lengthM = distance(from, to);
  if (lengthM < 0.1) return none(message('path.start-end-are-same'));
  return found({
    extent: { by: 'path', lengthM, speedMs },
    poseAt: (share) => look(between(from, to, share), share),
  });
};

/** Camera that keeps a subject framed, or holds the tilt it had at a reference place. */
export const framedOrFixed = (keep: boolean, subject: MoveSubject, headingDeg: number, reference: Vec3) => {
  const fixedTilt = tiltTo(reference, subject.aim);
  return (at: Vec3): Pose => (keep ? lookAt(at, subject.aim) : lookAlong(at, headingDeg, fixedTilt));
};
