import { message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, keepFramed, reader, speed } from './parameters';
import { framedOrFixed, straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  height(40, 'Starts at', 'startM'),
  height(6, 'Ends at', 'endM'),
  distanceOf(40),
  fromBearing,
  speed(1.5),
  keepFramed(),
];

export const descend: CameraMove = {
  kind: 'descend',
  name: 'Descend',
  says: 'Comes down to one person, one thing.',
  sticks: 'Throttle down only, slowly; tilt up as you come down.',
  needs: 'Ground you know under you.',
  caution:
    'Sinking fast through your own downwash shakes the aircraft: stay slow, and stop well above the ground.',
  direction: 'down',
  purpose: 'detail',
  roles: ['detail', 'close', 'develop'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    if (get('endM') >= get('startM')) return none(message('path.descent-end-lower-starts'));
    const at = (heightM: number) => offset(subject.aim, get('fromBearingDeg'), get('distanceM'), heightM);
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
