import { plannableBytes } from '../cards';
import { shareOn } from '../charge';
import { INTERNAL_SHARE, kitOnLocation, packsToFly, type TimedFlight } from '../day';
import { hoverCost, packEnergy, powerModel } from '../energy';
import { airDensity } from '../air';
import { FilmDeriver, type DerivedShot } from '../film';
import type { Aircraft, Card, FilmInput, Location, Pack, Shot } from '../model';
import { windOf } from '../shot';
import { clockText, dateIn } from '../time';

/** A pack as it is now. */
export interface ReadyPack {
  readonly pack: Pack;
  /** Share of a full charge that is in it. */
  readonly share: number;
  /** Minutes it hovers in the wind of the place until what is kept for the way home and the reserve. */
  readonly minutes: number;
}
/** A card with room, and what it holds in the mode that would be recorded. */
export interface ReadyCard {
  readonly card: Card | null;
  readonly minutes: number;
}
/** What one would fly with, here and now, without any plan. */
export interface Readiness {
  readonly location: Location;
  /** The shot that was tried, with exposure and filter of this minute. */
  readonly shot: DerivedShot;
  readonly flight: TimedFlight | null;
  /** Best first; empty where no pack fits the aircraft. */
  readonly packs: readonly ReadyPack[];
  /** Best first; the aircraft's own memory last, where it has one (card null). */
  readonly cards: readonly ReadyCard[];
}

/** How long somebody stays who left home without a plan. */
const STAY_MS = 2 * 3_600_000;

/** A location as it stands at an instant: today, from now on, in the weather entered for it. */
export const locationNow = (location: Location, nowMs: number): Location => ({
  ...location,
  date: dateIn(nowMs, location.zone),
  windowStart: clockText(nowMs, location.zone),
  windowEnd: clockText(nowMs + STAY_MS, location.zone),
  hours: [],
  breaks: [],
  travelMin: 0,
});

/** Minutes of recording that bytes hold at a bit rate, Mbit/s; 0 where nothing is recorded. */
const recordingMinutes = (bytes: number, megabitsPerS: number): number =>
  megabitsPerS > 0 ? bytes / ((megabitsPerS * 1e6 * 60) / 8) : 0;

/** Minutes an aircraft records without any card: its memory, as far as it is planned with. */
export const memoryMinutes = ({ internalGB }: Pick<Aircraft, 'internalGB'>, megabitsPerS: number): number =>
  recordingMinutes(internalGB * 1e9 * INTERNAL_SHARE, megabitsPerS);

/** What the picture of the link takes when the phone records it, Mbit/s. Own estimate: small, and with the link’s breaks. */
const LINK_MBITS = 8;
/** Minutes of the link’s picture that a gigabyte of the phone holds. */
export const PHONE_MINUTES_A_GB = recordingMinutes(1e9, LINK_MBITS);

/** Height a chance shot hovers at, m. */
const HOVER_M = 30;

/**
 * What is charged, what has room and what to set, here and now: by the same reckoning as any plan, asked about one shot.
 * @param here where one stands; it need not be a location of the film
 * @param chance the shot that would be flown
 */
export const readyNow = (input: FilmInput, here: Location, chance: Shot, nowMs: number): Readiness | null => {
  const location = locationNow(here, nowMs);
  const derived = new FilmDeriver().derive({
    ...input,
    locations: [location],
    shots: [{ ...chance, locationId: here.id, afterId: null, subjectId: null }],
    flights: [],
    groundShots: [],
  });
  const shot = derived.shots.get(chance.id);
  if (!shot) return null;
  const { aircraft, mode } = shot.facts;
  const kit = kitOnLocation(input.kit, input.film);
  const packs = aircraft
    ? packsToFly(kit, input.film)
        .filter((p) => p.aircraftIds.includes(aircraft.id))
        .map((pack): ReadyPack => {
          const share = shareOn(pack, location.date);
          const { usableWh } = packEnergy(
            { ...pack, charge: share },
            location.temperatureC,
            input.film.preferences.reserveShare,
          );
          const power = powerModel(aircraft, airDensity(location.elevationM, location.temperatureC));
          const { wattHours } = hoverCost(power, windOf(location), HOVER_M, 60);
          return { pack, share, minutes: usableWh / wattHours };
        })
        .sort((a, b) => b.minutes - a.minutes)
    : [];
  const minutesOf = (bytes: number): number => recordingMinutes(bytes, mode?.megabitsPerS ?? 0);
  const cards = kit.cards
    .map((card): ReadyCard => ({ card, minutes: minutesOf(plannableBytes(card)) }))
    .sort((a, b) => b.minutes - a.minutes);
  const inside = aircraft ? memoryMinutes(aircraft, mode?.megabitsPerS ?? 0) : 0;
  const internal = inside > 0 ? [{ card: null, minutes: inside }] : [];
  return {
    location,
    shot,
    flight: derived.places.get(here.id)?.flights[0] ?? null,
    packs,
    cards: [...cards, ...internal],
  };
};
