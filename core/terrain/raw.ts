import { message, type Message } from '../messages';
import { none } from '../units';

/** A raster of heights in the coordinates it came in: rows from south to north, middles of cells, m above sea level. */
export interface RawGrid {
  readonly columns: number;
  readonly rows: number;
  readonly cellX: number;
  readonly cellY: number;
  /** Middle of the south-west cell. */
  readonly west: number;
  readonly south: number;
  readonly heights: Float32Array;
}

/** Most cells taken in: a place of 5 km at a metre is more than anybody flies over. */
export const MOST_CELLS = 16_000_000;
/** No ground and no sea floor is farther from sea level, m: such figures stand for holes. */
const FARTHEST_FROM_SEA_M = 12_000;

/** More cells than are taken in. */
export const tooManyCells = (cells: number): { readonly ok: false; readonly reason: Message } =>
  none(message('heights.too-many', { millions: Math.round(cells / 1e6), most: MOST_CELLS / 1e6 }));

/**
 * Rows that came from the north laid from the south; what no ground on earth can be counts as unknown.
 * @param valueAt height of a cell counted from the north-west, m
 * @param noData what the file writes for a hole
 */
export const fromTheNorth = (
  columns: number,
  rows: number,
  valueAt: (index: number) => number,
  noData: number,
): Float32Array => {
  const heights = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const h = valueAt(row * columns + column);
      const hole =
        h === noData || Math.fround(h) === Math.fround(noData) || !(Math.abs(h) < FARTHEST_FROM_SEA_M);
      heights[(rows - 1 - row) * columns + column] = hole ? NaN : h;
    }
  return heights;
};
