import { fillFlights, type FillResult, type Flight, type Launch, type PackSupply, type ShotCost } from '../budget';
import { packEnergy } from '../energy';
import type { Kit, Pack } from '../kit';
import { isZone, LIGHT_DEFINITIONS, lightDay, localToUtc, minutesOf, type LightDay, type LightWish } from '../light';
import { heaviestFilterKg } from './light/weight';
import type { ShotFacts } from './shot';
import { flyerOf, windOf } from './costs';
import type { Film, Location, Shot } from './types';

const DAY_MS = 86_400_000;

/** A flight with the minutes it is planned at. */
export interface TimedFlight extends Flight {
  readonly locationId: string;
  readonly startMs: number;
  readonly endMs: number;
  /** Instant each shot begins, by shot id. */
  readonly shotMs: Readonly<Record<string, number>>;
}

/** What is worked out for one location: its day's light, its flights, its window. */
export interface PlaceFacts {
  readonly location: Location;
  readonly light: LightDay | null;
  readonly windowFromMs: number;
  readonly windowToMs: number;
  readonly flights: readonly TimedFlight[];
  readonly fill: FillResult;
}

const comesAlong = (film: Film) => (thing: { readonly id: string; readonly retired: boolean }): boolean =>
  !thing.retired && !film.leftHome.includes(thing.id);

/** The kit without what is retired or stays at home on this film. Aircraft stay: shots refer to them. */
export const kitAlong = (kit: Kit, film: Film): Kit => ({
  aircraft: kit.aircraft,
  packs: kit.packs.filter(comesAlong(film)),
  cards: kit.cards.filter(comesAlong(film)),
  filters: kit.filters.filter(comesAlong(film)),
  pilots: kit.pilots,
  practice: kit.practice,
});

/** Energy of the packs that come along, as charged now or full, in the temperature of a place. */
export const suppliesOf = (packs: readonly Pack[], location: Location, film: Film, full: boolean): PackSupply[] => packs.map((pack) => {
  const energy = packEnergy(full ? { ...pack, charge: 1 } : pack, location.temperatureC, film.preferences.reserveShare);
  return { packId: pack.id, aircraftIds: pack.aircraftIds, usableWh: energy.usableWh, reserveWh: energy.reserveWh, availableWh: energy.availableWh };
});

/** Holds one pack back for luck from each aircraft that has more than one. */
export const withoutSpare = (packs: readonly Pack[]): Pack[] => packs.filter((pack) => {
  const sisters = packs.filter((p) => p.aircraftIds.join() === pack.aircraftIds.join());
  return sisters.length < 2 || sisters.at(-1) !== pack;
});

/** What the day at a place is bounded by; instants in UTC ms. */
export interface PlaceDay {
  readonly light: LightDay | null;
  readonly windowFromMs: number;
  readonly windowToMs: number;
}

/** Light and window of a location's day; no light when zone, date or coordinates are unusable. */
export const placeDay = (location: Location, { preferences: p }: Pick<Film, 'preferences'>): PlaceDay => {
  const usable = isZone(location.zone) && !Number.isNaN(Date.parse(`${location.date}T00:00:00Z`)) && Math.abs(location.latitude) <= 90 && Math.abs(location.longitude) <= 180;
  if (!usable) return { light: null, windowFromMs: NaN, windowToMs: NaN };
  const at = (text: string): number => localToUtc(location.date, minutesOf(text), location.zone);
  const windowFromMs = at(location.windowStart);
  const end = at(location.windowEnd);
  return {
    light: lightDay(location.date, location.zone, location.latitude, location.longitude, { ...LIGHT_DEFINITIONS, goldenTopDeg: p.goldenTopDeg, goldenBottomDeg: p.goldenBottomDeg, civilDeg: p.civilDeg }, p.lampsDelayMin),
    windowFromMs,
    windowToMs: end > windowFromMs ? end : end + DAY_MS,
  };
};

/** Seconds after the window opens at which the light a shot wants begins; 0 when it is there already or never comes in the window. */
const wishFrom = (wish: LightWish, day: PlaceDay): number => {
  if (!day.light) return 0;
  const reached = wish === 'lamps' ? day.light.lampsOnMs
    : day.light.windows.find((w) => w.kind === wish && w.toMs > day.windowFromMs && w.fromMs < day.windowToMs)?.fromMs ?? null;
  return reached !== null && reached < day.windowToMs ? Math.max(0, (reached - day.windowFromMs) / 1000) : 0;
};

/** Instant a clock face stands for in a place's window: past midnight where the window is. */
export const pinnedMs = (clock: string, location: Location, day: PlaceDay): number => {
  const ms = localToUtc(location.date, minutesOf(clock), location.zone);
  return ms < day.windowFromMs && ms + DAY_MS <= day.windowToMs ? ms + DAY_MS : ms;
};

/** Seconds after the window opens before which a shot is not flown: for its light, or because a person wants it so. */
const notBefore = (shot: Shot, location: Location, day: PlaceDay): number => {
  const pinned = shot.notBefore === null ? 0 : (pinnedMs(shot.notBefore, location, day) - day.windowFromMs) / 1000;
  return Math.max(wishFrom(shot.wants, day), Number.isFinite(pinned) ? pinned : 0);
};

/** A shot as the budget sees it; null where it has no path or no aircraft. */
export const costOf = (facts: ShotFacts, location: Location, day: PlaceDay, launch: Launch): ShotCost | null => facts.energy && facts.aircraft && !facts.aircraft.retired ? {
  shotId: facts.shot.id, aircraftId: facts.aircraft.id, from: facts.fromPoint, to: facts.toPoint,
  airS: facts.seconds.airS, wattHours: facts.energy.totalWh, notBeforeS: notBefore(facts.shot, location, day), launch,
} : null;

const timed = (flights: readonly Flight[], location: Location, fromMs: number): TimedFlight[] => flights.map((flight) => ({
  ...flight,
  locationId: location.id,
  startMs: fromMs + flight.startS * 1000,
  endMs: fromMs + (flight.startS + flight.seconds) * 1000,
  shotMs: Object.fromEntries(flight.stops.map((s) => [s.shotId, fromMs + s.atS * 1000])),
}));

/** Flights of a location: shots in list order put on the packs at hand, timed from the start of its window. */
export const placeFacts = (
  location: Location, film: Film, kit: Kit, shots: readonly ShotFacts[], packs: readonly PackSupply[], day: PlaceDay, launchFor: (shot: Shot) => Launch,
): PlaceFacts => {
  const flyers = new Map(kit.aircraft.map((a) => [a.id, flyerOf(a, location, film, heaviestFilterKg(kit.filters, a.id, null))]));
  const rules = {
    wind: windOf(location), returnHeightM: location.returnHeightM, onePackOneShot: film.preferences.packUse === 'one-shot',
    swapS: film.preferences.swapMinutes * 60, flyerOf: (id: string) => flyers.get(id),
  };
  const costs = shots.map((f) => costOf(f, location, day, launchFor(f.shot)));
  const fill = fillFlights(costs.filter((c) => c !== null), packs, suppliesOf(kit.packs, location, film, true), rules);
  const lost = shots.filter((_, i) => costs[i] === null)
    .map((f) => ({ shotId: f.shot.id, reason: f.aircraft && !f.aircraft.retired ? 'no-path' as const : 'no-aircraft' as const, shortWh: 0 }));
  return { location, ...day, flights: timed(fill.flights, location, day.windowFromMs), fill: { ...fill, unfit: [...fill.unfit, ...lost] } };
};
