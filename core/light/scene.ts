/** Clear-sky horizontal illuminance: coefficients of log10 E in x = altitude/90, by altitude. */
const ILLUMINANCE: readonly { readonly fromDeg: number; readonly l: readonly [number, number, number, number] }[] = [
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

export type Sky = 'clear' | 'thin-cloud' | 'overcast' | 'heavy';

/** What a sky takes from the clear-sky light, stops. */
export const SKY_STOPS: Readonly<Record<Sky, number>> = { clear: 0, 'thin-cloud': -1, overcast: -2.5, heavy: -3.5 };

export type Lamps = 'none' | 'lit-street' | 'floodlit-building' | 'signs' | 'stage';

/** EV100 that artificial light gives a scene at night, middle of its usual range. */
export const LAMP_EV: Readonly<Record<Exclude<Lamps, 'none'>, number>> = {
  'lit-street': 6.5, 'floodlit-building': 5, signs: 8, stage: 9,
};

/** A reading from the pilot's own meter. */
export interface MeterReading {
  readonly utcMs: number;
  readonly ev100: number;
}

export interface SceneLight {
  /** Scene EV100 to expose for. */
  readonly ev100: number;
  /** What the sky alone gives by the model. */
  readonly skyEv100: number;
  /** Shift the newest meter reading puts on the model, stops; 0 without one. */
  readonly meterShift: number;
}

/** Model EV of sky and lamps together: log2(2^sky + 2^lamps). */
export const modelEv = (altitudeDeg: number, sky: Sky, lamps: Lamps, offsetStops: number): { ev100: number; skyEv100: number } => {
  const skyEv100 = luxToEv(clearSkyLux(altitudeDeg)) + SKY_STOPS[sky] + offsetStops;
  return { skyEv100, ev100: lamps === 'none' ? skyEv100 : Math.log2(2 ** skyEv100 + 2 ** LAMP_EV[lamps]) };
};

/**
 * Scene EV100 at a moment. The newest meter reading taken at or before it (or, before the first, none) shifts the model
 * by what it differed from it.
 * @param altitudeAt sun altitude (deg) at an instant
 */
export const sceneLight = (
  utcMs: number, altitudeAt: (utcMs: number) => number, sky: Sky, lamps: Lamps, offsetStops: number, readings: readonly MeterReading[],
): SceneLight => {
  const now = modelEv(altitudeAt(utcMs), sky, lamps, offsetStops);
  const reading = readings.filter((r) => r.utcMs <= utcMs).sort((a, b) => b.utcMs - a.utcMs)[0];
  if (!reading) return { ...now, meterShift: 0 };
  const meterShift = reading.ev100 - modelEv(altitudeAt(reading.utcMs), sky, lamps, 0).ev100;
  return { ev100: now.ev100 + meterShift, skyEv100: now.skyEv100, meterShift };
};
