import { arriveAndTurn } from './arrive-and-turn';
import { stillsBracket } from './bracket';
import { craneUp } from './crane-up';
import { descend } from './descend';
import { dropIn } from './drop-in';
import { fixedTiltLine } from './fixed-tilt-line';
import { flyOver } from './fly-over';
import { flyThrough } from './fly-through';
import { follow } from './follow';
import { fourPass } from './four-pass';
import { hold } from './hold';
import { longLensOrbit } from './long-lens';
import { lowToHigh } from './low-to-high';
import { orbit } from './orbit';
import { pan } from './pan';
import { panorama } from './panorama';
import { orbitAndBack } from './orbit-and-back';
import { partOrbit } from './part-orbit';
import { pullBack } from './pull-back';
import { pushIn } from './push-in';
import { rise } from './rise';
import { freeRoute } from './route';
import { riseReveal } from './rise-reveal';
import { sideReveal } from './side-reveal';
import { slide } from './slide';
import { slideTurn } from './slide-turn';
import { spiralDown } from './spiral-down';
import { spiralOut } from './spiral-out';
import { tiltReveal } from './tilt-reveal';
import { movingTimelapse } from './time-lapse';
import { topDownLine } from './top-down-line';
import { topDownSpin } from './top-down-spin';
import { topDownTurn } from './top-down-turn';
import { trackAlongside } from './track';
import { upAndAway } from './up-and-away';
import type { CameraMove } from './types';

/** Every camera move there is, in the order they are offered. A new move is one file and one line here. */
export const MOVES: readonly CameraMove[] = [
  hold,
  pan,
  tiltReveal,
  pushIn,
  lowToHigh,
  dropIn,
  flyOver,
  flyThrough,
  pullBack,
  upAndAway,
  rise,
  craneUp,
  riseReveal,
  descend,
  slide,
  slideTurn,
  sideReveal,
  fourPass,
  orbit,
  partOrbit,
  orbitAndBack,
  spiralOut,
  spiralDown,
  longLensOrbit,
  topDownLine,
  topDownTurn,
  topDownSpin,
  trackAlongside,
  follow,
  arriveAndTurn,
  fixedTiltLine,
  freeRoute,
  movingTimelapse,
  panorama,
  stillsBracket,
];

const byKind = new Map(MOVES.map((move) => [move.kind, move]));

/** The move of a kind, or undefined for a kind this version does not know. */
export const moveOf = (kind: string): CameraMove | undefined => byKind.get(kind);
