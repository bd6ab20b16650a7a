import { offset } from '../geometry';
import { distanceOf, fromBearing, height, lengthOf, reader, speed, turnSense } from './parameters';
import { lookAlong, tiltTo } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  lengthOf(40),
  distanceOf(40),
  height(8),
  fromBearing,
  speed(3),
  turnSense('to the left', 'to the right'),
];

export const slide: CameraMove = {
  kind: 'slide',
  name: 'Slide',
  says: 'Passes by: near things cross far things, the place gets depth.',
  sticks: 'Sideways only; nothing else moves.',
  needs: 'Something near in the frame that the far can slide behind.',
  caution: 'The aircraft flies to where nobody looks: clear that side first.',
  direction: 'across',
  purpose: 'pass',
  roles: ['develop', 'calm', 'bridge', 'detail'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    const middle = offset(subject.aim, from, get('distanceM'), get('heightM'));
    const right = from + 180 + 90;
    const half = ((get('sense') === 1 ? 1 : -1) * get('lengthM')) / 2;
    const tilt = tiltTo(middle, subject.aim);
    return straightShape(
      offset(middle, right, -half, middle.z),
      offset(middle, right, half, middle.z),
      get('speedMs'),
      (at) => lookAlong(at, from + 180, tilt),
    );
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
