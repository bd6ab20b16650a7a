import { found } from '../units';
import { vec } from '../geometry';
import { fromBearing, height, reader, turnSense } from './parameters';
import { lookAlong } from './pose';
import type { CameraMove, MoveParameter } from './types';

const turn: MoveParameter = {
  id: 'turnDeg',
  label: 'Turn',
  quantity: 'degrees',
  min: 5,
  max: 1080,
  step: 5,
  initial: 120,
};
const rate: MoveParameter = {
  id: 'rateDegS',
  label: 'Turn rate',
  quantity: 'degreesPerSecond',
  min: 0.5,
  max: 60,
  step: 0.5,
  initial: 8,
};

const parameters = [
  height(45),
  turn,
  rate,
  { ...fromBearing, label: 'Top of frame away from' },
  turnSense('anticlockwise', 'clockwise'),
];

export const topDownTurn: CameraMove = {
  kind: 'top-down-turn',
  name: 'Top-down turn',
  says: 'Makes a drawing of the place; people become marks on it.',
  sticks: 'Yaw only, camera straight down.',
  needs: 'A pattern on the ground: rows, tracks, a crossing.',
  caution: 'Near noon the aircraft\u2019s own shadow is in the frame; never hover over people.',
  direction: 'down',
  purpose: 'top-down',
  roles: ['detail', 'calm', 'bridge'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const at = vec(subject.aim.x, subject.aim.y, get('heightM'));
    const signed = get('turnDeg') * (get('sense') === 1 ? 1 : -1);
    return found({
      extent: { by: 'turn', turnDeg: get('turnDeg'), rateDegS: get('rateDegS') },
      poseAt: (share) => lookAlong(at, get('fromBearingDeg') + 180 + signed * share, -90),
    });
  },
};
