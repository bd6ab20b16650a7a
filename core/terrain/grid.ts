import type { Box } from '../geometry';

/**
 * Ground heights on a square raster in local metres. Rows run from south to north, columns from west to east; a height
 * stands for the middle of its cell, m above sea level, NaN where nothing is known.
 */
export interface HeightGrid {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  /** Middle of the south-west cell, local metres. */
  readonly westM: number;
  readonly southM: number;
  readonly heights: Float32Array;
}

/** Outer edge of the cells' middles, local metres. */
export const extentOf = (grid: HeightGrid): Box => ({
  west: grid.westM,
  south: grid.southM,
  east: grid.westM + (grid.columns - 1) * grid.cellM,
  north: grid.southM + (grid.rows - 1) * grid.cellM,
});

/** Height at a place between the middles of four cells, bilinear, m above sea level; NaN off the grid and beside a hole. */
export const heightIn = (grid: HeightGrid, xM: number, yM: number): number => {
  const { columns, rows, heights } = grid;
  const u = (xM - grid.westM) / grid.cellM;
  const v = (yM - grid.southM) / grid.cellM;
  if (!(u >= 0 && v >= 0 && u <= columns - 1 && v <= rows - 1)) return NaN;
  const column = Math.min(columns - 2, Math.floor(u));
  const row = Math.min(rows - 2, Math.floor(v));
  const [du, dv] = [u - column, v - row];
  const at = row * columns + column;
  const south = (heights[at] ?? NaN) * (1 - du) + (heights[at + 1] ?? NaN) * du;
  const north = (heights[at + columns] ?? NaN) * (1 - du) + (heights[at + columns + 1] ?? NaN) * du;
  return south * (1 - dv) + north * dv;
};

/** Lowest and highest of the known heights, m, and the share of cells that is unknown. */
export const rangeOf = (
  grid: HeightGrid,
): { readonly lowM: number; readonly highM: number; readonly holes: number } => {
  let [low, high, unknown] = [Infinity, -Infinity, 0];
  for (const h of grid.heights) {
    if (Number.isNaN(h)) unknown += 1;
    else {
      if (h < low) low = h;
      if (h > high) high = h;
    }
  }
  return { lowM: low, highM: high, holes: grid.heights.length > 0 ? unknown / grid.heights.length : 1 };
};
