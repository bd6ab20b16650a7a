import { found } from '../units';
import { offset, type Vec3 } from '../geometry';
import { alongCurve } from './curve';
import { distanceOf, fromBearing, height, reader, speed, turnSense, turns } from './parameters';
import { lookAt } from './pose';
import type { CameraMove, MoveParameter } from './types';

const parameters = [
  distanceOf(15, 'Radius at the start', 'startM'),
  distanceOf(45, 'Radius at the end', 'endM'),
  height(5, 'Starts at height', 'startHeightM'),
  height(30, 'Ends at height', 'endHeightM'),
  turns(0.25, 1),
  fromBearing,
  speed(4),
  turnSense('anticlockwise', 'clockwise'),
];

/** A path round a subject whose radius and height change evenly from start to end. */
export const spiralShape =
  (parameters: readonly MoveParameter[]): CameraMove['shape'] =>
  (values, subject) => {
    const get = reader(parameters, values);
    const mix = (a: string, b: string, share: number): number => get(a) + (get(b) - get(a)) * share;
    const arc = 360 * get('turns') * (get('sense') === 1 ? 1 : -1);
    const at = (share: number): Vec3 =>
      offset(
        subject.aim,
        get('fromBearingDeg') + arc * share,
        mix('startM', 'endM', share),
        mix('startHeightM', 'endHeightM', share),
      );
    const curve = alongCurve(at, Math.ceil(192 * get('turns')));
    return found({
      extent: { by: 'path', lengthM: curve.lengthM, speedMs: get('speedMs') },
      intervals: 2 * Math.ceil(Math.abs(arc) / 30),
      poseAt: (share) => lookAt(at(curve.parameterAt(share)), subject.aim),
    });
  };

export const spiralOut: CameraMove = {
  kind: 'spiral-out',
  name: 'Spiral out',
  says: 'The world opens round the subject: from it alone to all that surrounds it.',
  sticks: 'Sideways and yaw against each other, with throttle up and a little backward.',
  needs: 'Clear air all round, to the widest turn and the highest point.',
  caution: 'Four inputs at once: fly the orbit first, add the climb, then the widening.',
  direction: 'around',
  purpose: 'leave',
  roles: ['reveal', 'close', 'excite'],
  reversible: true,
  parameters,
  shape: spiralShape(parameters),
};
