import type { Lamps, Lit, Sky, Surface } from '../model';
import type { SkyMix } from '../weather';
import { mixedPatchEv, type SkyPatch } from './sky-luminance';
import { clearSkyLux, luxToEv, SKY_STOPS, skyStops } from './illuminance';

/** Half the range a sky state covers, stops: a clear sky is known best. */
const SKY_SPREAD: Readonly<Record<Sky, number>> = { clear: 0.3, 'thin-cloud': 0.5, overcast: 0.8, heavy: 1 };

/** Stops a bright or dark surface moves the exposure by. Usual practice, editable by the shot's own offset. */
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
  /** What it was taken of; null for whichever was stronger. */
  readonly of?: 'sky' | 'lamps' | null;
}

export interface SceneLight {
  /** Scene EV100 to expose for. */
  readonly ev100: number;
  /** Light on level ground: sky light and lamps together. */
  readonly groundEv100: number;
  /** What sky light alone gives there. */
  readonly ambientEv100: number;
  /** The sky in the frame; null where none is in it. */
  readonly sky: { readonly ev100: number; readonly share: number } | null;
  /** Shift the meter readings put on the model, stops; 0 without one. */
  readonly meterShift: number;
}

/** Sky in a frame, as far as it is exposed for. */
export interface SkySeen extends SkyPatch {
  /** Share of the frame that is sky, 0–1. */
  readonly share: number;
  /** Stops over middle grey the recording holds. */
  readonly headroomStops: number;
}

/** Model EV of sky light and lamps together: log2(2^sky + q·2^lamps). @param litShare share q of the frame lamps light */
export const modelEv = (
  altitudeDeg: number,
  sky: Sky,
  lamps: Lamps,
  offsetStops: number,
  litShare = 1,
): { ev100: number; skyEv100: number } => {
  const skyEv100 = luxToEv(clearSkyLux(altitudeDeg)) + SKY_STOPS[sky] + offsetStops;
  return { skyEv100, ev100: Math.log2(2 ** skyEv100 + litShare * 2 ** lampEv(lamps)) };
};

/** What a scene's light hangs on besides the moment. */
export interface SceneConditions {
  /** Sun altitude (deg) at an instant. */
  readonly altitudeAt: (utcMs: number) => number;
  /** Sun azimuth (deg) at an instant; only asked for where sky is in the frame. */
  readonly azimuthAt: (utcMs: number) => number;
  readonly skyAt: (utcMs: number) => SkyMix;
  readonly lamps: Lamps;
  /** Stops the lamps are below all of them at an instant; Infinity where none burn. */
  readonly lampsBelowAt: (utcMs: number) => number;
  /** Share of the frame lamps light. */
  readonly litShare: number;
  /** Subject and surface against the open scene, stops. */
  readonly offsetStops: number;
  /** Readings of the open scene. */
  readonly readings: readonly MeterReading[];
  /** Minutes over which a reading fades back to the model. */
  readonly fadeMin: number;
  readonly skySeen: SkySeen | null;
  /** How far a sky that would clip is given way to: 0 not at all, 1 all the way. */
  readonly skyWeight: number;
}

interface Parts {
  readonly skyEv: number;
  readonly lampsEv: number;
}

/** Sky light and lamps of the open scene by the model. */
const partsAt = (utcMs: number, c: SceneConditions): Parts => ({
  skyEv: luxToEv(clearSkyLux(c.altitudeAt(utcMs))) + skyStops(c.skyAt(utcMs)),
  lampsEv: lampEv(c.lamps) - c.lampsBelowAt(utcMs),
});

const sumEv = (a: number, b: number): number => Math.log2(2 ** a + 2 ** b);

/** What a reading was taken of. */
const takenOf = (reading: MeterReading, c: SceneConditions): 'sky' | 'lamps' => {
  if (reading.of) return reading.of;
  const { skyEv, lampsEv } = partsAt(reading.utcMs, c);
  return lampsEv > skyEv ? 'lamps' : 'sky';
};

/** The newest reading of one kind taken at or before an instant that has not faded, and how much of it is left. */
const readingOf = (
  kind: 'sky' | 'lamps',
  utcMs: number,
  c: SceneConditions,
): { readonly reading: MeterReading; readonly left: number } | null => {
  let newest: MeterReading | null = null;
  for (const r of c.readings)
    if (r.utcMs <= utcMs && (!newest || r.utcMs > newest.utcMs) && takenOf(r, c) === kind) newest = r;
  const left = newest ? 1 - (utcMs - newest.utcMs) / (c.fadeMin * 60_000) : 0;
  return newest && left > 0 ? { reading: newest, left } : null;
};

