import { measured, message } from '../messages';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, screenDistance, screenHeight, speed } from './parameters';
import { lookAlong, tiltTo } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [
  height(2, 'Starts at', 'startM'),
  height(25, 'Ends at', 'endM'),
  distanceOf(70),
  screenDistance,
  screenHeight,
  fromBearing,
  speed(2),
];

export const riseReveal: CameraMove = {
  kind: 'rise-reveal',
  name: 'Rise reveal',
  says: 'Behind this lies that: the surprise of a place.',
  sticks: 'Throttle up only, until the view clears.',
  needs: 'Something in front to hide behind: a wall, a hedge, a ridge.',
  caution: 'You start close to what hides the view: keep a safe gap, look up first.',
  direction: 'up',
  purpose: 'reveal',
  roles: ['reveal', 'open'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const { startM, endM, distanceM, screenM, screenHeightM } = {
      startM: get('startM'),
      endM: get('endM'),
      distanceM: get('distanceM'),
      screenM: get('screenM'),
      screenHeightM: get('screenHeightM'),
    };
    if (endM <= startM) return none(message('path.rise-end-higher-starts'));
    if (screenM >= distanceM) return none(message('path.what-hides-view-stand'));
    // The sight line over the top of the screen meets the subject's middle: by similar triangles.
    const clearM = subject.aim.z + ((screenHeightM - subject.aim.z) * distanceM) / (distanceM - screenM);
    if (clearM <= startM) return none(message('path.subject-in-view-from'));
    if (clearM >= endM)
      return none(message('path.view-clears-at', { height: measured(clearM, 'metres', 0) }));
    const from = get('fromBearingDeg');
    const end = offset(subject.aim, from, distanceM, endM);
    const shape = straightShape(offset(subject.aim, from, distanceM, startM), end, get('speedMs'), (at) =>
      lookAlong(at, from + 180, tiltTo(end, subject.aim)),
    );
    return shape.ok
      ? {
          ok: true,
          value: {
            ...shape.value,
            marks: [{ share: (clearM - startM) / (endM - startM), say: 'the view clears' }],
          },
        }
      : shape;
  },
  withLength: (values, lengthM) => ({ ...values, endM: reader(parameters, values)('startM') + lengthM }),
};
