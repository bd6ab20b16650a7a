import { none, found, radians, type Result, type Vec3 } from '../units';

/** Exponents of the power-law wind profile. */
export const SHEAR = { open: 0.14, rough: 0.25 } as const;

export type Terrain = keyof typeof SHEAR;

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

/** Wind vector at a height, where the air moves to. */
export const windVector = (wind: Wind, heightM: number): Vec3 => {
  const speed = windSpeedAt(wind.speedAt10mMs, heightM, wind.shear);
  const to = radians(wind.fromDeg + 180);
  return { x: speed * Math.sin(to), y: speed * Math.cos(to), z: 0 };
};

/**
 * Seconds of a straight level leg flown at an airspeed in a wind, by the wind triangle.
 * @returns no answer when the crosswind or the headwind beats the aircraft
 */
export const legSeconds = (lengthM: number, bearingDeg: number, airspeedMs: number, windMs: number, windFromDeg: number): Result<number> => {
  if (!(airspeedMs > 0)) return none('The airspeed must be above zero.');
  const angle = radians(windFromDeg - bearingDeg);
  const head = windMs * Math.cos(angle);
  const cross = windMs * Math.sin(angle);
  const along = airspeedMs * airspeedMs - cross * cross;
  const ground = along > 0 ? Math.sqrt(along) - head : -1;
  return ground > 1e-6 ? found(lengthM / ground) : none('The wind is stronger than the aircraft on this leg.');
};
