import { degrees, radians } from '../geometry';
import type { FrameShape } from './aspect';
import type { FieldOfView } from './view';

/** The largest frame of one shape inside another, both about one middle. */
export interface Crop {
  readonly fov: FieldOfView;
  /** Share of the width and of the height that is kept. */
  readonly widthShare: number;
  readonly heightShare: number;
  /** Share of the pixels that is kept. */
  readonly pixelShare: number;
}

const shrunk = (deg: number, share: number): number =>
  2 * degrees(Math.atan(share * Math.tan(radians(deg) / 2)));

/**
 * Crop of a recorded frame to the shape of a cut: a side that is cut keeps its share of the tangent of half its angle
 * (rectilinear projection).
 */
export const cropTo = (fov: FieldOfView, frame: FrameShape, cut: FrameShape): Crop => {
  const ratio = cut[0] / cut[1] / (frame[0] / frame[1]);
  const [widthShare, heightShare] = [Math.min(1, ratio), Math.min(1, 1 / ratio)];
  const [horizontalDeg, verticalDeg] = [
    shrunk(fov.horizontalDeg, widthShare),
    shrunk(fov.verticalDeg, heightShare),
  ];
  const diagonal = Math.hypot(Math.tan(radians(horizontalDeg) / 2), Math.tan(radians(verticalDeg) / 2));
  return {
    fov: { horizontalDeg, verticalDeg, diagonalDeg: 2 * degrees(Math.atan(diagonal)) },
    widthShare,
    heightShare,
    pixelShare: widthShare * heightShare,
  };
};
