import { measured, message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import {
  distanceOf,
  fromBearing,
  height,
  lengthOf,
  reader,
  screenDistance,
  speed,
  turnSense,
} from './parameters';
import { lookAlong, tiltTo } from './pose';
import { straightShape } from './straight';
import type { CameraMove, MoveParameter } from './types';

const edge: MoveParameter = {
  id: 'edgeM',
  label: 'Edge past the line of sight',
  quantity: 'metres',
  min: 0,
  max: 200,
  step: 0.5,
  initial: 4,
  hint: 'How far the thing in front reaches over the straight line to the subject.',
};

const parameters = [
  lengthOf(30),
  distanceOf(70),
  screenDistance,
  edge,
  height(6),
  fromBearing,
  speed(2.5),
  turnSense('to the left', 'to the right'),
];

export const sideReveal: CameraMove = {
  kind: 'side-reveal',
  name: 'Side reveal',
  says: 'Comes round the corner and finds it.',
  sticks: 'Sideways only, out from behind something near.',
  needs: 'A near edge to come from: a wall, a trunk, a rock.',
  caution: 'The start is close to the edge: keep a safe gap and clear the side you fly to.',
  direction: 'across',
  purpose: 'reveal',
  roles: ['reveal', 'open'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const [distanceM, screenM, half] = [get('distanceM'), get('screenM'), get('lengthM') / 2];
    if (screenM >= distanceM) return none(message('path.what-hides-view-stand'));
    // The edge reaches past the middle line by edgeM at the screen; seen from the subject it covers more the nearer the camera.
    const clear = (get('edgeM') * distanceM) / (distanceM - screenM);
    if (clear >= half) return none(message('path.view-clears-past', { past: measured(clear, 'metres', 0) }));
    const from = get('fromBearingDeg');
    const sense = get('sense') === 1 ? 1 : -1;
    const middle = offset(subject.aim, from, distanceM, get('heightM'));
    const shape = straightShape(
      offset(middle, from + 270, -half * sense, middle.z),
      offset(middle, from + 270, half * sense, middle.z),
      get('speedMs'),
      (at) => lookAlong(at, from + 180, tiltTo(middle, subject.aim)),
    );
    return shape.ok
      ? {
          ok: true,
          value: {
            ...shape.value,
            marks: [{ share: 0.5 + clear / (2 * half), say: 'the subject comes into view' }],
          },
        }
      : shape;
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
