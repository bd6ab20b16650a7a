import { found } from '../units';
import { offset, type Vec3 } from '../geometry';
import { distanceOf, height, lengthOf, reader, speed } from './parameters';
import { lookAt } from './pose';
import type { CameraMove, MoveParameter } from './types';

const place: MoveParameter = {
  id: 'ahead',
  label: 'Camera',
  quantity: 'count',
  min: 0,
  max: 1,
  step: 1,
  initial: 0,
  choice: ['follows behind', 'leads in front'],
};

const parameters = [lengthOf(80), distanceOf(12), height(4), speed(4), place];

export const follow: CameraMove = {
  kind: 'follow',
  name: 'Follow or lead',
  says: 'Behind: we go where they go. In front: we see what they feel.',
  sticks: 'Forward behind it, backward in front of it, at its speed.',
  needs: 'A subject that moves on a line with its speed known.',
  caution: 'In front you fly backwards ahead of someone: keep a wide gap and a way out upwards.',
  direction: 'with',
  purpose: 'follow',
  roles: ['develop', 'excite', 'open'],
  reversible: false,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const place = subject.headingDeg + (get('ahead') === 1 ? 0 : 180);
    const subjectAt = (share: number): Vec3 =>
      offset(subject.aim, subject.headingDeg, (share - 0.5) * get('lengthM'), subject.aim.z);
    return found({
      extent: { by: 'path', lengthM: get('lengthM'), speedMs: get('speedMs') },
      poseAt: (share) =>
        lookAt(offset(subjectAt(share), place, get('distanceM'), get('heightM')), subjectAt(share)),
    });
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
