import { bearingTo, offset } from '../geometry';
import { found } from '../units';
import { distanceOf, fromBearing, height, reader, turnSense } from './parameters';
import { lookAlong, tiltTo } from './pose';
import type { CameraMove, MoveParameter } from './types';

const turn: MoveParameter = {
  id: 'turnDeg',
  label: 'Turn',
  quantity: 'degrees',
  min: 5,
  max: 360,
  step: 5,
  initial: 60,
};
const rate: MoveParameter = {
  id: 'rateDegS',
  label: 'Turn rate',
  quantity: 'degreesPerSecond',
  min: 0.5,
  max: 60,
  step: 0.5,
  initial: 5,
};

const parameters = [
  turn,
  rate,
  distanceOf(60),
  height(20),
  fromBearing,
  turnSense('to the left', 'to the right'),
];

export const pan: CameraMove = {
  kind: 'pan',
  name: 'Pan',
  says: 'Looks round: from one thing to the next, or along a wide one.',
  sticks: 'Yaw only, from a settled hover.',
  needs: 'Something to start on and something to end on.',
  caution: 'Under seven seconds across the frame it strobes: turn slowly.',
  direction: 'still',
  purpose: 'still',
  roles: ['bridge', 'develop', 'reveal'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const at = offset(subject.aim, get('fromBearingDeg'), get('distanceM'), get('heightM'));
    const signed = get('turnDeg') * (get('sense') === 1 ? 1 : -1);
    const heading = bearingTo(at, subject.aim);
    const tilt = tiltTo(at, subject.aim);
    return found({
      extent: { by: 'turn', turnDeg: get('turnDeg'), rateDegS: get('rateDegS') },
      poseAt: (share) => lookAlong(at, heading + signed * (share - 0.5), tilt),
    });
  },
};
