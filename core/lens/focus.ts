import { FULL_FRAME_DIAGONAL_MM } from './view';

/** Where a lens is sharp, m. */
export interface DepthOfField {
  readonly nearM: number;
  /** Infinity when everything beyond is sharp. */
  readonly farM: number;
  /** Focused here, all from half of it to infinity is sharp. */
  readonly hyperfocalM: number;
}

/** Share of the sensor's diagonal that a blurred point may have: the usual 1/1500. */
const CONFUSION_SHARE = 1 / 1500;

/**
 * Depth of field from the real focal length: H = f²/(N c) + f; near = H s/(H + s − f), far = H s/(H − s + f) (thin lens, the
 * usual approximation; any manual of photographic optics).
 * @param equivalentMm 35 mm equivalent focal length, mm
 * @param sensorDiagonalMm diagonal of the sensor, mm; with the equivalent it gives the real focal length
 * @param distanceM distance focused, m; Infinity is far
 */
export const depthOfField = (
  equivalentMm: number,
  sensorDiagonalMm: number,
  aperture: number,
  distanceM: number,
): DepthOfField => {
  const focalM = (equivalentMm * sensorDiagonalMm) / FULL_FRAME_DIAGONAL_MM / 1000;
  const circleM = (sensorDiagonalMm * CONFUSION_SHARE) / 1000;
  const hyperfocalM = (focalM * focalM) / (aperture * circleM) + focalM;
  if (!Number.isFinite(distanceM)) return { nearM: hyperfocalM, farM: Infinity, hyperfocalM };
  const s = Math.max(distanceM, focalM * 1.001);
  const nearM = (hyperfocalM * s) / (hyperfocalM + s - focalM);
  return {
    nearM,
    hyperfocalM,
    farM: s >= hyperfocalM ? Infinity : (hyperfocalM * s) / (hyperfocalM - s + focalM),
  };
};
