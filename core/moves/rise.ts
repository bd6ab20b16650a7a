import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, keepFramed, reader, speed } from './parameters';
import { framedOrFixed, straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  height(3, 'Starts at', 'startM'),
  height(35, 'Ends at', 'endM'),
  distanceOf(40),
  fromBearing,
  speed(2),
  keepFramed(),
];

export const rise: CameraMove = {
  kind: 'rise',
  name: 'Rise',
  says: 'Opens the view: from the small thing to all of it.',
  sticks: 'Throttle up only; tilt down if the subject should stay.',
  needs: 'Clear air above; something near at the start gives it depth.',
  caution: 'Look up before you start: wires and branches are not in the frame.',
  direction: 'up',
  purpose: 'open',
  roles: ['open', 'reveal', 'develop'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endM') <= get('startM')) return none(message('path.rise-end-higher-starts'));
    const at = (heightM: number) => offset(subject.aim, get('fromBearingDeg'), get('distanceM'), heightM);
    const start = at(get('startM'));
    return straightShape(
      start,
      at(get('endM')),
      get('speedMs'),
      framedOrFixed(get('keepFramed') === 1, subject, get('fromBearingDeg') + 180, start),
    );
  },
  withLength: (values, lengthM) => ({ ...values, endM: reader(parameters, values)('startM') + lengthM }),
};
