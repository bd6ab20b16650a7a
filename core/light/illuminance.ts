import type { Sky } from '../model';
import type { SkyMix } from '../weather';

/** Clear-sky horizontal illuminance: coefficients of log10 E in x = altitude/90, by altitude. */
const ILLUMINANCE: readonly {
  readonly fromDeg: number;
  readonly l: readonly [number, number, number, number];
}[] = [
  { fromDeg: 20, l: [3.74, 3.97, -4.07, 1.47] },
  { fromDeg: 5, l: [3.05, 13.28, -45.98, 64.33] },
  { fromDeg: -0.8, l: [2.88, 22.26, -207.64, 1034.3] },
  { fromDeg: -5, l: [2.88, 21.81, -258.11, -858.36] },
  { fromDeg: -12, l: [2.7, 12.17, -431.69, -1899.83] },
  { fromDeg: -18, l: [13.84, 262.72, 1447.42, 2797.93] },
];

/**
 * Horizontal illuminance under a clear sky from the sun's geometric altitude, lx.
 * Seidelmann (ed.), Explanatory Supplement to the Astronomical Almanac, 1992; Janiczek & DeYoung, USNO Circular 171.
 * Below −18° the value at −18° is held: what is left is starlight and lamps.
 */
export const clearSkyLux = (altitudeDeg: number): number => {
  const a = Math.min(90, Math.max(-18, altitudeDeg));
  const row = ILLUMINANCE.find((r) => a >= r.fromDeg) ?? ILLUMINANCE[ILLUMINANCE.length - 1];
  if (!row) return 0;
  const x = a / 90;
  const [l0, l1, l2, l3] = row.l;
  return 10 ** (l0 + l1 * x + l2 * x * x + l3 * x * x * x);
};

/** EV at ISO 100 of an incident illuminance: log2(E/2.5). */
export const luxToEv = (lux: number): number => Math.log2(lux / 2.5);

/** What a sky takes from the clear-sky light, stops. */
export const SKY_STOPS: Readonly<Record<Sky, number>> = {
  clear: 0,
  'thin-cloud': -1,
  overcast: -2.5,
  heavy: -3.5,
};

/** What a sky on its way from one state to another takes from the clear-sky light, stops. */
export const skyStops = ({ from, to, share }: SkyMix): number =>
  SKY_STOPS[from] + (SKY_STOPS[to] - SKY_STOPS[from]) * share;
