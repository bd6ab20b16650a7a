import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { MOST_CELLS, type RawGrid, tooManyCells } from './raw';

/** Points of a list that are read: each needs room for three numbers. */
export const MOST_POINTS = 6_000_000;
const LINE = /^[ \t]*([^\s,;]+)[\s,;]+([^\s,;]+)[\s,;]+([^\s,;]+)[ \t]*[,;]?[ \t]*$/;

/** Whether a text is a list of points: its first or second line is three numbers. */
export const isPointList = (text: string): boolean =>
  text
    .slice(0, 400)
    .split(/\r?\n/, 2)
    .some(
      (line) =>
        LINE.exec(line)
          ?.slice(1)
          .every((n) => Number.isFinite(Number(n))) ?? false,
    );

const readPoints = (text: string): Result<Float64Array, Message> => {
  const points: number[] = [];
  const lines = /[^\r\n]+/g;
  for (let match = lines.exec(text), line = 1; match; match = lines.exec(text), line += 1) {
    const parts = LINE.exec(match[0])?.slice(1).map(Number);
    if (!parts?.every(Number.isFinite)) {
      if (line === 1 || match[0].trim() === '') continue;
      return none(message('heights.not-a-point', { line, text: match[0].slice(0, 40) }));
    }
    points.push(...parts);
    if (points.length > MOST_POINTS * 3) return tooManyCells(points.length / 3);
  }
  return found(Float64Array.from(points));
};

/** Lowest value, step and count of an axis of a regular raster. */
const axisOf = (values: Float64Array): { from: number; step: number; count: number } | null => {
  const distinct = [...new Set(values)].sort((a, b) => a - b);
  const from = distinct[0] ?? NaN;
  const to = distinct.at(-1) ?? NaN;
  let step = Infinity;
  for (let i = 1; i < distinct.length; i += 1) {
    const gap = (distinct[i] ?? 0) - (distinct[i - 1] ?? 0);
    // Coordinates written with few decimals differ by their rounding.
    if (gap > 1e-9 * Math.max(1, Math.abs(to))) step = Math.min(step, gap);
  }
  if (!Number.isFinite(step)) return null;
  const count = Math.round((to - from) / step) + 1;
  const even = count > 1 ? (to - from) / (count - 1) : step;
  const regular = distinct.every((v) => Math.abs((v - from) / even - Math.round((v - from) / even)) < 0.05);
  return regular ? { from, step: even, count } : null;
};

/**
 * Reads a list of points, one `x y height` a line, that stand on a regular raster (as terrain is often handed out); what is
 * missing is a hole. Points are middles of cells.
 * @returns the raster, or what is wrong with the file
 */
export const readPointList = (text: string): Result<RawGrid, Message> => {
  const read = readPoints(text);
  if (!read.ok) return read;
  const points = read.value;
  const column = (k: number): Float64Array =>
    Float64Array.from({ length: points.length / 3 }, (_, i) => points[i * 3 + k] ?? NaN);
  const [x, y] = [axisOf(column(0)), axisOf(column(1))];
  if (!x || !y) return none(message('heights.not-regular'));
  if (x.count * y.count > MOST_CELLS) return tooManyCells(x.count * y.count);
  const heights = new Float32Array(x.count * y.count).fill(NaN);
  for (let i = 0; i < points.length; i += 3) {
    const col = Math.round(((points[i] ?? NaN) - x.from) / x.step);
    const row = Math.round(((points[i + 1] ?? NaN) - y.from) / y.step);
    const h = points[i + 2] ?? NaN;
    heights[row * x.count + col] = Math.abs(h) < 9_999 ? h : NaN;
  }
  return found({
    columns: x.count,
    rows: y.count,
    cellX: x.step,
    cellY: y.step,
    west: x.from,
    south: y.from,
    heights,
  });
};
