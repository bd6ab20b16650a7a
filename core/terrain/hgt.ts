import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { fromTheNorth, type RawGrid } from './raw';

const NAME = /([NS])(\d{2})([EW])(\d{3})[^/\\]*\.hgt$/i;
/** Cells a side of a tile of one degree: three arc seconds, and one. */
const SIDES = [1201, 3601];
const VOID = -32_768;

/** Whether a file is named like a tile of a degree. */
export const isTileName = (name: string): boolean => NAME.test(name);

/**
 * Reads a tile of one degree of heights as the shuttle radar mission's were handed out (USGS, SRTM topography documentation,
 * 2.1.3): signed 16-bit big-endian metres, row by row from the north, points on the edges of the degree, named by its south-west corner.
 * @returns the raster in degrees, or what is wrong with the file
 */
export const readTile = (buffer: ArrayBuffer, name: string): Result<RawGrid, Message> => {
  const corner = NAME.exec(name);
  const side = SIDES.find((n) => n * n * 2 === buffer.byteLength);
  if (!corner || side === undefined) return none(message('heights.no-tile'));
  const south = Number(corner[2]) * (corner[1]?.toUpperCase() === 'S' ? -1 : 1);
  const west = Number(corner[4]) * (corner[3]?.toUpperCase() === 'W' ? -1 : 1);
  const view = new DataView(buffer);
  const cell = 1 / (side - 1);
  return found({
    columns: side,
    rows: side,
    cellX: cell,
    cellY: cell,
    west,
    south,
    heights: fromTheNorth(side, side, (i) => view.getInt16(i * 2), VOID),
  });
};
