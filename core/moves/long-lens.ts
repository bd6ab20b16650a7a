import { degrees } from '../geometry';
import { circleShape } from './circle';
import { distanceOf, fromBearing, height, reader, speed, turnSense } from './parameters';
import type { CameraMove, MoveParameter } from './types';

const arc: MoveParameter = {
  id: 'arcDeg',
  label: 'Arc',
  quantity: 'degrees',
  min: 1,
  max: 60,
  step: 1,
  initial: 12,
};

const parameters = [
  distanceOf(200, 'Radius', 'radiusM'),
  height(50),
  arc,
  fromBearing,
  speed(7),
  turnSense('anticlockwise', 'clockwise'),
];

export const longLensOrbit: CameraMove = {
  kind: 'long-lens',
  name: 'Long-lens orbit',
  says: 'Presses the far behind the near: big, calm, heavy.',
  sticks: 'Sideways from far away, the yaw barely moving.',
  needs: 'A long lens, and a background worth bringing close.',
  caution:
    'At this distance you may lose sight of the aircraft: mind the sight limit and the way home against the wind.',
  direction: 'around',
  purpose: 'detail',
  roles: ['calm', 'reveal', 'develop'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    return circleShape(
      subject,
      get('radiusM'),
      get('heightM'),
      get('fromBearingDeg'),
      get('arcDeg') * (get('sense') === 1 ? 1 : -1),
      get('speedMs'),
    );
  },
  withLength: (values, lengthM) => ({
    ...values,
    arcDeg: Math.min(60, Math.max(1, degrees(lengthM / reader(parameters, values)('radiusM')))),
  }),
};
