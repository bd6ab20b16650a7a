import { circleShape } from './circle';
import { distanceOf, fromBearing, height, reader, speed, turnSense, turns } from './parameters';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(30, 'Radius', 'radiusM'),
  height(15),
  turns(1, 1),
  fromBearing,
  speed(4),
  turnSense('anticlockwise', 'clockwise'),
];

export const orbit: CameraMove = {
  kind: 'orbit',
  name: 'Orbit',
  says: 'Shows the subject from every side; the world turns about it.',
  sticks: 'Sideways and yaw against each other, both held still.',
  needs: 'A subject that stands out from what is behind it, and clear air all round.',
  caution: 'Half of the circle is flown behind the subject, where you may not see the aircraft.',
  direction: 'around',
  purpose: 'detail',
  roles: ['develop', 'reveal', 'excite'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const arc = 360 * get('turns') * (get('sense') === 1 ? 1 : -1);
    return circleShape(subject, get('radiusM'), get('heightM'), get('fromBearingDeg'), arc, get('speedMs'));
  },
  withLength: (values, lengthM) => {
    const around = 2 * Math.PI * reader(parameters, values)('radiusM');
    return { ...values, turns: Math.max(1, lengthM / around) };
  },
};
