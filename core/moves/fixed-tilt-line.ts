import { message } from '../messages';
import { levelSpeed } from '../air';
import { none } from '../units';
import { offset } from '../geometry';
import { distanceOf, fromBearing, height, lengthOf, reader } from './parameters';
import { lookAlong } from './pose';
import { straightShape } from './straight';
import { PLAIN_CONTEXT, type CameraMove, type MoveParameter } from './types';

const tilt: MoveParameter = {
  id: 'tiltDeg',
  label: 'Camera set up at',
  quantity: 'degrees',
  min: 1,
  max: 60,
  step: 1,
  initial: 25,
  hint: 'Counts where the camera of the kit has a gimbal; a fixed one brings its own tilt.',
};
const horizon: MoveParameter = {
  id: 'horizonDeg',
  label: 'Looks up or down',
  quantity: 'degrees',
  min: -30,
  max: 30,
  step: 1,
  initial: 0,
  hint: '0 keeps the horizon in the middle; below 0 looks down.',
};

const parameters = [lengthOf(120), distanceOf(10, 'Passes beside it'), height(4), fromBearing, tilt, horizon];

export const fixedTiltLine: CameraMove = {
  kind: 'fpv-line',
  name: 'FPV line',
  says: 'We are in it, low and fast.',
  sticks: 'Pitch held: the speed is what keeps the horizon where it is.',
  needs: 'A fixed camera, a line flown slowly before, and a spotter.',
  caution:
    'At this speed nothing can be avoided: no people, no animals, no wires, and a spotter who sees the aircraft. Check the local rule for goggles.',
  direction: 'across',
  purpose: 'pass',
  roles: ['excite', 'develop'],
  reversible: false,
  shapedByAir: true,
  parameters,
  shape: (values, subject, { craft } = PLAIN_CONTEXT) => {
    const get = reader(parameters, values);
    if (!craft) return none(message('path.speed-follows-from-mass'));
    if (!(craft.dragAreaM2 > 0)) return none(message('path.no-drag-area', { aircraft: craft.name }));
    const leanDeg = (craft.fixedTiltDeg ?? get('tiltDeg')) - get('horizonDeg');
    if (leanDeg <= 0) return none(message('path.looking-up-by-more'));
    if (leanDeg >= 80) return none(message('path.much-lean-fall-not'));
    const from = get('fromBearingDeg');
    const beside = offset(subject.aim, from + 90, get('distanceM'), get('heightM'));
    const half = get('lengthM') / 2;
    return straightShape(
      offset(beside, from, half, beside.z),
      offset(beside, from + 180, half, beside.z),
      levelSpeed(craft.massKg, craft.dragAreaM2, leanDeg, craft.densityKgM3),
      (at) => lookAlong(at, from + 180, get('horizonDeg')),
    );
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
