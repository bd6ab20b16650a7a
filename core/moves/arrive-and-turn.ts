import { found } from '../units';
import { offset } from '../geometry';
import { distanceOf, height, reader, turnSense } from './parameters';
import { lookAlong, tiltTo } from './pose';
import type { CameraMove, MoveParameter } from './types';

const rate: MoveParameter = {
  id: 'rateDegS',
  label: 'Turn rate',
  quantity: 'degreesPerSecond',
  min: 1,
  max: 90,
  step: 0.5,
  initial: 18,
};

const parameters = [
  { ...distanceOf(4), label: 'Beside its way' },
  height(3),
  rate,
  turnSense('on its left', 'on its right'),
];

export const arriveAndTurn: CameraMove = {
  kind: 'arrive-and-turn',
  name: 'Arrive and turn',
  says: 'It comes, it passes, it goes: one breath.',
  sticks: 'Yaw only, half a turn, timed on the subject.',
  needs: 'A subject that moves on a line past the aircraft.',
  caution: 'It passes close: stand clear of its way, and agree on the line first.',
  direction: 'still',
  purpose: 'open',
  roles: ['bridge', 'excite', 'close'],
  reversible: false,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const right = get('sense') === 1;
    const at = offset(subject.aim, subject.headingDeg + (right ? 90 : -90), get('distanceM'), get('heightM'));
    const tilt = tiltTo(at, subject.aim) / 3;
    // Looks at where it comes from, turns past it, and looks after it.
    return found({
      extent: { by: 'turn', turnDeg: 180, rateDegS: get('rateDegS') },
      poseAt: (share) => lookAlong(at, subject.headingDeg + 180 + (right ? 180 : -180) * share, tilt),
    });
  },
};
