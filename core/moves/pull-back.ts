import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, keepFramed, reader, speed } from './parameters';
import { framedOrFixed, straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(25, 'Starts at', 'startM'),
  distanceOf(80, 'Ends at', 'endM'),
  height(15),
  fromBearing,
  speed(4),
  keepFramed(),
];

export const pullBack: CameraMove = {
  kind: 'pull-back',
  name: 'Pull back',
  says: 'Leaves the place and shows what it belongs to.',
  sticks: 'Backward only; a little tilt up as you leave.',
  needs: 'A line behind you that you have looked at from the ground.',
  caution: 'You fly into what you cannot see: walk or fly the line forward first, or have someone watch it.',
  direction: 'away',
  purpose: 'leave',
  roles: ['close', 'reveal'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endM') <= get('startM')) return none(message('path.pull-back-end-farther'));
    const at = (distanceM: number) => offset(subject.aim, get('fromBearingDeg'), distanceM, get('heightM'));
    const end = at(get('endM'));
    return straightShape(
      at(get('startM')),
      end,
      get('speedMs'),
      framedOrFixed(get('keepFramed') === 1, subject, get('fromBearingDeg') + 180, end),
    );
  },
  withLength: (values, lengthM) => ({ ...values, endM: reader(parameters, values)('startM') + lengthM }),
};
