import { topAt, type Solid } from '../clearance';
import type { Feature } from '../model';
import { LEVEL_GROUND, type Ground } from '../terrain';
import { solidOf } from './feature';

/** Height of the ground, or of what stands there and is lower than a height, over a place, local metres; NaN where unknown. */
export type SurfaceAt = (x: number, y: number, belowM: number) => number;

/** Side of the squares things are sorted into, m. */
const CELL_M = 40;
const MOST_CELLS = 400;
const keyOf = (column: number, row: number): number => column * 100_003 + row;

const sorted = (solids: readonly Solid[]): { cells: Map<number, Solid[]>; large: Solid[] } => {
  const cells = new Map<number, Solid[]>();
  const large: Solid[] = [];
  for (const solid of solids) {
    const { west, east, south, north } = solid.box;
    const [c0, c1] = [Math.floor(west / CELL_M), Math.floor(east / CELL_M)];
    const [r0, r1] = [Math.floor(south / CELL_M), Math.floor(north / CELL_M)];
    if ((c1 - c0 + 1) * (r1 - r0 + 1) > MOST_CELLS) {
      large.push(solid);
      continue;
    }
    for (let column = c0; column <= c1; column += 1)
      for (let row = r0; row <= r1; row += 1) {
        const key = keyOf(column, row);
        const cell = cells.get(key);
        if (cell) cell.push(solid);
        else cells.set(key, [solid]);
      }
  }
  return { cells, large };
};

/** The highest of a height and the tops of solids over a place that are lower than another height. */
const raisedBy = (solids: readonly Solid[], startM: number, x: number, y: number, belowM: number): number => {
  let top = startM;
  for (const solid of solids) {
    if (solid.topM <= top) continue;
    const here = topAt(solid, x, y);
    if (here < belowM && !(here <= top)) top = here;
  }
  return top;
};

/**
 * What lies under a path: the ground with the features that stand on it. What is higher than the camera is beside it, not
 * under it, and is left out.
 */
export const surfaceOver = (features: readonly Feature[], ground: Ground | undefined): SurfaceAt => {
  const terrain = ground ?? LEVEL_GROUND;
  const { cells, large } = sorted(features.flatMap((f) => solidOf(f, terrain) ?? []));
  return (x, y, belowM) => {
    const near = cells.get(keyOf(Math.floor(x / CELL_M), Math.floor(y / CELL_M)));
    const groundM = terrain.at(x, y);
    return raisedBy(large, near ? raisedBy(near, groundM, x, y, belowM) : groundM, x, y, belowM);
  };
};
