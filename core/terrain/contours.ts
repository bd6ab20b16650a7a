import { contours } from 'd3-contour';
import { rangeOf, type HeightGrid } from './grid';

/** A line of equal height. */
export interface Contour {
  /** Height above sea level, m. */
  readonly heightM: number;
  /** Every fifth is drawn heavier and carries its height. */
  readonly main: boolean;
  /** Rings and open lines, local metres. */
  readonly lines: readonly (readonly (readonly [number, number])[])[];
}

/** A step of 1, 2 or 5 times a power of ten that gives about so many lines between two heights. */
export const contourStep = (lowM: number, highM: number, about = 16): number => {
  const rough = Math.max(0.5, (highM - lowM) / about);
  const ten = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 5, 10].map((n) => n * ten).find((n) => n >= rough * 0.999) ?? 10 * ten;
};

/** Lines of equal height at a step. Holes are taken as lying below everything, so that lines end at them. */
export const contoursOf = (grid: HeightGrid, stepM = 0): Contour[] => {
  const { lowM, highM } = rangeOf(grid);
  if (!(highM > lowM)) return [];
  const step = stepM > 0 ? stepM : contourStep(lowM, highM);
  const heights: number[] = [];
  for (let h = Math.ceil(lowM / step) * step; h <= highM; h += step) heights.push(h);
  const floor = lowM - 10_000;
  const values = Array.from(grid.heights, (h) => (Number.isNaN(h) ? floor : h));
  const rings = contours().size([grid.columns, grid.rows]).smooth(true).thresholds(heights)(values);
  const place = ([c, r]: readonly number[]): [number, number] => [
    grid.westM + ((c ?? 0) - 0.5) * grid.cellM,
    grid.southM + ((r ?? 0) - 0.5) * grid.cellM,
  ];
  const onEdge = ([c, r]: readonly number[]): boolean =>
    (c ?? 0) <= 0.5 || (r ?? 0) <= 0.5 || (c ?? 0) >= grid.columns - 0.5 || (r ?? 0) >= grid.rows - 0.5;
  return rings.map((ring) => ({
    heightM: ring.value,
    main: Math.round(ring.value / step) % 5 === 0,
    lines: ring.coordinates.flatMap((polygon) =>
      polygon.flatMap((line) => withoutEdge(line, onEdge)).map((line) => line.map(place)),
    ),
  }));
};

/** A ring without the stretches that run along the edge of the grid: those are no contour. */
const withoutEdge = (
  ring: readonly (readonly number[])[],
  onEdge: (p: readonly number[]) => boolean,
): (readonly number[])[][] => {
  const pieces: (readonly number[])[][] = [];
  let piece: (readonly number[])[] = [];
  for (const [i, point] of ring.entries()) {
    const before = ring[i - 1];
    if (before && onEdge(before) && onEdge(point)) {
      if (piece.length > 1) pieces.push(piece);
      piece = [];
    }
    piece.push(point);
  }
  if (piece.length > 1) pieces.push(piece);
  return pieces;
};
