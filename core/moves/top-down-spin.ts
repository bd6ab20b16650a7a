import { vec } from '../geometry';
import { fromBearing, height, reader, speed, turnSense } from './parameters';
import { lookAlong } from './pose';
import { straightShape } from './straight';
import type { CameraMove, MoveParameter } from './types';

const turn: MoveParameter = {
  id: 'turnDeg',
  label: 'Turn',
  quantity: 'degrees',
  min: 0,
  max: 1080,
  step: 5,
  initial: 90,
};

const parameters = [
  height(60, 'Starts at', 'startM'),
  height(30, 'Ends at', 'endM'),
  turn,
  { ...fromBearing, label: 'Top of frame away from' },
  speed(1.5),
  turnSense('anticlockwise', 'clockwise'),
];

export const topDownSpin: CameraMove = {
  kind: 'top-down-spin',
  name: 'Top-down turn and sink',
  says: 'Falls or floats: the ground turns and comes, or goes.',
  sticks: 'Throttle and yaw together, both small, camera straight down.',
  needs: 'A pattern on the ground, clear air down to the lowest point.',
  caution: 'Sink slowly: falling into your own downwash shakes the aircraft. Never over people.',
  direction: 'down',
  purpose: 'top-down',
  roles: ['open', 'close', 'bridge'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const signed = get('turnDeg') * (get('sense') === 1 ? 1 : -1);
    const { x, y } = subject.aim;
    return straightShape(vec(x, y, get('startM')), vec(x, y, get('endM')), get('speedMs'), (at, share) =>
      lookAlong(at, get('fromBearingDeg') + 180 + signed * share, -90),
    );
  },
  withLength: (values, lengthM) => {
    const get = reader(parameters, values);
    return { ...values, startM: get('endM') + (get('startM') >= get('endM') ? lengthM : -lengthM) };
  },
};
