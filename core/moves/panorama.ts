import { message } from '../messages';
import { panoramaColumns } from '../footage';
import { bearingTo, offset } from '../geometry';
import { found, none } from '../units';
import { distanceOf, fromBearing, height, reader } from './parameters';
import { lookAlong, tiltTo } from './pose';
import { PLAIN_CONTEXT, type CameraMove, type Leg, type MoveParameter } from './types';

const sweep: MoveParameter = {
  id: 'sweepDeg',
  label: 'Sweep',
  quantity: 'degrees',
  min: 20,
  max: 360,
  step: 5,
  initial: 180,
};
const overlap: MoveParameter = {
  id: 'overlapPercent',
  label: 'Overlap',
  quantity: 'percent',
  min: 10,
  max: 70,
  step: 5,
  initial: 30,
};
const rows: MoveParameter = {
  id: 'rows',
  label: 'Rows',
  quantity: 'count',
  min: 1,
  max: 6,
  step: 1,
  initial: 1,
};
const each: MoveParameter = {
  id: 'eachS',
  label: 'At each still',
  quantity: 'seconds',
  min: 0.5,
  max: 30,
  step: 0.5,
  initial: 2,
  hint: 'To settle and take it.',
};

const parameters = [sweep, overlap, rows, each, distanceOf(80), height(40), fromBearing];

const TURN_RATE_DEG_S = 25;

export const panorama: CameraMove = {
  kind: 'panorama',
  name: 'Panorama',
  says: 'The whole place in one picture.',
  sticks: 'Yaw a step, settle, take it; row by row.',
  needs: 'Exposure, focus and white balance locked; nothing near that shifts between the stills.',
  caution: 'Wind moves the aircraft between stills: wait for a lull.',
  direction: 'still',
  purpose: 'open',
  roles: ['open', 'calm', 'bridge'],
  reversible: true,
  frames: 'stills',
  parameters,
  shape: (values, subject, { horizontalFovDeg, verticalFovDeg } = PLAIN_CONTEXT) => {
    const get = reader(parameters, values);
    const columns = panoramaColumns(get('sweepDeg'), horizontalFovDeg, get('overlapPercent') / 100);
    const count = columns * Math.round(get('rows'));
    if (!(count > 0) || count > 400) return none(message('path.too-many-stills', { count }));
    const at = offset(subject.aim, get('fromBearingDeg'), get('distanceM'), get('heightM'));
    const heading = bearingTo(at, subject.aim);
    const stepDeg = columns > 1 ? get('sweepDeg') / (get('sweepDeg') >= 360 ? columns : columns - 1) : 0;
    const rowDeg = verticalFovDeg * (1 - get('overlapPercent') / 100);
    const tiltMiddle = tiltTo(at, subject.aim) / 2;
    /** Columns back and forth, rows downwards. */
    const still = (i: number): { readonly yaw: number; readonly tilt: number } => {
      const row = Math.floor(i / columns);
      const column = row % 2 === 0 ? i % columns : columns - 1 - (i % columns);
      return {
        yaw: (column - (columns - 1) / 2) * stepDeg,
        tilt: Math.max(-90, Math.min(30, tiltMiddle + ((get('rows') - 1) / 2 - row) * rowDeg)),
      };
    };
    const wait: Leg = { by: 'wait', seconds: get('eachS') };
    const turn = (i: number): Leg => {
      const [a, b] = [still(i), still(i + 1)];
      return {
        by: 'turn',
        turnDeg: Math.max(0.5, Math.abs(b.yaw - a.yaw), Math.abs(b.tilt - a.tilt)),
        rateDegS: TURN_RATE_DEG_S,
      };
    };
    const legs = Array.from({ length: count * 2 - 1 }, (_, i) => (i % 2 === 0 ? wait : turn((i - 1) / 2)));
    return found({
      intervals: Math.min(400, legs.length * 2 + ((legs.length * 2) % 2)),
      extent: { by: 'legs', legs },
      poseAt: (share) => {
        const x = Math.min(legs.length - 1e-9, share * legs.length);
        const leg = Math.floor(x);
        const from = still(Math.floor(leg / 2));
        const to = leg % 2 === 1 ? still((leg + 1) / 2) : from;
        const u = x - leg;
        return lookAlong(
          at,
          heading + from.yaw + (to.yaw - from.yaw) * u,
          from.tilt + (to.tilt - from.tilt) * u,
        );
      },
      frames: { by: 'stills', count, everyS: get('eachS') },
    });
  },
};
