import { radians } from '../geometry';
import type { Sky } from '../model';
import type { SkyMix } from '../weather';
import { clearSkyLux, SKY_STOPS } from './illuminance';

/** Horizontal illuminance of a clear sky without the sun: A + B √sin h, lx (IES RP-21, Gillette, Pierpoint & Treado 1984). */
const DIFFUSE = { a: 800, b: 15_500 } as const;

/** Gradation and scattering of skies after ISO 15469 (CIE S 011), types 12, 7, 2 and 1. */
const SKY_TYPE: Readonly<Record<Sky, readonly [a: number, b: number, c: number, d: number, e: number]>> = {
  clear: [-1, -0.32, 10, -3, 0.45],
  'thin-cloud': [0, -1, 5, -2.5, 0.3],
  overcast: [4, -0.7, 2, -1.5, 0.15],
  heavy: [4, -0.7, 0, -1, 0],
};

/** Luminance of a patch of sky relative to any other, by its height and its angle to the sun, rad. */
const relative = (sky: Sky, elevation: number, fromSun: number): number => {
  const [a, b, c, d, e] = SKY_TYPE[sky];
  const gradation = 1 + a * Math.exp(b / Math.max(0.01, Math.sin(elevation)));
  const scattering =
    1 + c * (Math.exp(d * fromSun) - Math.exp((d * Math.PI) / 2)) + e * Math.cos(fromSun) ** 2;
  return Math.max(0.01, gradation) * Math.max(0.01, scattering);
};

const angleBetween = (elevationA: number, elevationB: number, azimuth: number): number =>
  Math.acos(
    Math.min(
      1,
      Math.max(
        -1,
        Math.sin(elevationA) * Math.sin(elevationB) +
          Math.cos(elevationA) * Math.cos(elevationB) * Math.cos(azimuth),
      ),
    ),
  );

const RINGS = 12;
const SLICES = 24;

/** Illuminance on level ground of a sky whose luminance is the relative one: ∫ L sin γ dΩ. */
const integrated = (sky: Sky, sunDeg: number): number => {
  const [dγ, dφ] = [Math.PI / 2 / RINGS, Math.PI / SLICES];
  let sum = 0;
  for (let i = 0; i < RINGS; i += 1) {
    const γ = (i + 0.5) * dγ;
    for (let k = 0; k < SLICES; k += 1) {
      const fromSun = angleBetween(γ, radians(sunDeg), (k + 0.5) * dφ);
      sum += relative(sky, γ, fromSun) * Math.sin(γ) * Math.cos(γ);
    }
  }
  return 2 * sum * dγ * dφ;
};

/** The sun below the horizon glows like one on it. */
const LOWEST_SUN_DEG = 0;
const known = new Map<string, number>();
const integratedAt = (sky: Sky, deg: number): number => {
  const key = `${sky}|${deg}`;
  let value = known.get(key);
  if (value === undefined) known.set(key, (value = integrated(sky, deg)));
  return value;
};

/** The same between whole degrees. */
const integral = (sky: Sky, altitudeDeg: number): number => {
  const deg = Math.min(90, Math.max(LOWEST_SUN_DEG, altitudeDeg));
  const low = Math.min(89, Math.floor(deg));
  return integratedAt(sky, low) + (integratedAt(sky, low + 1) - integratedAt(sky, low)) * (deg - low);
};

/** Reflected-light calibration K of a meter, cd/m² s: L = K 2^EV / 100 at ISO 100 (ISO 2720, usual K 12.5). */
const METER_K = 12.5;

/** A luminance as EV at ISO 100. */
export const luminanceToEv = (cdPerM2: number): number => Math.log2((cdPerM2 * 100) / METER_K);

/** Where the sky in a frame is looked at. */
export interface SkyPatch {
  readonly elevationDeg: number;
  readonly headingDeg: number;
}

/** How far the sky in a frame may be off, stops: within what measured clear skies differ by. */
export const SKY_LUMINANCE_SPREAD = 1;

/** EV100 of a patch of sky on its way from one state to another. */
export const mixedPatchEv = (
  sun: { readonly altitudeDeg: number; readonly azimuthDeg: number },
  { from, to, share }: SkyMix,
  patch: SkyPatch,
): number => {
  const start = skyPatchEv(sun, from, patch);
  return share === 0 || from === to ? start : start + (skyPatchEv(sun, to, patch) - start) * share;
};

/**
 * EV100 of a patch of sky: the diffuse part of the light on level ground, spread over the sky as ISO 15469 does. Below the
 * horizon all light is diffuse.
 * @param sun its height and azimuth, deg
 */
export const skyPatchEv = (
  sun: { readonly altitudeDeg: number; readonly azimuthDeg: number },
  sky: Sky,
  { elevationDeg, headingDeg }: SkyPatch,
): number => {
  const total = clearSkyLux(sun.altitudeDeg);
  const clear = DIFFUSE.a + DIFFUSE.b * Math.sqrt(Math.sin(radians(Math.max(0, sun.altitudeDeg))));
  // A clouded sky passes on what it lets through all as diffuse light.
  const diffuse = sky === 'clear' ? Math.min(total, clear) : total * 2 ** SKY_STOPS[sky];
  const sunDeg = Math.max(LOWEST_SUN_DEG, sun.altitudeDeg);
  const γ = radians(Math.max(1, elevationDeg));
  const fromSun = angleBetween(γ, radians(sunDeg), radians(headingDeg - sun.azimuthDeg));
  return luminanceToEv((diffuse * relative(sky, γ, fromSun)) / integral(sky, sun.altitudeDeg));
};
