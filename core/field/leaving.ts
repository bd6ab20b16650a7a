import type { LocationPlan } from '../day';
import type { DerivedFilm, DerivedShot } from '../film';
import { measured, message, type Message } from '../messages';
import type { FilmInput } from '../model';
import { clockText, MINUTE_MS } from '../time';
import { lightLeft } from './light-left';

/** A shot of a location that is not done, and whether it could still be flown today. */
export interface MissingShot {
  readonly shotId: string;
  /** Minutes in the air it needs, with the flight out and home. */
  readonly minutes: number;
  /** The light it wants is still to come, from this instant on; null where it does not come any more in this window. */
  readonly lightFromMs: number | null;
  /** Packs of the day that hold enough for it, by id. */
  readonly packIds: readonly string[];
  readonly say: Message;
}

/** Seconds of a flight out and home beside the shot itself, where no plan says better. */
const OUT_AND_HOME_S = 120;

const cheapestFlight = (shot: DerivedShot, place: LocationPlan) => {
  const flight = place.flights.find((f) => f.stops.some((s) => s.shotId === shot.facts.shot.id));
  const stop = flight?.stops.find((s) => s.shotId === shot.facts.shot.id);
  return {
    wattHours: stop
      ? stop.wattHours + stop.leg.wattHours + stop.homeWh
      : (shot.facts.energy?.totalWh ?? Infinity),
    seconds: shot.facts.seconds.airS + (stop ? 2 * stop.leg.seconds : OUT_AND_HOME_S),
  };
};

/** First instant from now on at which the light a shot wants is there long enough to fly it, or lasts as long as it ever does. */
const lightFrom = (
  input: FilmInput,
  place: LocationPlan,
  shot: DerivedShot,
  nowMs: number,
  seconds: number,
): number | null => {
  const fromMs = Math.max(nowMs, place.windowFromMs);
  if (!place.light || place.windowToMs - fromMs < seconds * 1000) return null;
  if (shot.facts.shot.wants === 'any') return fromMs;
  const light = lightLeft(input, place, shot, fromMs);
  if (light?.state === 'later') return light.fromMs;
  return light?.state === 'now' && light.toMs - fromMs >= seconds * 1000 ? fromMs : null;
};

const sayOf = (m: Omit<MissingShot, 'say'>, zone: string, nowMs: number): Message => {
  const minutes = measured(m.minutes, 'minutes', 0);
  if (m.lightFromMs === null) return message('field.missing.no-light', { minutes });
  if (m.packIds.length === 0) return message('field.missing.no-pack', { minutes });
  return m.lightFromMs - nowMs > MINUTE_MS
    ? message('field.missing.later', { minutes, from: clockText(m.lightFromMs, zone) })
    : message('field.missing.now', { minutes });
};

/**
 * What is still missing at a location before one leaves it: shots not done in the order of the list, musts first, with the minutes
 * they need and whether light and packs allow them now.
 * @param nowMs UTC
 */
export const missingAt = (
  input: FilmInput,
  derived: DerivedFilm,
  place: LocationPlan,
  nowMs: number,
): readonly MissingShot[] => {
  const RANK = { must: 0, should: 1, could: 2 } as const;
  const open = [...derived.shots.values()].filter(
    (s) => s.facts.location.id === place.location.id && !s.done && s.facts.trajectory !== null,
  );
  return open
    .sort((a, b) => RANK[a.facts.shot.priority] - RANK[b.facts.shot.priority] || a.number - b.number)
    .map((shot) => {
      const { wattHours, seconds } = cheapestFlight(shot, place);
      const supplies = new Map(
        [...place.fill.remainingPacks, ...place.flights.map((f) => f.supply)].map((s) => [s.packId, s]),
      );
      const missing = {
        shotId: shot.facts.shot.id,
        minutes: Math.ceil(seconds / 60),
        lightFromMs: lightFrom(input, place, shot, nowMs, seconds),
        packIds: [...supplies.values()]
          .filter((s) => s.usableWh >= wattHours && s.aircraftIds.includes(shot.facts.aircraft?.id ?? ''))
          .map((s) => s.packId),
      };
      return { ...missing, say: sayOf(missing, place.location.zone, nowMs) };
    });
};
