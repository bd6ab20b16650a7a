import { degrees } from '../geometry';
import type { FrameShape } from './aspect';

/** Diagonal of the 36 × 24 mm frame that equivalent focal lengths refer to, mm. */
export const FULL_FRAME_DIAGONAL_MM = 43.2666;

export interface FieldOfView {
  readonly horizontalDeg: number;
  readonly verticalDeg: number;
  readonly diagonalDeg: number;
}

/**
 * Field of view of a lens from its 35 mm equivalent focal length, taken on the diagonal.
 * tan(d/2) = 43.2666/(2f); h and v share the diagonal as the sides of the recorded frame do. Zoom divides the tangents.
 * @param equivalentMm 35 mm equivalent focal length, mm, > 0
 * @param zoom digital zoom factor, ≥ 1
 * @throws RangeError for a focal length or zoom that is not positive
 */
export const fieldOfView = (equivalentMm: number, frame: FrameShape, zoom = 1): FieldOfView => {
  if (!(equivalentMm > 0) || !(zoom > 0)) throw new RangeError('focal length and zoom must be above zero');
  const [a, b] = frame;
  const half = FULL_FRAME_DIAGONAL_MM / (2 * equivalentMm) / zoom;
  const side = (part: number): number => 2 * degrees(Math.atan((half * part) / Math.hypot(a, b)));
  return { horizontalDeg: side(a), verticalDeg: side(b), diagonalDeg: 2 * degrees(Math.atan(half)) };
};
