import { descend } from './descend';
import { hold } from './hold';
import { lowToHigh } from './low-to-high';
import { orbit } from './orbit';
import { partOrbit } from './part-orbit';
import { pullBack } from './pull-back';
import { pushIn } from './push-in';
import { rise } from './rise';
import { slide } from './slide';
import { topDownTurn } from './top-down-turn';
import type { CameraMove } from './types';

/** Every camera move there is. A new move is one file and one line here. */
export const MOVES: readonly CameraMove[] = [
  hold, pushIn, pullBack, rise, descend, slide, orbit, partOrbit, topDownTurn, lowToHigh,
];

const byKind = new Map(MOVES.map((move) => [move.kind, move]));

/** The move of a kind, or undefined for a kind this version does not know. */
export const moveOf = (kind: string): CameraMove | undefined => byKind.get(kind);
