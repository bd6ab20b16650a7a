import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAlong, tiltTo } from './pose';
import { straightShape } from './straight';
import type { CameraMove, MoveParameter } from './types';

const startTilt: MoveParameter = {
  id: 'startTiltDeg',
  label: 'Tilt at the start',
  quantity: 'degrees',
  min: -60,
  max: 30,
  step: 1,
  initial: 0,
};

const parameters = [
  distanceOf(90, 'Starts at', 'startM'),
  distanceOf(35, 'Ends at', 'endM'),
  height(2, 'Starts at height', 'startHeightM'),
  height(25, 'Ends at height', 'endHeightM'),
  startTilt,
  fromBearing,
  speed(4),
];

export const lowToHigh: CameraMove = {
  kind: 'low-to-high',
  name: 'Low-to-high push',
  says: 'Starts with the ground under your feet and ends with the whole place: arrival.',
  sticks: 'Forward and throttle up together, the camera tilting down to the subject.',
  needs: 'A foreground worth starting in, then an open line over it.',
  caution: 'Three inputs at once close to the ground: practise the line at height first.',
  direction: 'toward',
  purpose: 'reveal',
  roles: ['open', 'reveal', 'excite'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    if (get('endHeightM') <= get('startHeightM')) return none(message('path.lowtohigh-push-end-higher'));
    const start = offset(subject.aim, from, get('startM'), get('startHeightM'));
    const end = offset(subject.aim, from, get('endM'), get('endHeightM'));
    const endTilt = tiltTo(end, subject.aim);
    return straightShape(start, end, get('speedMs'), (at, share) =>
      lookAlong(at, from + 180, get('startTiltDeg') + (endTilt - get('startTiltDeg')) * share),
    );
  },
  withLength: (values, lengthM) => {
    const get = reader(parameters, values);
    const climb = get('endHeightM') - get('startHeightM');
    return { ...values, startM: get('endM') + Math.sqrt(Math.max(0, lengthM ** 2 - climb ** 2)) };
  },
};
