import type { Message } from '../messages';
import { said } from '../testing';
import { vec } from '../geometry';
import type { Result } from '../units';
import { fly, type Trajectory } from './trajectory';
import { PLAIN_CONTEXT, type CameraMove, type MoveContext } from './types';
import type { MoveValues } from '../model';

/** What the tests of this room share. */
export const EASING = { accelMs2: 1, turnAccelDegS2: 8 };
export const subject = { aim: vec(40, 120, 5), heightM: 10, widthM: 14, headingDeg: 70, speedMs: 3 };
export const context: MoveContext = {
  ...PLAIN_CONTEXT,
  points: [
    { xM: 0, yM: 60, zM: 12, speedMs: 3 },
    { xM: 30, yM: 80, zM: 18, speedMs: 5 },
    { xM: 70, yM: 70, zM: 15, speedMs: 2 },
    { xM: 90, yM: 110, zM: 25, speedMs: 4 },
  ],
  craft: {
    name: 'Test',
    spanM: 0.4,
    heightM: 0.12,
    massKg: 0.42,
    dragAreaM2: 0.012,
    fixedTiltDeg: 18,
    densityKgM3: 1.2,
    maxYawDegS: 60,
  },
};
export const value = <T>(r: Result<T, Message>): T => {
  if (!r.ok) throw new Error(said(r.reason));
  return r.value;
};
export const flown = (
  move: CameraMove,
  values: MoveValues,
  cut: 'in-motion' | 'whole' = 'in-motion',
): Trajectory => value(fly(value(move.shape(values, subject, context)), EASING, cut, 8));
