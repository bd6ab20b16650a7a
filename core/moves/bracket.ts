import { found } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader } from './parameters';
import { lookAt } from './pose';
import type { CameraMove, MoveParameter } from './types';

const stills: MoveParameter = {
  id: 'stills',
  label: 'Stills',
  quantity: 'count',
  min: 3,
  max: 7,
  step: 2,
  initial: 5,
  hint: '3, 5 or 7, from dark to bright.',
};
const each: MoveParameter = {
  id: 'eachS',
  label: 'Each takes',
  quantity: 'seconds',
  min: 0.2,
  max: 30,
  step: 0.1,
  initial: 1,
};

const parameters = [stills, each, distanceOf(60), height(20), fromBearing];

export const stillsBracket: CameraMove = {
  kind: 'bracket',
  name: 'Stills bracket',
  says: 'One frame with all of the light in it.',
  sticks: 'Hands off; one press.',
  needs: 'A still scene: what moves between the stills shows twice.',
  caution: 'Drift spoils the stack: wait until the hover has settled.',
  direction: 'still',
  purpose: 'still',
  roles: ['detail', 'calm'],
  reversible: true,
  frames: 'stills',
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const count = 2 * Math.round((get('stills') - 1) / 2) + 1;
    const pose = lookAt(
      offset(subject.aim, get('fromBearingDeg'), get('distanceM'), get('heightM')),
      subject.aim,
    );
    return found({
      extent: { by: 'time', lengthM: 0, seconds: count * get('eachS') },
      poseAt: () => pose,
      frames: { by: 'stills', count, everyS: get('eachS') },
    });
  },
};
