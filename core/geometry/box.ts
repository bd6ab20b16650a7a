import { flatLength } from './vector';
import type { Spot } from './ring';

/** A rectangle over the ground with its sides to the four winds, local metres. */
export interface Box {
  readonly west: number;
  readonly south: number;
  readonly east: number;
  readonly north: number;
}

/** The box about places, wider by a margin on every side, m. Without places it holds nothing. */
export const boxOf = (spots: readonly Spot[], marginM = 0): Box => {
  let [west, south, east, north] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of spots) {
    if (x < west) west = x;
    if (y < south) south = y;
    if (x > east) east = x;
    if (y > north) north = y;
  }
  return { west: west - marginM, south: south - marginM, east: east + marginM, north: north + marginM };
};

/** Whether a place lies in a box, its sides included. */
export const inBox = ({ west, south, east, north }: Box, x: number, y: number): boolean =>
  x >= west && x <= east && y >= south && y <= north;

/** Room between two boxes over the ground, m; 0 where they meet. */
export const boxGap = (a: Box, b: Box): number =>
  flatLength(
    Math.max(0, b.west - a.east, a.west - b.east),
    Math.max(0, b.south - a.north, a.south - b.north),
  );

/** Room between a box and a place, m; 0 in it. */
export const gapTo = ({ west, south, east, north }: Box, x: number, y: number): number =>
  flatLength(Math.max(0, west - x, x - east), Math.max(0, south - y, y - north));
