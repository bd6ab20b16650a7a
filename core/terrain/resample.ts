import { gapTo } from '../geometry';
import { measured, message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import type { HeightGrid } from './grid';
import type { RawGrid } from './raw';

/** Largest side of a stored grid, cells. */
export const MOST_SIDE = 1000;
/** How far from the origin ground is kept, m. */
export const FARTHEST_M = 5000;

const heightRaw = (raw: RawGrid, x: number, y: number): number => {
  const u = (x - raw.west) / raw.cellX;
  const v = (y - raw.south) / raw.cellY;
  if (!(u >= -0.5 && v >= -0.5 && u <= raw.columns - 0.5 && v <= raw.rows - 0.5)) return NaN;
  const column = Math.min(raw.columns - 2, Math.max(0, Math.floor(u)));
  const row = Math.min(raw.rows - 2, Math.max(0, Math.floor(v)));
  const [du, dv] = [Math.min(1, Math.max(0, u - column)), Math.min(1, Math.max(0, v - row))];
  const at = row * raw.columns + column;
  const mix = (i: number): number => (raw.heights[i] ?? NaN) * (1 - du) + (raw.heights[i + 1] ?? NaN) * du;
  return mix(at) * (1 - dv) + mix(at + raw.columns) * dv;
};

/** Local bounds of a raster: its outline followed and turned into local metres. */
const boundsOf = (raw: RawGrid, toLocalM: (x: number, y: number) => readonly [number, number]) => {
  const [east, north] = [raw.west + (raw.columns - 1) * raw.cellX, raw.south + (raw.rows - 1) * raw.cellY];
  const outline = Array.from({ length: 33 }, (_, i) => i / 32).flatMap((t) => [
    toLocalM(raw.west + (east - raw.west) * t, raw.south),
    toLocalM(raw.west + (east - raw.west) * t, north),
    toLocalM(raw.west, raw.south + (north - raw.south) * t),
    toLocalM(east, raw.south + (north - raw.south) * t),
  ]);
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  return { west: Math.min(...xs), east: Math.max(...xs), south: Math.min(...ys), north: Math.max(...ys) };
};

/**
 * Brings a raster in any coordinates to a square one in local metres, cut to the place and no finer than it was.
 * @param toLocalM its coordinates to local metres
 * @param fromLocalM local metres to its coordinates
 * @returns no answer when it does not cover the origin
 */
export const toLocalGrid = (
  raw: RawGrid,
  toLocalM: (x: number, y: number) => readonly [number, number],
  fromLocalM: (xM: number, yM: number) => readonly [number, number],
): Result<HeightGrid, Message> => {
  const bounds = boundsOf(raw, toLocalM);
  if (!Object.values(bounds).every(Number.isFinite)) return none(message('heights.nowhere'));
  const awayM = gapTo(bounds, 0, 0);
  if (awayM > 0) return none(message('heights.elsewhere', { away: measured(awayM, 'metres', 0) }));
  const west = Math.max(bounds.west, -FARTHEST_M);
  const south = Math.max(bounds.south, -FARTHEST_M);
  const width = Math.min(bounds.east, FARTHEST_M) - west;
  const height = Math.min(bounds.north, FARTHEST_M) - south;
  const own = Math.sqrt(
    ((bounds.east - bounds.west) / Math.max(1, raw.columns - 1)) *
      ((bounds.north - bounds.south) / Math.max(1, raw.rows - 1)),
  );
  const cellM = Math.max(own, width / (MOST_SIDE - 1), height / (MOST_SIDE - 1));
  const [columns, rows] = [Math.floor(width / cellM + 1e-6) + 1, Math.floor(height / cellM + 1e-6) + 1];
  if (columns < 2 || rows < 2) return none(message('heights.too-small'));
  const heights = new Float32Array(columns * rows);
  let known = 0;
  for (let row = 0, i = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1, i += 1) {
      const [x, y] = fromLocalM(west + column * cellM, south + row * cellM);
      const h = heightRaw(raw, x, y);
      heights[i] = h;
      if (!Number.isNaN(h)) known += 1;
    }
  return known > 0
    ? found({ columns, rows, cellM, westM: west, southM: south, heights })
    : none(message('heights.only-holes'));
};
