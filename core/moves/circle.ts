import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { offset, radians } from '../geometry';
import { lookAt } from './pose';
import type { MoveShape, MoveSubject } from './types';

/** Circle or arc about the subject at a constant height, the camera on the subject: path r·arc, yaw rate v/r. */
export const circleShape = (
  subject: MoveSubject,
  radiusM: number,
  heightM: number,
  startDeg: number,
  arcDeg: number,
  speedMs: number,
): Result<MoveShape, Message> => {
  if (!(radiusM > 0)) return none(message('path.orbit-needs-radius-above'));
  return found({
    intervals: 2 * Math.ceil(Math.abs(arcDeg) / 30),
    extent: { by: 'path', lengthM: radiusM * radians(Math.abs(arcDeg)), speedMs },
    poseAt: (share) => lookAt(offset(subject.aim, startDeg + arcDeg * share, radiusM, heightM), subject.aim),
  });
};
