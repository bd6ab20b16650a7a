import type { MoveDirection } from './types';

const TURNED: Partial<Record<MoveDirection, MoveDirection>> = {
  toward: 'away',
  away: 'toward',
  up: 'down',
  down: 'up',
};

/** Direction of a move flown backwards. */
export const directionFlown = (direction: MoveDirection, reversed: boolean): MoveDirection =>
  reversed ? (TURNED[direction] ?? direction) : direction;
