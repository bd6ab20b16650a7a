import { degrees, radians } from '../geometry';

export type FlightDirection = 'forward' | 'lateral';

export interface PaceCase {
  readonly heightM: number;
  readonly speedMs: number;
  readonly cameraDepressionDeg: number;
  readonly direction: FlightDirection;
  readonly horizontalFovDeg: number;
  readonly verticalFovDeg: number;
}

export interface GroundPace {
  readonly slantRangeM: number;
  readonly frameSpanM: number;
  readonly crossingS: number;
  readonly rateDegS: number;
  readonly edgeDepressionDeg: number;
  readonly edgeRateDegS: number;
  readonly edgeCrossingS: number;
}

/** Depression of the lowest line of the frame: min(90, camera depression + vfov/2), deg. */
export const edgeDepression = (cameraDepressionDeg: number, verticalFovDeg: number): number =>
  Math.min(90, cameraDepressionDeg + verticalFovDeg / 2);

const rate = (
  heightM: number,
  speedMs: number,
  depressionDeg: number,
  direction: FlightDirection,
): number => {
  const sine = Math.sin(radians(depressionDeg));
  return degrees((speedMs * (direction === 'forward' ? sine * sine : sine)) / heightM);
};

/**
 * How fast level ground crosses the frame for straight level flight.
 * Rate: forward v sin²δ/h, sideways v sinδ/h; crossing = fov / rate (derived from the direction to a ground point).
 * The centre uses max(camera depression, vfov/4), the edge the lowest line of the frame.
 */
export const groundPace = (c: PaceCase): GroundPace => {
  const fov = c.direction === 'forward' ? c.verticalFovDeg : c.horizontalFovDeg;
  const reference = Math.max(c.cameraDepressionDeg, c.verticalFovDeg / 4);
  const sine = Math.sin(radians(reference));
  const slantRangeM = c.heightM / sine;
  const frameSpanM = 2 * slantRangeM * Math.tan(radians(fov) / 2);
  const edgeDepressionDeg = edgeDepression(c.cameraDepressionDeg, c.verticalFovDeg);
  const edgeRateDegS = rate(c.heightM, c.speedMs, edgeDepressionDeg, c.direction);
  return {
    slantRangeM,
    frameSpanM,
    crossingS: frameSpanM / (c.direction === 'forward' ? c.speedMs * sine : c.speedMs),
    rateDegS: rate(c.heightM, c.speedMs, reference, c.direction),
    edgeDepressionDeg,
    edgeRateDegS,
    edgeCrossingS: fov / edgeRateDegS,
  };
};

/** Speed (m/s) at which the edge takes a wanted number of seconds to cross. The rate is linear in speed, so this is exact. */
export const speedForEdgeCrossing = (wantedS: number, c: PaceCase): number =>
  (c.speedMs * groundPace(c).edgeCrossingS) / wantedS;
