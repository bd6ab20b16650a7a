import { found } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader } from './parameters';
import { lookAt } from './pose';
import type { CameraMove } from './types';

const parameters = [distanceOf(40), height(15), fromBearing];

export const hold: CameraMove = {
  kind: 'hold',
  name: 'Hold',
  says: 'Lets the place breathe; the subject does the moving.',
  sticks: 'Hands off once the frame is set.',
  needs: 'Something that moves in the frame, or light worth watching.',
  caution: 'Drift shows in a still frame: wait until the hover has settled.',
  direction: 'still',
  purpose: 'still',
  roles: ['calm', 'detail', 'bridge'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const pose = lookAt(
      offset(subject.aim, get('fromBearingDeg'), get('distanceM'), get('heightM')),
      subject.aim,
    );
    return found({ extent: { by: 'hold' }, poseAt: () => pose });
  },
};
