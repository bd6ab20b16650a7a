import { message } from '../messages';
import { bearingTo, offset } from '../geometry';
import { found, none } from '../units';
import { distanceOf, fromBearing, height, reader } from './parameters';
import { lookAlong, tiltTo } from './pose';
import type { CameraMove, MoveParameter } from './types';

const startTilt: MoveParameter = {
  id: 'startTiltDeg',
  label: 'Tilt at the start',
  quantity: 'degrees',
  min: -90,
  max: 30,
  step: 1,
  initial: -80,
};
const rate: MoveParameter = {
  id: 'rateDegS',
  label: 'Tilt rate',
  quantity: 'degreesPerSecond',
  min: 0.5,
  max: 60,
  step: 0.5,
  initial: 7,
};

const parameters = [startTilt, rate, distanceOf(60), height(20), fromBearing];

export const tiltReveal: CameraMove = {
  kind: 'tilt-reveal',
  name: 'Tilt reveal',
  says: 'Keeps the subject back, then shows it.',
  sticks: 'Tilt wheel only, from a settled hover.',
  needs: 'Something worth starting on: ground, water, the sky.',
  caution: 'Set the tilt speed low before the take; most start too fast.',
  direction: 'still',
  purpose: 'reveal',
  roles: ['reveal', 'open'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const at = offset(subject.aim, get('fromBearingDeg'), get('distanceM'), get('heightM'));
    const end = tiltTo(at, subject.aim);
    const turnDeg = Math.abs(end - get('startTiltDeg'));
    if (turnDeg < 1) return none(message('path.tilt-starts-where-ends'));
    const heading = bearingTo(at, subject.aim);
    return found({
      extent: { by: 'turn', turnDeg, rateDegS: get('rateDegS') },
      poseAt: (share) => lookAlong(at, heading, get('startTiltDeg') + (end - get('startTiltDeg')) * share),
    });
  },
};
