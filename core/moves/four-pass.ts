import { between, offset } from '../geometry';
import { found } from '../units';
import { distanceOf, fromBearing, height, lengthOf, reader, speed } from './parameters';
import { lookAlong, tiltTo } from './pose';
import type { CameraMove, Leg } from './types';

const parameters = [lengthOf(60), distanceOf(25), height(8), fromBearing, speed(3.5)];

const SETTLE_S = 4;
const TURN_RATE_DEG_S = 20;

/** Share of the way and heading against the line, at a share of the seven legs: there, wait, back, turn, there, wait, back. */
const placeAt = (share: number): { readonly along: number; readonly turnedDeg: number } => {
  const leg = Math.min(6, Math.floor(share * 7));
  const u = Math.min(1, share * 7 - leg);
  const along = [u, 1, 1 - u, 0, u, 1, 1 - u][leg] ?? 0;
  return { along, turnedDeg: leg < 3 ? 0 : leg === 3 ? 90 * u : 90 };
};

export const fourPass: CameraMove = {
  kind: 'four-pass',
  name: 'Four-pass line',
  says: 'One line, four cuts: in, out, past, and past again.',
  sticks: 'Forward, back; a quarter turn; then the same line sideways, and back.',
  needs: 'A line beside the subject that is free at both ends.',
  caution: 'Half of it is flown backwards or sideways: walk the line first.',
  direction: 'across',
  purpose: 'pass',
  roles: ['develop', 'detail', 'bridge'],
  reversible: false,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    const half = get('lengthM') / 2;
    const middle = offset(subject.aim, from, get('distanceM'), get('heightM'));
    const start = offset(middle, from + 90, half, middle.z);
    const end = offset(middle, from + 270, half, middle.z);
    const pass: Leg = { by: 'path', lengthM: get('lengthM'), speedMs: get('speedMs') };
    const wait: Leg = { by: 'wait', seconds: SETTLE_S };
    const tilt = tiltTo(middle, subject.aim) / 2;
    return found({
      intervals: 42,
      extent: {
        by: 'legs',
        legs: [pass, wait, pass, { by: 'turn', turnDeg: 90, rateDegS: TURN_RATE_DEG_S }, pass, wait, pass],
      },
      // Along the line first, then the quarter turn that brings the subject before the lens.
      poseAt: (share) => {
        const { along, turnedDeg } = placeAt(share);
        return lookAlong(between(start, end, along), from + 270 - turnedDeg, tilt);
      },
      marks: [{ share: 3 / 7, say: 'quarter turn to the subject' }],
    });
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
