import { writeText, type UnitSystem } from '../units';

export const secondsText = (s: number): string => `${s.toFixed(s < 10 ? 1 : 0)} s`;

/** A speed along a path, or the rate of a turn where the move turns on the spot. */
export const speedText = (speedMs: number, rateDegS: number | undefined, units: UnitSystem): string =>
  rateDegS !== undefined
    ? writeText(rateDegS, 'degreesPerSecond', units)
    : writeText(speedMs, 'speed', units);
