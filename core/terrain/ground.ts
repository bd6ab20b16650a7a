import { heightIn, type HeightGrid } from './grid';

/** The ground about a location, as heights above the ground at its origin. */
export interface Ground {
  readonly grid: HeightGrid | null;
  /** Height of the origin above sea level, m. */
  readonly zeroM: number;
  /** Ground above (+) or below (−) the origin, m; NaN where nothing is known. */
  readonly at: (xM: number, yM: number) => number;
}

/** Where no grid is known the ground is taken as level with the origin. */
export const LEVEL_GROUND: Ground = { grid: null, zeroM: 0, at: () => 0 };

/**
 * Ground of a grid. Only differences count: the grid's own height at the origin is taken as zero, so a grid that is a few
 * metres off as a whole does no harm.
 * @param elevationM height of the origin above sea level, m; used where the grid does not cover it
 */
export const groundOf = (grid: HeightGrid, elevationM: number): Ground => {
  const own = heightIn(grid, 0, 0);
  const zeroM = Number.isNaN(own) ? elevationM : own;
  return { grid, zeroM, at: (xM, yM) => heightIn(grid, xM, yM) - zeroM };
};

/** Step at which a line over the ground is looked at, m: half a cell, and not less than one metre. */
export const stepOver = (ground: Ground): number => (ground.grid ? Math.max(1, ground.grid.cellM / 2) : 25);
