import type { Box } from '../geometry';
import type { HeightGrid } from './grid';

/** Something that stands on the ground, as its top over a place above sea level; −Infinity beside it. */
export interface StandingTop {
  readonly box: Box;
  readonly topAt: (xM: number, yM: number) => number;
}

/** The ground with what stands on it: each cell as high as the tallest thing over its middle. Holes stay holes. */
export const surfaceOf = (grid: HeightGrid, standing: readonly StandingTop[]): HeightGrid => {
  const heights = Float32Array.from(grid.heights);
  const cell = (m: number, from: number, most: number): number =>
    Math.min(most, Math.max(0, Math.round((m - from) / grid.cellM)));
  for (const { box, topAt } of standing) {
    const [c0, c1] = [
      cell(box.west, grid.westM, grid.columns - 1),
      cell(box.east, grid.westM, grid.columns - 1),
    ];
    const [r0, r1] = [
      cell(box.south, grid.southM, grid.rows - 1),
      cell(box.north, grid.southM, grid.rows - 1),
    ];
    for (let row = r0; row <= r1; row += 1)
      for (let column = c0; column <= c1; column += 1) {
        const i = row * grid.columns + column;
        const top = topAt(grid.westM + column * grid.cellM, grid.southM + row * grid.cellM);
        if (top > (heights[i] ?? NaN)) heights[i] = top;
      }
  }
  return { ...grid, heights };
};
