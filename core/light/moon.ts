import { getMoonIllumination, getMoonPosition } from 'suncalc';

export interface MoonPosition {
  /** Above the horizon, deg. */
  readonly altitudeDeg: number;
  /** Clockwise from north, deg. */
  readonly azimuthDeg: number;
}

/** Where the moon is, to about a tenth of a degree (suncalc, after Meeus). */
export const moonAt = (utcMs: number, latitude: number, longitude: number): MoonPosition => {
  const { altitude, azimuth } = getMoonPosition(new Date(utcMs), latitude, longitude);
  return { altitudeDeg: altitude, azimuthDeg: azimuth };
};

export interface MoonPhase {
  /** Share of the disc that is lit, 0–1. */
  readonly lit: number;
  /** Age through its cycle, 0 new, 0.5 full, to 1. */
  readonly cycle: number;
  readonly name: string;
}

/** Names of eighths of the cycle; the four named moments are a sixteenth wide to either side. */
const NAMES = [
  'new moon',
  'waxing crescent',
  'first quarter',
  'waxing gibbous',
  'full moon',
  'waning gibbous',
  'last quarter',
  'waning crescent',
] as const;

/** How much of the moon is lit at an instant, and what that phase is called. */
export const moonPhase = (utcMs: number): MoonPhase => {
  const { fraction, phase } = getMoonIllumination(new Date(utcMs));
  return { lit: fraction, cycle: phase, name: NAMES[Math.round(phase * 8) % 8] ?? NAMES[0] };
};
