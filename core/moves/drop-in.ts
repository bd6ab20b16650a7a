import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAt } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(80, 'Starts at', 'startM'),
  distanceOf(20, 'Ends at', 'endM'),
  height(40, 'Starts at height', 'startHeightM'),
  height(8, 'Ends at height', 'endHeightM'),
  fromBearing,
  speed(3.5),
];

export const dropIn: CameraMove = {
  kind: 'drop-in',
  name: 'Drop in',
  says: 'From the whole place down to the one thing in it.',
  sticks: 'Forward and throttle down together, the camera tilting up to keep the subject.',
  needs: 'An open slope of air to the subject, and an end point you have seen from the ground.',
  caution: 'Speed builds on the way down: know where you stop, well before the subject.',
  direction: 'toward',
  purpose: 'open',
  roles: ['develop', 'detail', 'excite'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endHeightM') >= get('startHeightM')) return none(message('path.drop-in-end-lower'));
    if (get('endM') >= get('startM')) return none(message('path.drop-in-end-nearer'));
    const from = get('fromBearingDeg');
    return straightShape(
      offset(subject.aim, from, get('startM'), get('startHeightM')),
      offset(subject.aim, from, get('endM'), get('endHeightM')),
      get('speedMs'),
      (at) => lookAt(at, subject.aim),
    );
  },
  withLength: (values, lengthM) => {
    const get = reader(parameters, values);
    const drop = get('startHeightM') - get('endHeightM');
    return { ...values, startM: get('endM') + Math.sqrt(Math.max(0, lengthM ** 2 - drop ** 2)) };
  },
};
