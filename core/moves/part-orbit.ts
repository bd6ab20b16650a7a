import { degrees } from '../geometry';
import { circleShape } from './circle';
import { distanceOf, fromBearing, height, reader, speed, turnSense } from './parameters';
import type { CameraMove, MoveParameter } from './types';

const arc: MoveParameter = {
  id: 'arcDeg',
  label: 'Arc',
  quantity: 'degrees',
  min: 2,
  max: 359,
  step: 1,
  initial: 90,
};

const parameters = [
  distanceOf(35, 'Radius', 'radiusM'),
  height(15),
  arc,
  fromBearing,
  speed(4),
  turnSense('anticlockwise', 'clockwise'),
];

export const partOrbit: CameraMove = {
  kind: 'part-orbit',
  name: 'Part orbit',
  says: 'Turns the subject a little in the light: presence without show.',
  sticks: 'Sideways and yaw against each other, for a part of the circle.',
  needs: 'A background with depth, so that the turn reads.',
  caution: 'Know where the arc ends before it starts.',
  direction: 'around',
  purpose: 'detail',
  roles: ['develop', 'detail', 'calm'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const signed = get('arcDeg') * (get('sense') === 1 ? 1 : -1);
    return circleShape(
      subject,
      get('radiusM'),
      get('heightM'),
      get('fromBearingDeg'),
      signed,
      get('speedMs'),
    );
  },
  withLength: (values, lengthM) => ({
    ...values,
    arcDeg: Math.min(359, Math.max(2, degrees(lengthM / reader(parameters, values)('radiusM')))),
  }),
};
