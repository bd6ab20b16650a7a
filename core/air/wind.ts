import type { WindTerrain } from '../model';
import { radians, type Vec3 } from '../geometry';

/** Exponents of the power-law wind profile. */
export const SHEAR: Readonly<Record<WindTerrain, number>> = { open: 0.14, rough: 0.25 };

export interface Wind {
  /** Mean wind at 10 m above ground, m/s. */
  readonly speedAt10mMs: number;
  readonly gustAt10mMs: number;
  /** Bearing the wind comes from, deg. */
  readonly fromDeg: number;
  readonly shear: number;
}

/** Wind at a height by the power law v10 (max(h, 2)/10)^α, m/s. */
export const windSpeedAt = (speedAt10mMs: number, heightM: number, shear: number): number =>
  speedAt10mMs * (Math.max(heightM, 2) / 10) ** shear;

/** Wind vectors of a wind by height above ground, m, where the air moves to. Heights asked for in a row are worked out once. */
export const windVectors = (wind: Wind): ((heightM: number) => Vec3) => {
  const to = radians(wind.fromDeg + 180);
  const [east, north] = [Math.sin(to), Math.cos(to)];
  let at = NaN;
  let last: Vec3 = { x: 0, y: 0, z: 0 };
  return (heightM) => {
    if (heightM === at) return last;
    const speed = windSpeedAt(wind.speedAt10mMs, heightM, wind.shear);
    at = heightM;
    last = { x: speed * east, y: speed * north, z: 0 };
    return last;
  };
};

/** Wind vector at a height, where the air moves to. */
export const windVector = (wind: Wind, heightM: number): Vec3 => windVectors(wind)(heightM);

/**
 * Seconds of a straight level leg flown at an airspeed in a wind, by the wind triangle.
 * @returns null when the crosswind or the headwind beats the aircraft, or it flies at no speed
 */
export const legSeconds = (
  lengthM: number,
  bearingDeg: number,
  airspeedMs: number,
  windMs: number,
  windFromDeg: number,
): number | null => {
  if (!(airspeedMs > 0)) return null;
  const angle = radians(windFromDeg - bearingDeg);
  const head = windMs * Math.cos(angle);
  const cross = windMs * Math.sin(angle);
  const along = airspeedMs * airspeedMs - cross * cross;
  const ground = along > 0 ? Math.sqrt(along) - head : -1;
  return ground > 1e-6 ? lengthM / ground : null;
};

/** The wind with a share of what its gusts blow above it, m/s: 0 the mean wind, 1 the gust. */
export const gustedWind = (wind: Wind, share: number): Wind => ({
  ...wind,
  speedAt10mMs: wind.speedAt10mMs + share * Math.max(0, wind.gustAt10mMs - wind.speedAt10mMs),
});
