import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAt } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  height(1.5, 'Starts at', 'startM'),
  height(9, 'Ends at', 'endM'),
  distanceOf(8),
  fromBearing,
  speed(0.8),
];

export const craneUp: CameraMove = {
  kind: 'crane-up',
  name: 'Crane up',
  says: 'Eye to eye, then above: intimate, then looking on.',
  sticks: 'Throttle up very gently, the camera tilting down with it.',
  needs: 'A subject you may come this near to, and still air.',
  caution: 'Near a person, only with their consent and a clear way out; prop guards, slow mode.',
  direction: 'up',
  purpose: 'open',
  roles: ['detail', 'develop', 'close'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endM') <= get('startM')) return none(message('path.crane-up-end-higher'));
    const at = (heightM: number) => offset(subject.aim, get('fromBearingDeg'), get('distanceM'), heightM);
    return straightShape(at(get('startM')), at(get('endM')), get('speedMs'), (here) =>
      lookAt(here, subject.aim),
    );
  },
  withLength: (values, lengthM) => ({ ...values, endM: reader(parameters, values)('startM') + lengthM }),
};
