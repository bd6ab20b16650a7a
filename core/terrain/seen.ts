import type { Vec3 } from '../geometry';
import { extentOf, type HeightGrid } from './grid';
import { sunkM } from './line';

/** What a cell is to the eye. */
export const SEEN = { hidden: 0, seen: 1, ground: 2, unknown: 3, beyond: 4 } as const;

export interface SeenArea {
  readonly grid: HeightGrid;
  /** One of `SEEN` for each cell. */
  readonly cells: Uint8Array;
  readonly seenShare: number;
}

/** Heights as a line of sight meets them: less the origin's, sunk with the distance from the eye, and holes as −∞. */
const standing = (grid: HeightGrid, zeroM: number, eye: Vec3): Float64Array => {
  const out = new Float64Array(grid.heights.length);
  for (let row = 0, i = 0; row < grid.rows; row += 1) {
    const dy = grid.southM + row * grid.cellM - eye.y;
    for (let column = 0; column < grid.columns; column += 1, i += 1) {
      const dx = grid.westM + column * grid.cellM - eye.x;
      const h = grid.heights[i] ?? NaN;
      out[i] = Number.isNaN(h) ? -Infinity : h - zeroM - sunkM(Math.hypot(dx, dy));
    }
  }
  return out;
};

/** The eye in cells, and the raster it looks over. */
interface Field {
  readonly z: Float64Array;
  readonly columns: number;
  readonly rows: number;
  readonly u: number;
  readonly v: number;
  readonly eyeZ: number;
  readonly cellM: number;
}

const heightBetween = (z: Float64Array, at: number, stride: number, share: number): number => {
  const a = z[at] ?? -Infinity;
  return share === 0 ? a : a + ((z[at + stride] ?? -Infinity) - a) * share;
};

/**
 * Goes from the eye toward a cell, one crossing of rows (or columns, whichever the line crosses more of) after another, and
 * tells the steepest ground so far at each. Heights between two cells are linear.
 * @param visit called with the nearest cell, its distance from the eye in cells and the steepest slope before it; true ends it
 */
const alongRay = (
  f: Field,
  toColumn: number,
  toRow: number,
  visit: (cell: number, away: number, steepest: number) => boolean,
): void => {
  const [du, dv] = [toColumn - f.u, toRow - f.v];
  const flat = Math.abs(du) >= Math.abs(dv);
  const [main, side] = flat ? [du, dv] : [dv, du];
  if (main === 0) return;
  const [mainAt, sideAt] = flat ? [f.u, f.v] : [f.v, f.u];
  const sign = main > 0 ? 1 : -1;
  const slant = Math.hypot(1, side / main);
  const limit = flat ? f.rows - 1 : f.columns - 1;
  const [mainStride, sideStride] = flat ? [1, f.columns] : [f.columns, 1];
  const first = sign > 0 ? Math.floor(mainAt) + 1 : Math.ceil(mainAt) - 1;
  const crossings = Math.abs((flat ? toColumn : toRow) - first);
  let steepest = -Infinity;
  for (let k = 0, m = first; k <= crossings; k += 1, m += sign) {
    const gone = Math.abs(m - mainAt);
    const s = sideAt + (side / main) * (m - mainAt);
    const low = Math.min(limit, Math.max(0, Math.floor(s)));
    const share = s - low;
    const away = gone * slant;
    const cell = m * mainStride + (share < 0.5 || low === limit ? low : low + 1) * sideStride;
    if (visit(cell, away, steepest)) return;
    if (away <= 0.5) continue;
    const slope =
      (heightBetween(f.z, m * mainStride + low * sideStride, low === limit ? 0 : sideStride, share) -
        f.eyeZ) /
      (away * f.cellM);
    if (slope > steepest) steepest = slope;
  }
};

/** Height of the aircraft over a cell as the eye meets it: sunk with the distance. */
const aloft = (f: Field, targetM: number, away: number): number => targetM - sunkM(away * f.cellM) - f.eyeZ;

const exactly = (f: Field, targetM: number, column: number, row: number): boolean => {
  const goal = row * f.columns + column;
  let free = true;
  alongRay(f, column, row, (cell, away, steepest) => {
    if (cell !== goal) return false;
    free = aloft(f, targetM, away) / (away * f.cellM) >= steepest;
    return true;
  });
  return free;
};

