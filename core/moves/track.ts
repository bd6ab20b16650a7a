import { found } from '../units';
import { offset, type Vec3 } from '../geometry';
import { distanceOf, height, lengthOf, reader, speed, turnSense } from './parameters';
import { lookAt } from './pose';
import type { CameraMove } from './types';

const parameters = [
  lengthOf(80),
  distanceOf(18, 'Beside it at the start', 'startM'),
  distanceOf(18, 'Beside it at the end', 'endM'),
  height(4, 'Starts at height', 'startHeightM'),
  height(4, 'Ends at height', 'endHeightM'),
  speed(4),
  turnSense('on its left', 'on its right'),
];

export const trackAlongside: CameraMove = {
  kind: 'track',
  name: 'Track alongside',
  says: 'Travels with someone: we are in it together.',
  sticks: 'Sideways at the subject\u2019s speed, the yaw kept on it.',
  needs: 'A subject that moves on a line with its speed known, and a free line beside it.',
  caution: 'Everything comes at the aircraft from the side: walk the line first, keep well off people.',
  direction: 'with',
  purpose: 'follow',
  roles: ['develop', 'excite', 'bridge'],
  reversible: false,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const side = subject.headingDeg + (get('sense') === 1 ? 90 : -90);
    const subjectAt = (share: number): Vec3 =>
      offset(subject.aim, subject.headingDeg, (share - 0.5) * get('lengthM'), subject.aim.z);
    const mix = (a: string, b: string, share: number): number => get(a) + (get(b) - get(a)) * share;
    const at = (share: number): Vec3 =>
      offset(subjectAt(share), side, mix('startM', 'endM', share), mix('startHeightM', 'endHeightM', share));
    const lengthM = Math.hypot(
      get('lengthM'),
      get('endM') - get('startM'),
      get('endHeightM') - get('startHeightM'),
    );
    return found({
      extent: { by: 'path', lengthM, speedMs: get('speedMs') },
      poseAt: (share) => lookAt(at(share), subjectAt(share)),
    });
  },
  withLength: (values, lengthM) => {
    const get = reader(parameters, values);
    const aside = Math.hypot(get('endM') - get('startM'), get('endHeightM') - get('startHeightM'));
    return { ...values, lengthM: Math.sqrt(Math.max(0.25, lengthM ** 2 - aside ** 2)) };
  },
};
