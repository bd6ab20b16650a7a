import type { MoveParameter } from './types';
import type { MoveValues } from '../model';

/** Reads a parameter, falling back to its initial value when a stored move lacks it. */
export const reader =
  (parameters: readonly MoveParameter[], values: MoveValues) =>
  (id: string): number =>
    values[id] ?? parameters.find((p) => p.id === id)?.initial ?? 0;

/** All parameters at their initial values. */
export const initialValues = (parameters: readonly MoveParameter[]): MoveValues =>
  Object.fromEntries(parameters.map((p) => [p.id, p.initial]));

export const fromBearing: MoveParameter = {
  id: 'fromBearingDeg',
  label: 'Seen from',
  quantity: 'degrees',
  min: 0,
  max: 359,
  step: 1,
  initial: 180,
  hint: 'Bearing from the subject to the camera: 180 stands south of it and looks north.',
};

export const height = (initial: number, label = 'Height', id = 'heightM'): MoveParameter => ({
  id,
  label,
  quantity: 'metres',
  min: 0.3,
  max: 500,
  usualMax: 120,
  step: 0.5,
  initial,
  hint: 'Above the launch point.',
});

export const distanceOf = (initial: number, label = 'Distance', id = 'distanceM'): MoveParameter => ({
  id,
  label,
  quantity: 'metres',
  min: 0.5,
  max: 2000,
  step: 0.5,
  initial,
  hint: 'Over the ground, from the middle of the subject.',
});

export const speed = (initial: number): MoveParameter => ({
  id: 'speedMs',
  label: 'Speed',
  quantity: 'speed',
  min: 0.1,
  max: 40,
  step: 0.1,
  initial,
});

export const keepFramed = (initial: 0 | 1 = 1): MoveParameter => ({
  id: 'keepFramed',
  label: 'Camera',
  quantity: 'count',
  min: 0,
  max: 1,
  step: 1,
  initial,
  choice: ['tilt fixed', 'keeps the subject framed'],
});

export const turnSense = (off: string, on: string): MoveParameter => ({
  id: 'sense',
  label: 'Direction',
  quantity: 'count',
  min: 0,
  max: 1,
  step: 1,
  initial: 1,
  choice: [off, on],
});

export const lengthOf = (initial: number): MoveParameter => ({
  id: 'lengthM',
  label: 'Length',
  quantity: 'metres',
  min: 0.5,
  max: 2000,
  step: 0.5,
  initial,
});

export const turns = (min: number, initial: number): MoveParameter => ({
  id: 'turns',
  label: 'Turns',
  quantity: 'factor',
  min,
  max: 5,
  step: 0.25,
  initial,
});

/** How far in front of the camera the thing stands that hides the view. */
export const screenDistance: MoveParameter = {
  id: 'screenM',
  label: 'What hides it, away',
  quantity: 'metres',
  min: 0.5,
  max: 500,
  step: 0.5,
  initial: 10,
  hint: 'From the camera, over the ground.',
};

export const screenHeight: MoveParameter = {
  id: 'screenHeightM',
  label: 'and how high',
  quantity: 'metres',
  min: 0.5,
  max: 200,
  step: 0.5,
  initial: 8,
  hint: 'Its top above the launch point.',
};
