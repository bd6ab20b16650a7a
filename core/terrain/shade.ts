import { degrees, radians } from '../geometry';
import type { HeightGrid } from './grid';

/**
 * Brightness of the ground lit from one side, 0 dark to 1 bright, for each cell. Slope and aspect from the eight cells about it
 * (B. K. P. Horn, "Hill shading and the reflectance map", Proc. IEEE 69(1), 1981). Cells beside a hole are NaN.
 * @param fromDeg bearing the light comes from
 * @param heightDeg height of the light above the horizon
 * @param rise by how much heights are drawn out
 */
export const hillshade = (grid: HeightGrid, fromDeg = 315, heightDeg = 45, rise = 1.5): Float32Array => {
  const { columns, rows, heights, cellM } = grid;
  const out = new Float32Array(heights.length);
  const [sinH, cosH] = [Math.sin(radians(heightDeg)), Math.cos(radians(heightDeg))];
  const [lx, ly] = [Math.sin(radians(fromDeg)) * cosH, Math.cos(radians(fromDeg)) * cosH];
  const inside = (n: number, most: number): number => Math.min(most, Math.max(0, n));
  for (let row = 0, i = 0; row < rows; row += 1) {
    const [below, above] = [inside(row - 1, rows - 1) * columns, inside(row + 1, rows - 1) * columns];
    for (let column = 0; column < columns; column += 1, i += 1) {
      const [w, e] = [inside(column - 1, columns - 1), inside(column + 1, columns - 1)];
      const at = (base: number, c: number): number => heights[base + c] ?? NaN;
      const here = row * columns;
      const dx =
        (at(above, e) + 2 * at(here, e) + at(below, e) - at(above, w) - 2 * at(here, w) - at(below, w)) /
        (8 * cellM);
      const dy =
        (at(above, w) +
          2 * at(above, column) +
          at(above, e) -
          at(below, w) -
          2 * at(below, column) -
          at(below, e)) /
        (8 * cellM);
      const [nx, ny] = [-dx * rise, -dy * rise];
      out[i] = Math.max(0, (nx * lx + ny * ly + sinH) / Math.hypot(nx, ny, 1));
    }
  }
  return out;
};

/** Steepness of the ground at a place, deg; NaN where unknown. */
export const slopeAt = (
  heightAt: (xM: number, yM: number) => number,
  xM: number,
  yM: number,
  overM: number,
): number => {
  const dx = (heightAt(xM + overM, yM) - heightAt(xM - overM, yM)) / (2 * overM);
  const dy = (heightAt(xM, yM + overM) - heightAt(xM, yM - overM)) / (2 * overM);
  return degrees(Math.atan(Math.hypot(dx, dy)));
};