/** Stops the newest reading of one kind shifts what it measured by, fading. */
const shiftOf = (kind: 'sky' | 'lamps', utcMs: number, c: SceneConditions): number => {
  const held = readingOf(kind, utcMs, c);
  if (!held) return 0;
  const then = partsAt(held.reading.utcMs, c);
  return held.left * (held.reading.ev100 - (kind === 'sky' ? then.skyEv : then.lampsEv));
};

/** Shares of the frame from which on sky counts fully. */
const SKY_COUNTS_FROM = 0.15;

/** Stops the exposure gives way to a sky that would clip. */
const givenWay = (
  groundEv: number,
  skyEv: number,
  { share, headroomStops }: SkySeen,
  weight: number,
): number => weight * Math.min(1, share / SKY_COUNTS_FROM) * Math.max(0, skyEv - headroomStops - groundEv);

/**
 * Scene EV100 at a moment: sky light and the lit share of the lamps add, each shifted by the newest meter reading of it, which
 * fades back to the model. Where sky is in the frame and would clip, the exposure gives way to it as far as is chosen.
 */
export const sceneLight = (utcMs: number, c: SceneConditions): SceneLight => {
  const { skyEv, lampsEv } = partsAt(utcMs, c);
  const lit = Math.log2(c.litShare);
  const [skyShift, lampShift] =
    c.readings.length === 0 ? [0, 0] : [shiftOf('sky', utcMs, c), shiftOf('lamps', utcMs, c)];
  const ambientEv100 = skyEv + skyShift + c.offsetStops;
  const groundEv100 = sumEv(ambientEv100, lampsEv + lampShift + lit);
  const meterShift =
    skyShift === 0 && lampShift === 0 ? 0 : groundEv100 - sumEv(skyEv + c.offsetStops, lampsEv + lit);
  const seen = c.skySeen;
  if (!seen || seen.share <= 0)
    return { ev100: groundEv100, groundEv100, ambientEv100, sky: null, meterShift };
  const sun = { altitudeDeg: c.altitudeAt(utcMs), azimuthDeg: c.azimuthAt(utcMs) };
  const patch = mixedPatchEv(sun, c.skyAt(utcMs), seen) + skyShift;
  return {
    ev100: groundEv100 + givenWay(groundEv100, patch, seen, c.skyWeight),
    groundEv100,
    ambientEv100,
    sky: { ev100: patch, share: seen.share },
    meterShift,
  };
};

/** Error of a good reading, stops. */
const METER_SPREAD = 0.2;
/** More in twilight, where a degree is half a stop; it comes as the sun goes down from one of these altitudes to the other. */
const TWILIGHT_SPREAD = 0.4;
const [TWILIGHT_NONE_DEG, TWILIGHT_ALL_DEG] = [4, -2];
const twilightSpread = (altitudeDeg: number): number =>
  TWILIGHT_SPREAD *
  Math.min(1, Math.max(0, (TWILIGHT_NONE_DEG - altitudeDeg) / (TWILIGHT_NONE_DEG - TWILIGHT_ALL_DEG)));

/**
 * Half the range the scene EV may lie in, stops: sky and lamps each by their share of the light; a reading narrows its part and
 * fades. Usual ranges of practice, no statistics.
 */
export const sceneSpread = (utcMs: number, c: SceneConditions): number => {
  const { groundEv100, ambientEv100 } = sceneLight(utcMs, { ...c, skySeen: null });
  const skyShare = 2 ** (ambientEv100 - groundEv100);
  const narrowed = (kind: 'sky' | 'lamps', half: number): number => {
    const left = readingOf(kind, utcMs, c)?.left ?? 0;
    return left * Math.min(half, METER_SPREAD) + (1 - left) * half;
  };
  const { from, to, share } = c.skyAt(utcMs);
  const skyHalf = SKY_SPREAD[from] + (SKY_SPREAD[to] - SKY_SPREAD[from]) * share;
  const lampHalf = c.lamps === 'none' ? 0 : LAMP_RANGE[c.lamps][1];
  return (
    skyShare * narrowed('sky', skyHalf + twilightSpread(c.altitudeAt(utcMs))) +
    (1 - skyShare) * narrowed('lamps', lampHalf)
  );
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
