import { offset, radians } from '../geometry';
import { message } from '../messages';
import { found, none } from '../units';
import { distanceOf, fromBearing, height, reader, speed, turnSense } from './parameters';
import { lookAt } from './pose';
import type { CameraMove, Leg, MoveParameter } from './types';

const arc: MoveParameter = {
  id: 'arcDeg',
  label: 'Arc',
  quantity: 'degrees',
  min: 2,
  max: 180,
  step: 1,
  initial: 60,
};

const parameters = [
  distanceOf(35, 'Radius', 'radiusM'),
  height(15),
  arc,
  fromBearing,
  speed(3),
  turnSense('anticlockwise', 'clockwise'),
];

/** It comes to rest where it turns round, s. */
const REST_S = 1;

export const orbitAndBack: CameraMove = {
  kind: 'orbit-and-back',
  name: 'Orbit and back',
  says: 'Looks round the subject, thinks again, and comes back.',
  sticks: 'Sideways and yaw against each other; let both go softly, then the same the other way.',
  needs: 'A background with depth on both sides.',
  caution: 'Half of it is flown towards where you came from: keep the whole arc free.',
  direction: 'around',
  purpose: 'detail',
  roles: ['develop', 'detail', 'calm'],
  reversible: false,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const radiusM = get('radiusM');
    if (!(radiusM > 0)) return none(message('path.orbit-needs-radius-above'));
    const signed = get('arcDeg') * (get('sense') === 1 ? 1 : -1);
    const way: Leg = { by: 'path', lengthM: radiusM * radians(get('arcDeg')), speedMs: get('speedMs') };
    // There, rest, back: a third of the shares each.
    const along = (share: number): number =>
      Math.max(0, Math.min(1, share < 0.5 ? 3 * share : 3 * (1 - share)));
    return found({
      intervals: 6 * Math.ceil(get('arcDeg') / 30),
      extent: { by: 'legs', legs: [way, { by: 'wait', seconds: REST_S }, way] },
      poseAt: (share) =>
        lookAt(
          offset(subject.aim, get('fromBearingDeg') + signed * along(share), radiusM, get('heightM')),
          subject.aim,
        ),
      marks: [{ share: 0.5, say: 'turns round' }],
    });
  },
};
