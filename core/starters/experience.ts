import { vec } from '../geometry';
import { fly, initialValues, MOVES, type MoveSubject } from '../moves';

/** How much a pilot has flown, in one word; every level can be set by itself afterwards. */
export const EXPERIENCES = ['new', 'practised', 'expert'] as const;
export type Experience = (typeof EXPERIENCES)[number];

/**
 * Level 0–4 of a move by the inputs it holds at one moment: none or one, two, three, four and more. Own estimate, to begin with:
 * each input more is learned later.
 */
const LEVELS: Readonly<Record<Experience, readonly [number, number, number, number]>> = {
  new: [2, 1, 0, 0],
  practised: [3, 3, 2, 1],
  expert: [4, 4, 3, 3],
};

const AIM: MoveSubject = { aim: vec(0, 60, 5), heightM: 10, widthM: 10, headingDeg: 90, speedMs: 2 };
const EASING = { accelMs2: 2, turnAccelDegS2: 30 };

/** Inputs a move of a kind holds at one moment, flown with the numbers it begins with; 0 where those describe no path. */
const inputsOf = (move: (typeof MOVES)[number]): number => {
  const shape = move.shape(initialValues(move.parameters), AIM);
  const flown = shape.ok ? fly(shape.value, EASING, 'in-motion', 6) : null;
  return flown?.ok ? flown.value.simultaneous : 0;
};

/** Level of every kind of move for a pilot of some experience. */
export const levelsOf = (experience: Experience): Readonly<Record<string, number>> =>
  Object.fromEntries(
    MOVES.map((move) => {
      const held = Math.min(4, Math.max(1, inputsOf(move)));
      return [move.kind, LEVELS[experience][held - 1] ?? 0];
    }),
  );
