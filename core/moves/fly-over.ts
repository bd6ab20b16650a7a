import { offset } from '../geometry';
import { distanceOf, fromBearing, height, reader, speed } from './parameters';
import { lookAlong, tiltTo } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [distanceOf(90, 'Starts at', 'startM'), height(30), fromBearing, speed(5)];

export const flyOver: CameraMove = {
  kind: 'fly-over',
  name: 'Fly-over with tilt',
  says: 'Comes, looks, and ends looking straight down on it.',
  sticks: 'Forward at one speed, the camera tilting down faster and faster.',
  needs: 'An open line over the subject.',
  caution: 'The tilt runs away at the end: slow down before it, and never over people.',
  direction: 'toward',
  purpose: 'open',
  roles: ['develop', 'excite', 'open'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    return straightShape(
      offset(subject.aim, from, get('startM'), get('heightM')),
      offset(subject.aim, from, 0, get('heightM')),
      get('speedMs'),
      (at, share) => lookAlong(at, from + 180, share >= 1 ? -90 : tiltTo(at, subject.aim)),
    );
  },
  withLength: (values, lengthM) => ({ ...values, startM: lengthM }),
};
