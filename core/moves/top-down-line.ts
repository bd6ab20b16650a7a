import { offset } from '../geometry';
import { fromBearing, height, lengthOf, reader, speed } from './parameters';
import { lookAlong } from './pose';
import { straightShape } from './straight';
import type { CameraMove } from './types';

const parameters = [lengthOf(80), height(50), { ...fromBearing, label: 'Comes from' }, speed(4)];

export const topDownLine: CameraMove = {
  kind: 'top-down-line',
  name: 'Top-down line',
  says: 'Reads the ground like a page.',
  sticks: 'Forward only, camera straight down.',
  needs: 'A pattern that carries: rails, rows, a shore.',
  caution: 'You do not see ahead: clear the line before, and never fly over people.',
  direction: 'down',
  purpose: 'top-down',
  roles: ['bridge', 'detail', 'calm'],
  reversible: true,
  parameters,
  shape: (values, subject) => {
    const get = reader(parameters, values);
    const from = get('fromBearingDeg');
    const half = get('lengthM') / 2;
    return straightShape(
      offset(subject.aim, from, half, get('heightM')),
      offset(subject.aim, from + 180, half, get('heightM')),
      get('speedMs'),
      (at) => lookAlong(at, from + 180, -90),
    );
  },
  withLength: (values, lengthM) => ({ ...values, lengthM }),
};
