import {
  lampsBurn,
  LIT_STOPS,
  sunAt,
  SURFACE_STOPS,
  type LightDay,
  type SceneConditions,
  type SunPosition,
} from '../light';
import type { Location, Reading, Shot } from '../model';

/** A place on its day, as its light is worked out. */
export interface LocationLight {
  readonly location: Location;
  readonly day: LightDay;
  /** Readings of this place taken on its day. */
  readonly readings: readonly Reading[];
}

const NIGHT_AFTER_MS = 12 * 3_600_000;

/** Readings belong to the day they were taken on, with the night after it. */
export const readingsOf = (location: Location, day: LightDay, readings: readonly Reading[]): Reading[] =>
  readings.filter(
    (r) =>
      r.locationId === location.id && r.utcMs >= day.sun.startMs && r.utcMs < day.sun.endMs + NIGHT_AFTER_MS,
  );

/** Stops a slate's subject and surroundings lie off the open scene. */
export const offsetOf = (shot: Pick<Shot, 'offsetStops' | 'surface' | 'lit'>): number =>
  shot.offsetStops + SURFACE_STOPS[shot.surface] + LIT_STOPS[shot.lit];

const suns = new WeakMap<Location, Map<number, SunPosition>>();
const MOST_SUNS = 2000;

/** The sun over a place, remembered: several slates and rules ask for the same minutes. */
export const sunOver = (location: Location, utcMs: number): SunPosition => {
  let known = suns.get(location);
  if (!known || known.size > MOST_SUNS) suns.set(location, (known = new Map()));
  let sun = known.get(utcMs);
  if (!sun) known.set(utcMs, (sun = sunAt(utcMs, location.latitude, location.longitude)));
  return sun;
};

/** What the light of a place hangs on; with a slate, what it asks for beyond the open scene. */
export const conditionsOf = (
  { location, day, readings }: LocationLight,
  shot?: Pick<Shot, 'offsetStops' | 'surface' | 'lit'>,
): SceneConditions => ({
  altitudeAt: (utcMs) => sunOver(location, utcMs).altitudeDeg,
  sky: location.sky,
  lamps: location.lamps,
  lampsBurnAt: (utcMs) => lampsBurn(day, utcMs),
  offsetStops: shot ? offsetOf(shot) : 0,
  readings,
});
