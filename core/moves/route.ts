import { measured, message } from '../messages';
import { bearingTo, distance, radians, vec } from '../geometry';
import { found, none } from '../units';
import { alongCurve } from './curve';
import { reader } from './parameters';
import { lookAlong, lookAt } from './pose';
import { CatmullRomCurve } from './spline';
import { PLAIN_CONTEXT, type CameraMove, type MoveParameter } from './types';

const look: MoveParameter = {
  id: 'keepFramed',
  label: 'Camera',
  quantity: 'count',
  min: 0,
  max: 1,
  step: 1,
  initial: 1,
  choice: ['looks ahead', 'keeps the subject framed'],
};
const tilt: MoveParameter = {
  id: 'tiltDeg',
  label: 'Tilt, looking ahead',
  quantity: 'degrees',
  min: -90,
  max: 30,
  step: 1,
  initial: -10,
};

const parameters = [look, tilt];

/** Points nearer than this to the one before are one point. */
const SAME_POINT_M = 0.5;

export const freeRoute: CameraMove = {
  kind: 'route',
  name: 'Free route',
  says: 'Goes its own way: round the corner, over the edge, along the stream.',
  sticks: 'As drawn: each bend is yaw with a little roll, eased in and out.',
  needs: 'Every point seen from where you stand, and the air between them free.',
  caution: 'Between two points the line bends: check it on the plan, not only at its points.',
  direction: 'across',
  purpose: 'pass',
  roles: ['develop', 'reveal', 'excite'],
  reversible: true,
  byPoints: true,
  parameters,
  shape: (values, subject, { points, craft } = PLAIN_CONTEXT) => {
    const get = reader(parameters, values);
    if (points.length < 2) return none(message('path.route-needs-least-two'));
    const places = points.map((p) => vec(p.xM, p.yM, p.zM));
    const doubled = places.findIndex((p, i) => i > 0 && distance(p, places[i - 1] ?? p) < SAME_POINT_M);
    if (doubled > 0)
      return none(
        message('path.points-on-top', {
          first: doubled,
          second: doubled + 1,
          apart: measured(SAME_POINT_M, 'metres', 1),
        }),
      );
    const curve = new CatmullRomCurve(places);
    const along = alongCurve((u) => curve.at(u), places.length * 48);
    const keeps = get('keepFramed') === 1;
    const ahead = (share: number): number => {
      const [a, b] = [
        along.parameterAt(Math.max(0, share - 0.004)),
        along.parameterAt(Math.min(1, share + 0.004)),
      ];
      return bearingTo(curve.at(a), curve.at(b));
    };
    /** Speed given at the points, even between them; less where the yaw could not follow the bend. */
    const speedAt = (share: number): number => {
      const u = along.parameterAt(share) * (points.length - 1);
      const i = Math.min(points.length - 2, Math.floor(u));
      const [a, b] = [points[i]?.speedMs ?? 1, points[i + 1]?.speedMs ?? 1];
      const given = a + (b - a) * (u - i);
      if (keeps || !craft) return given;
      const radius = curve.radiusAt(along.parameterAt(share));
      // Yaw rate v/r within what the aircraft turns.
      return Math.min(given, Math.max(0.1, radians(craft.maxYawDegS) * radius));
    };
    return found({
      intervals: 2 * Math.min(100, 6 * points.length),
      extent: { by: 'speeds', lengthM: along.lengthM, speedAt },
      poseAt: (share) => {
        const at = curve.at(along.parameterAt(share));
        return keeps ? lookAt(at, subject.aim) : lookAlong(at, ahead(share), get('tiltDeg'));
      },
    });
  },
};
