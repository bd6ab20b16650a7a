import { found, none, type Result } from '../units';

/** A raster of heights in the coordinates it came in: rows from south to north, middles of cells. */
export interface RawGrid {
  readonly columns: number;
  readonly rows: number;
  readonly cellX: number;
  readonly cellY: number;
  readonly west: number;
  readonly south: number;
  readonly heights: Float32Array;
}

/** Most cells taken in: a place of 5 km at a metre is more than anybody flies over. */
export const MOST_CELLS = 16_000_000;

const HEADER = /^\s*([A-Za-z_]+)\s+(\S+)\s*$/;

const readHeader = (lines: readonly string[]): { fields: Map<string, number>; used: number } => {
  const fields = new Map<string, number>();
  let used = 0;
  for (const line of lines.slice(0, 8)) {
    const match = HEADER.exec(line);
    if (!match?.[1] || !/^[A-Za-z]/.test(match[1])) break;
    fields.set(match[1].toLowerCase(), Number(match[2]));
    used += 1;
  }
  return { fields, used };
};

/** Every number in the rest of the text, without making a string of each line first. */
const readNumbers = (text: string, from: number, count: number): Float32Array | null => {
  const out = new Float32Array(count);
  const number = /[^\s,;]+/g;
  number.lastIndex = from;
  for (let i = 0; i < count; i += 1) {
    const match = number.exec(text);
    if (!match) return null;
    out[i] = Number(match[0]);
  }
  return out;
};

/** Columns, rows, cell and the middle of the south-west cell from the header. */
const readHead = (
  fields: ReadonlyMap<string, number>,
): Result<{ columns: number; rows: number; cell: number; west: number; south: number }> => {
  const [columns, rows, cell] = [
    fields.get('ncols') ?? NaN,
    fields.get('nrows') ?? NaN,
    fields.get('cellsize') ?? NaN,
  ];
  if (![columns, rows].every((n) => Number.isInteger(n) && n >= 2))
    return none('This is no ASCII grid: it must start with ncols and nrows, each 2 or more.');
  if (!(cell > 0)) return none('The grid names no cellsize above 0.');
  if (columns * rows > MOST_CELLS)
    return none(
      `The grid has ${((columns * rows) / 1e6).toFixed(0)} million cells; ${MOST_CELLS / 1e6} million are taken at most. Cut it to the location.`,
    );
  const west = fields.get('xllcenter') ?? (fields.get('xllcorner') ?? NaN) + cell / 2;
  const south = fields.get('yllcenter') ?? (fields.get('yllcorner') ?? NaN) + cell / 2;
  return Number.isFinite(west) && Number.isFinite(south)
    ? found({ columns, rows, cell, west, south })
    : none('The grid does not say where it lies: xllcorner and yllcorner are missing.');
};

/** Rows turned over; what no ground on earth can be counts as unknown. */
const fromTheSouth = (read: Float32Array, columns: number, rows: number, noData: number): Float32Array => {
  const heights = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const h = read[row * columns + column] ?? NaN;
      heights[(rows - 1 - row) * columns + column] =
        h === Math.fround(noData) || !(Math.abs(h) < 20_000) ? NaN : h;
    }
  return heights;
};

/**
 * Reads an ESRI ASCII grid (format as described by the Library of Congress, fdd000421): a header of columns, rows, corner and
 * cell size, then heights row by row from the north.
 * @returns the raster, or what is wrong with the file
 */
export const readAsciiGrid = (text: string): Result<RawGrid> => {
  const lines = text.slice(0, 2000).split(/\r?\n/);
  const { fields, used } = readHeader(lines);
  const head = readHead(fields);
  if (!head.ok) return head;
  const { columns, rows, cell, west, south } = head.value;
  const start =
    lines.slice(0, used).reduce((sum, line) => sum + line.length + 1, 0) +
    (text.slice(0, 2000).includes('\r\n') ? used : 0);
  const read = readNumbers(text, start, columns * rows);
  if (!read) return none(`The grid ends early: ${columns} × ${rows} heights were announced.`);
  return found({
    columns,
    rows,
    cellX: cell,
    cellY: cell,
    west,
    south,
    heights: fromTheSouth(read, columns, rows, fields.get('nodata_value') ?? -9999),
  });
};
