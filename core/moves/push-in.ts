import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, keepFramed, reader, speed } from './parameters';
import { framedOrFixed, straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  distanceOf(90, 'Starts at', 'startM'),
  distanceOf(40, 'Ends at', 'endM'),
  height(15),
  fromBearing,
  speed(4),
  keepFramed(),
];

export const pushIn: CameraMove = {
  kind: 'push-in',
  name: 'Push in',
  says: 'Invites the viewer in: this is where it happens.',
  sticks: 'Forward only; a little tilt down as you close in.',
  needs: 'An open line to the subject, better with something to pass close by.',
  caution: 'You look where you fly, but not at what is beside you: keep a margin to both sides.',
  direction: 'toward',
  purpose: 'detail',
  roles: ['open', 'develop'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endM') >= get('startM')) return none(message('path.push-in-end-nearer'));
    const at = (distanceM: number) => offset(subject.aim, get('fromBearingDeg'), distanceM, get('heightM'));
    const start = at(get('startM'));
    return straightShape(
      start,
      at(get('endM')),
      get('speedMs'),
      framedOrFixed(get('keepFramed') === 1, subject, get('fromBearingDeg') + 180, start),
    );
  },
  withLength: (values, lengthM) => ({ ...values, startM: reader(parameters, values)('endM') + lengthM }),
};
