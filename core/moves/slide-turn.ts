import { offset } from '../geometry';
import { distanceOf, fromBearing, height, lengthOf, reader, speed, turnSense } from './parameters';
import { lookAt } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  lengthOf(60),
  distanceOf(35),
  height(10),
  fromBearing,
  speed(3.5),
  turnSense('to the left', 'to the right'),
];

export const slideTurn: CameraMove = {
  kind: 'slide-turn',
  name: 'Slide and turn',
  says: 'Passes by without letting go: the subject stays, everything round it moves.',
  sticks: 'Sideways, with the yaw following the subject.',
  needs: 'A subject that stands free, something near to pass.',
  caution: 'The yaw is slow at the ends and fast in the middle: feed it in gently.',
  direction: 'across',
  purpose: 'reveal',
  roles: ['develop', 'reveal', 'bridge'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    const middle = offset(subject.aim, from, get('distanceM'), get('heightM'));
    const half = ((get('sense') === 1 ? 1 : -1) * get('lengthM')) / 2;
    const right = from + 270;
    return straightShape(
      offset(middle, right, -half, middle.z),
      offset(middle, right, half, middle.z),
      get('speedMs'),
      (at) => lookAt(at, subject.aim),
    );
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
