import { message } from '../messages';
import { timelapse } from '../footage';
import { between, distance, offset } from '../geometry';
import { found, none } from '../units';
import { distanceOf, fromBearing, height, reader, turnSense } from './parameters';
import { lookAt } from './pose';
import { PLAIN_CONTEXT, type CameraMove, type MoveParameter } from './types';

const interval: MoveParameter = {
  id: 'intervalS',
  label: 'Every',
  quantity: 'seconds',
  min: 0.5,
  max: 60,
  step: 0.5,
  initial: 2,
  hint: 'Between two frames; twice the shutter at least.',
};

const parameters = [
  { ...distanceOf(40, 'Moves over', 'lengthM'), min: 0 },
  interval,
  distanceOf(80),
  height(40),
  fromBearing,
  turnSense('to the left', 'to the right'),
];

export const movingTimelapse: CameraMove = {
  kind: 'time-lapse',
  name: 'Moving time-lapse',
  says: 'Time runs, and the place turns under it.',
  sticks: 'Creeps sideways, or is held; hands off between the frames.',
  needs: 'Clouds, shadows, water or people that change; steady air.',
  caution:
    'It hangs in the air for minutes: watch the wind, the pack and the sky, and keep the aircraft in sight.',
  direction: 'across',
  purpose: 'still',
  roles: ['bridge', 'calm', 'open'],
  reversible: true,
  frames: 'interval',
  parameters,
  shape: (values, subject, { clipS, timelineFps } = PLAIN_CONTEXT) => {
    const get = reader(parameters, values);
    const { frames, captureS } = timelapse(clipS, timelineFps, get('intervalS'));
    if (frames < 2) return none(message('path.timelapse-needs-clip-two'));
    const from = get('fromBearingDeg');
    const half = (get('lengthM') / 2) * (get('sense') === 1 ? 1 : -1);
    const middle = offset(subject.aim, from, get('distanceM'), get('heightM'));
    const start = offset(middle, from + 90, half, middle.z);
    const end = offset(middle, from + 270, half, middle.z);
    return found({
      extent: { by: 'time', lengthM: distance(start, end), seconds: captureS },
      poseAt: (share) => lookAt(between(start, end, share), subject.aim),
      frames: { by: 'interval', count: frames, everyS: get('intervalS') },
    });
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
