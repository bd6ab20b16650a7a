import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { fromTheNorth, MOST_CELLS, type RawGrid, tooManyCells } from './raw';

const HEADER = /^\s*([A-Za-z_]+)\s+(\S+)\s*$/;
/** Lines a header has at the most. */
const HEADER_LINES = 10;

const decimal = (text: string): number => Number(text.replace(',', '.'));

const readHeader = (text: string): { fields: Map<string, number>; end: number } => {
  const fields = new Map<string, number>();
  let end = 0;
  for (let line = 0; line < HEADER_LINES; line += 1) {
    const next = text.indexOf('\n', end);
    const match = HEADER.exec(text.slice(end, next < 0 ? undefined : next));
    if (!match?.[1] || next < 0) break;
    fields.set(match[1].toLowerCase(), decimal(match[2] ?? ''));
    end = next + 1;
  }
  return { fields, end };
};

const cellsOf = (fields: ReadonlyMap<string, number>): readonly [number, number] => {
  const square = fields.get('cellsize');
  return [square ?? fields.get('dx') ?? NaN, square ?? fields.get('dy') ?? NaN];
};

/** Columns, rows, cells and the middle of the south-west cell from the header. */
const readHead = (fields: ReadonlyMap<string, number>): Result<Omit<RawGrid, 'heights'>, Message> => {
  const [columns, rows] = [fields.get('ncols') ?? NaN, fields.get('nrows') ?? NaN];
  const [cellX, cellY] = cellsOf(fields);
  if (![columns, rows].every((n) => Number.isInteger(n) && n >= 2)) return none(message('heights.no-grid'));
  if (!(cellX > 0 && cellY > 0)) return none(message('heights.no-cell'));
  if (columns * rows > MOST_CELLS) return tooManyCells(columns * rows);
  const west = fields.get('xllcenter') ?? (fields.get('xllcorner') ?? NaN) + cellX / 2;
  const south = fields.get('yllcenter') ?? (fields.get('yllcorner') ?? NaN) + cellY / 2;
  return Number.isFinite(west) && Number.isFinite(south)
    ? found({ columns, rows, cellX, cellY, west, south })
    : none(message('heights.no-corner'));
};

/** Numbers of the body one by one, without making a string of each line first. */
const readNumbers = (
  text: string,
  from: number,
  count: number,
  separators: RegExp,
): Result<Float64Array, Message> => {
  const out = new Float64Array(count);
  separators.lastIndex = from;
  for (let i = 0; i < count; i += 1) {
    const match = separators.exec(text);
    if (!match) return none(message('heights.ends-early', { expected: count, read: i }));
    const value = decimal(match[0]);
    if (Number.isNaN(value) && !/^[-+]?nan$/i.test(match[0]))
      return none(message('heights.not-a-number', { text: match[0].slice(0, 20) }));
    out[i] = value;
  }
  return separators.exec(text) ? none(message('heights.goes-on', { expected: count })) : found(out);
};

/**
 * Reads an ESRI ASCII grid (format as described by the Library of Congress, fdd000421): a header of columns, rows, corner and
 * cell size (`cellsize`, or `dx` and `dy` where cells are no squares), then heights row by row from the north. A comma is a
 * decimal comma where blanks separate the heights, and a separator where they do not.
 * @returns the raster, or what is wrong with the file
 */
export const readAsciiGrid = (text: string): Result<RawGrid, Message> => {
  const { fields, end } = readHeader(text);
  const head = readHead(fields);
  if (!head.ok) return head;
  const { columns, rows } = head.value;
  const byBlanks = readNumbers(text, end, columns * rows, /[^\s;]+/g);
  const read = byBlanks.ok ? byBlanks : readNumbers(text, end, columns * rows, /[^\s,;]+/g);
  if (!read.ok) return byBlanks.ok ? read : text.includes(',', end) ? read : byBlanks;
  const { value } = read;
  const heights = fromTheNorth(columns, rows, (i) => value[i] ?? NaN, fields.get('nodata_value') ?? -9999);
  return found({ ...head.value, heights });
};
