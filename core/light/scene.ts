import type { Lamps, Lit, Sky, Surface } from '../model';
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

/** Half the range a sky state covers, stops: a clear sky is known best. */
const SKY_SPREAD: Readonly<Record<Sky, number>> = { clear: 0.3, 'thin-cloud': 0.5, overcast: 0.8, heavy: 1 };

/** Stops a bright or dark surface moves the exposure by. Usual practice, editable by the slate's own offset. */
export const SURFACE_STOPS: Readonly<Record<Surface, number>> = {
  mixed: 0,
  snow: 1,
  water: 0.5,
  sand: 0.7,
  foliage: -0.5,
};

/** Stops a subject lies under the open scene. Usual practice. */
export const LIT_STOPS: Readonly<Record<Lit, number>> = { open: 0, shaded: -2, backlit: -1.5 };

/** EV100 that artificial light gives a scene at night: middle of its usual range and half of it. */
const LAMP_RANGE: Readonly<Record<Exclude<Lamps, 'none'>, readonly [middle: number, half: number]>> = {
  'lit-street': [6.5, 1.5],
  'floodlit-building': [5, 1],
  signs: [8, 1],
  stage: [9, 1],
};

/** EV100 of lamps at night, middle of their usual range. */
export const lampEv = (lamps: Lamps): number => (lamps === 'none' ? -Infinity : LAMP_RANGE[lamps][0]);

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
export const modelEv = (
  altitudeDeg: number,
  sky: Sky,
  lamps: Lamps,
  offsetStops: number,
): { ev100: number; skyEv100: number } => {
  const skyEv100 = luxToEv(clearSkyLux(altitudeDeg)) + SKY_STOPS[sky] + offsetStops;
  return { skyEv100, ev100: lamps === 'none' ? skyEv100 : Math.log2(2 ** skyEv100 + 2 ** lampEv(lamps)) };
};

/** What a scene's light hangs on besides the moment. */
export interface SceneConditions {
  /** Sun altitude (deg) at an instant. */
  readonly altitudeAt: (utcMs: number) => number;
  readonly sky: Sky;
  readonly lamps: Lamps;
  /** Whether the lamps burn at an instant. */
  readonly lampsBurnAt: (utcMs: number) => boolean;
  /** Subject and surface against the open scene, stops. */
  readonly offsetStops: number;
  /** Readings of the open scene. */
  readonly readings: readonly MeterReading[];
}

const modelAt = (utcMs: number, c: SceneConditions, offsetStops: number) =>
  modelEv(
    c.altitudeAt(utcMs),
    c.sky,
    c.lamps !== 'none' && c.lampsBurnAt(utcMs) ? c.lamps : 'none',
    offsetStops,
  );

/** The newest reading taken at or before an instant. */
export const readingAt = (readings: readonly MeterReading[], utcMs: number): MeterReading | null =>
  readings.reduce<MeterReading | null>(
    (best, r) => (r.utcMs <= utcMs && (!best || r.utcMs > best.utcMs) ? r : best),
    null,
  );

/**
 * Scene EV100 at a moment. The newest meter reading taken at or before it (or, before the first, none) shifts the model
 * by what it differed from it.
 */
export const sceneLight = (utcMs: number, conditions: SceneConditions): SceneLight => {
  const now = modelAt(utcMs, conditions, conditions.offsetStops);
  const reading = readingAt(conditions.readings, utcMs);
  if (!reading) return { ...now, meterShift: 0 };
  const meterShift = reading.ev100 - modelAt(reading.utcMs, conditions, 0).ev100;
  return { ev100: now.ev100 + meterShift, skyEv100: now.skyEv100, meterShift };
};

/** Error of a good reading, and how it grows while the sky may change, stops and stops per hour. */
const METER_SPREAD = { own: 0.2, perHour: 0.5 } as const;
/** More in twilight, where a degree is half a stop. */
const TWILIGHT_SPREAD = 0.4;

/**
 * Half the range the scene EV may lie in, stops: sky and lamps each by their share of the light; a reading narrows it and
 * ages. Usual ranges of practice, no statistics.
 */
export const sceneSpread = (utcMs: number, c: SceneConditions): number => {
  const altitude = c.altitudeAt(utcMs);
  const { ev100, skyEv100 } = modelAt(utcMs, c, 0);
  const skyShare = 2 ** (skyEv100 - ev100);
  const lampHalf = c.lamps === 'none' ? 0 : LAMP_RANGE[c.lamps][1];
  const model =
    skyShare * (SKY_SPREAD[c.sky] + (altitude < 0 ? TWILIGHT_SPREAD : 0)) + (1 - skyShare) * lampHalf;
  const reading = readingAt(c.readings, utcMs);
  if (!reading) return model;
  return Math.min(model, METER_SPREAD.own + (METER_SPREAD.perHour * (utcMs - reading.utcMs)) / 3_600_000);
};

/** A moment of a light curve. */
export interface LightPoint {
  readonly utcMs: number;
  readonly altitudeDeg: number;
  readonly ev100: number;
  /** Half the range it may lie in, stops. */
  readonly spread: number;
}

/** Scene EV100 over a stretch of time, both ends included. */
export const lightCurve = (
  fromMs: number,
  toMs: number,
  stepMs: number,
  conditions: SceneConditions,
): LightPoint[] => {
  const count = Math.max(1, Math.ceil((toMs - fromMs) / stepMs));
  return Array.from({ length: count + 1 }, (_, i) => {
    const utcMs = Math.min(toMs, fromMs + i * stepMs);
    return {
      utcMs,
      altitudeDeg: conditions.altitudeAt(utcMs),
      ev100: sceneLight(utcMs, conditions).ev100,
      spread: sceneSpread(utcMs, conditions),
    };
  });
};
