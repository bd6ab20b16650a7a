import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAt } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(15, 'Starts at', 'startM'),
  distanceOf(90, 'Ends at', 'endM'),
  height(4, 'Starts at height', 'startHeightM'),
  height(50, 'Ends at height', 'endHeightM'),
  fromBearing,
  speed(4),
];

export const upAndAway: CameraMove = {
  kind: 'up-and-away',
  name: 'Up and away',
  says: 'Lets go: the subject shrinks into its world. The last picture of a film.',
  sticks: 'Backward and throttle up together, the camera tilting down.',
  needs: 'Clear air behind and above, looked at before the take.',
  caution: 'You fly backwards into what you cannot see: have someone watch, or fly the line forward first.',
  direction: 'away',
  purpose: 'leave',
  roles: ['close', 'reveal'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endHeightM') <= get('startHeightM')) return none(message('path.up-away-end-higher'));
    if (get('endM') <= get('startM')) return none(message('path.up-away-end-farther'));
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
    const climb = get('endHeightM') - get('startHeightM');
    return { ...values, endM: get('startM') + Math.sqrt(Math.max(0, lengthM ** 2 - climb ** 2)) };
  },
};
