import {
  lampsBelow,
  LIT_STOPS,
  sunAt,
  SURFACE_STOPS,
  type LightDay,
  type SceneConditions,
  type SkySeen,
  type SunPosition,
} from '../light';
import { skyMixAt } from '../weather';
import type { ExposeFor, Location, Preferences, Reading, Shot } from '../model';

/** A place on its day, as its light is worked out. */
export interface LocationLight {
  readonly location: Location;
  readonly day: LightDay;
  /** Readings of this place taken on its day. */
  readonly readings: readonly Reading[];
  readonly preferences: Pick<Preferences, 'meterFadeMin' | 'exposeFor'>;
}

const NIGHT_AFTER_MS = 12 * 3_600_000;

/** Readings belong to the day they were taken on, with the night after it. */
const readingsOf = (location: Location, day: LightDay, readings: readonly Reading[]): Reading[] =>
  readings.filter(
    (r) =>
      r.locationId === location.id && r.utcMs >= day.sun.startMs && r.utcMs < day.sun.endMs + NIGHT_AFTER_MS,
  );

/** What a place's light hangs on, from its day, its readings and how the film takes them. */
export const locationLight = (
  location: Location,
  day: LightDay,
  readings: readonly Reading[],
  { meterFadeMin, exposeFor }: LocationLight['preferences'],
): LocationLight => ({
  location,
  day,
  readings: readingsOf(location, day, readings),
  preferences: { meterFadeMin, exposeFor },
});

/** Stops a shot's subject and surroundings lie off the open scene. */
export const offsetOf = (shot: Pick<Shot, 'offsetStops' | 'surface' | 'lit'>): number =>
  shot.offsetStops + SURFACE_STOPS[shot.surface] + LIT_STOPS[shot.lit];

const suns = new WeakMap<Location, Map<number, SunPosition>>();
const MOST_SUNS = 2000;

/** The sun over a place, remembered: several shots and rules ask for the same minutes. */
export const sunOver = (location: Location, utcMs: number): SunPosition => {
  let known = suns.get(location);
  if (!known || known.size > MOST_SUNS) suns.set(location, (known = new Map()));
  let sun = known.get(utcMs);
  if (!sun) known.set(utcMs, (sun = sunAt(utcMs, location.latitude, location.longitude)));
  return sun;
};

/** How far a sky that would clip is given way to. */
const SKY_WEIGHT: Readonly<Record<ExposeFor, number>> = { ground: 0, between: 0.5, sky: 1 };

/** A shot as its light is looked at. */
export interface SeenShot {
  readonly shot: Pick<Shot, 'offsetStops' | 'surface' | 'lit' | 'litShare'>;
  /** Sky in its frame; null where none is. */
  readonly skySeen: SkySeen | null;
}

/** What the light of a place hangs on; with a shot, what it asks for beyond the open scene. */
export const conditionsOf = (
  { location, day, readings, preferences }: LocationLight,
  seen?: SeenShot,
): SceneConditions => ({
  altitudeAt: (utcMs) => sunOver(location, utcMs).altitudeDeg,
  azimuthAt: (utcMs) => sunOver(location, utcMs).azimuthDeg,
  skyAt: (utcMs) => skyMixAt(location, utcMs),
  lamps: location.lamps,
  lampsBelowAt: (utcMs) => lampsBelow(day, utcMs),
  litShare: seen?.shot.litShare ?? 1,
  offsetStops: seen ? offsetOf(seen.shot) : 0,
  readings,
  fadeMin: preferences.meterFadeMin,
  skySeen: seen?.skySeen ?? null,
  skyWeight: SKY_WEIGHT[preferences.exposeFor],
});
