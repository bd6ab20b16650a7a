import { rangeOf, type HeightGrid } from './grid';

/** Where a packed raster lies and what its numbers mean. */
export type GridHead = Omit<HeightGrid, 'heights'> & { readonly lowM: number; readonly highM: number };

const HOLE = 0xffff;
const TOP = 0xfffe;

/**
 * Heights as two bytes each, low byte first: the share of the range from lowest to highest in 65 534 steps, 65 535 for unknown,
 * and each the difference to its western neighbour, so that it packs well. Off by less than a hundred-thousandth of the range.
 */
export const packHeights = (grid: HeightGrid): { readonly head: GridHead; readonly bytes: Uint8Array } => {
  const { lowM, highM } = rangeOf(grid);
  const { heights, columns, rows, cellM, westM, southM } = grid;
  const bytes = new Uint8Array(heights.length * 2);
  const span = highM > lowM ? highM - lowM : 1;
  let before = 0;
  for (let i = 0; i < heights.length; i += 1) {
    if (i % columns === 0) before = 0;
    const h = heights[i] ?? NaN;
    const value = Number.isNaN(h) ? HOLE : Math.round(((h - lowM) / span) * TOP);
    const step = (value - before) & 0xffff;
    bytes[i * 2] = step & 0xff;
    bytes[i * 2 + 1] = step >> 8;
    before = value;
  }
  return { head: { columns, rows, cellM, westM, southM, lowM, highM }, bytes };
};

/** The raster again; null when the bytes are not as many as its head says. */
export const unpackHeights = (head: GridHead, bytes: Uint8Array): HeightGrid | null => {
  const { columns, rows, cellM, westM, southM, lowM, highM } = head;
  if (bytes.length !== columns * rows * 2) return null;
  const heights = new Float32Array(columns * rows);
  const span = highM > lowM ? highM - lowM : 1;
  let before = 0;
  for (let i = 0; i < heights.length; i += 1) {
    if (i % columns === 0) before = 0;
    before = (before + (bytes[i * 2] ?? 0) + ((bytes[i * 2 + 1] ?? 0) << 8)) & 0xffff;
    heights[i] = before === HOLE ? NaN : lowM + (before / TOP) * span;
  }
  return { columns, rows, cellM, westM, southM, heights };
};
