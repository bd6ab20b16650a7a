import type { Wind } from '../air';
import type { Vec3 } from '../geometry';
import { normal } from '../units';

/** Turbulence about the mean wind at a moment, m/s, east, north and up. */
export type Gust = Vec3;
export const CALM: Gust = { x: 0, y: 0, z: 0 };

const FEET = 0.3048;
/** Below this the scales are those of this height, m. */
const LOWEST_M = 3;
/** Air always passes at this speed at least, so that turbulence moves on, m/s. */
const SLOWEST_MS = 2;
/** A gust as it is forecast stands so many standard deviations over the mean. Own choice. */
const GUST_DEVIATIONS = 2.5;

/**
 * Strength and length of turbulence near the ground, after the Dryden form of MIL-F-8785C for low altitude:
 * L_u = h / (0.177 + 0.000823 h)^1.2, σ_u = σ_w / (0.177 + 0.000823 h)^0.4, L_w = h, with h in feet; σ_w from the gusts of
 * the forecast, 0.1 of the wind at 20 ft where none are.
 */
export const turbulence = (wind: Wind, heightM: number) => {
  const feet = Math.max(LOWEST_M, heightM) / FEET;
  const scale = 0.177 + 0.000823 * feet;
  const forecast = Math.max(0, wind.gustAt10mMs - wind.speedAt10mMs) / GUST_DEVIATIONS;
  const sigmaU = Math.max(forecast, (0.1 * wind.speedAt10mMs) / scale ** 0.4);
  return {
    sigmaU,
    sigmaW: sigmaU * scale ** 0.4,
    lengthU: (feet / scale ** 1.2) * FEET,
    lengthW: feet * FEET,
  };
};

/** Turbulence some seconds later: first-order shaping of white noise with the length and strength of its height. */
export const nextGust = (
  gust: Gust,
  wind: Wind,
  heightM: number,
  airspeedMs: number,
  s: number,
  random: () => number,
): Gust => {
  const t = turbulence(wind, heightM);
  const passes = Math.max(SLOWEST_MS, airspeedMs, wind.speedAt10mMs);
  const on = (value: number, sigma: number, length: number): number => {
    const kept = Math.exp((-passes * s) / length);
    return value * kept + sigma * Math.sqrt(1 - kept * kept) * normal(random);
  };
  return {
    x: on(gust.x, t.sigmaU, t.lengthU),
    y: on(gust.y, t.sigmaU, t.lengthU),
    z: on(gust.z, t.sigmaW, t.lengthW),
  };
};