const edgeCells = (columns: number, rows: number): [number, number][] => {
  const cells: [number, number][] = [];
  for (let c = 0; c < columns; c += 1) cells.push([c, 0], [c, rows - 1]);
  for (let r = 1; r < rows - 1; r += 1) cells.push([0, r], [columns - 1, r]);
  return cells;
};

/** Rays, and rows of cells, between two looks at how far it is. */
const STRIDE = 16;
/** Part of the work that goes into the rays; the cells at borders take the rest. */
const RAYS_SHARE = 0.7;

/** A ray to each cell at the edge marks what it passes; what two rays differ about, and every border, is looked at by itself. */
function* sweep(f: Field, targetM: number): Generator<number, Uint8Array> {
  const [MIXED, FREE, HIDDEN] = [3, 1, 2];
  const marks = new Uint8Array(f.z.length);
  const edge = edgeCells(f.columns, f.rows);
  for (const [i, [column, row]] of edge.entries()) {
    if (i % STRIDE === 0) yield (i / edge.length) * RAYS_SHARE;
    alongRay(f, column, row, (cell, away, steepest) => {
      const free = aloft(f, targetM, away) / (away * f.cellM) >= steepest;
      marks[cell] = (marks[cell] ?? 0) | (free ? FREE : HIDDEN);
      return false;
    });
  }
  const cells = new Uint8Array(f.z.length);
  for (let row = 0, i = 0; row < f.rows; row += 1) {
    if (row % STRIDE === 0) yield RAYS_SHARE + (row / f.rows) * (1 - RAYS_SHARE);
    for (let column = 0; column < f.columns; column += 1, i += 1) {
      const mark = marks[i] ?? 0;
      const alike = (dc: number, dr: number): boolean => {
        const [c, r] = [column + dc, row + dr];
        return c < 0 || r < 0 || c >= f.columns || r >= f.rows || marks[r * f.columns + c] === mark;
      };
      const sure = mark !== 0 && mark !== MIXED && alike(1, 0) && alike(-1, 0) && alike(0, 1) && alike(0, -1);
      cells[i] = (sure ? mark === FREE : exactly(f, targetM, column, row)) ? SEEN.seen : SEEN.hidden;
    }
  }
  return cells;
}

/**
 * Where an aircraft would be seen from an eye, flying level at a height: for each cell whether the straight line from the eye
 * is free of ground. The line's heights between cells are linear; the earth's curve and the usual bending of light count.
 * @param zeroM height that local z counts from, m above sea level
 * @param targetM height flown, local z
 * @param reachM how far the eye makes the aircraft out, m
 * @yields the share of the work that is done, 0 to 1, never falling
 * @returns null when the eye is off the grid
 */
export function* seenBySteps(
  grid: HeightGrid,
  zeroM: number,
  eye: Vec3,
  targetM: number,
  reachM: number,
): Generator<number, SeenArea | null> {
  const { west, south, east, north } = extentOf(grid);
  if (!(eye.x >= west && eye.x <= east && eye.y >= south && eye.y <= north)) return null;
  const f: Field = {
    z: standing(grid, zeroM, eye),
    columns: grid.columns,
    rows: grid.rows,
    u: (eye.x - west) / grid.cellM,
    v: (eye.y - south) / grid.cellM,
    eyeZ: eye.z,
    cellM: grid.cellM,
  };
  const cells = yield* sweep(f, targetM);
  let [seen, asked] = [0, 0];
  for (let row = 0, i = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1, i += 1) {
      const h = grid.heights[i] ?? NaN;
      const away = Math.hypot(
        west + column * grid.cellM - eye.x,
        south + row * grid.cellM - eye.y,
        targetM - eye.z,
      );
      if (away > reachM) cells[i] = SEEN.beyond;
      else if (Number.isNaN(h)) cells[i] = SEEN.unknown;
      else if (h - zeroM >= targetM) cells[i] = SEEN.ground;
      else {
        asked += 1;
        if (cells[i] === SEEN.seen) seen += 1;
      }
    }
  return { grid, cells, seenShare: asked > 0 ? seen / asked : 0 };
}

/** `seenBySteps`, all of them at once. */
export const seenFrom = (...asked: Parameters<typeof seenBySteps>): SeenArea | null => {
  const steps = seenBySteps(...asked);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
};
