import { fillFlights, type FillResult, type Flight, type PackSupply, type ShotCost } from '../budget';
import { packEnergy } from '../energy';
import type { Kit } from '../kit';
import { isZone, lightDay, localToUtc, minutesOf, type LightDay } from '../light';
import type { ShotFacts } from './shot';
import { flyerOf, windOf } from './shot';
import type { Film, Location } from './types';

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

const supplies = (kit: Kit, location: Location, film: Film, full: boolean): PackSupply[] => kit.packs.filter((p) => !p.retired).map((pack) => {
  const energy = packEnergy(full ? { ...pack, charge: 1 } : pack, location.temperatureC, film.preferences.reserveShare);
  return { packId: pack.id, aircraftIds: pack.aircraftIds, usableWh: energy.usableWh, reserveWh: energy.reserveWh, availableWh: energy.availableWh };
});

/** Packs at hand at a place: those not used earlier the same day; charged again on a later day. */
export const packsFor = (kit: Kit, location: Location, film: Film, usedToday: ReadonlySet<string>, firstDay: boolean): PackSupply[] => {
  const all = supplies(kit, location, film, !firstDay).filter((s) => !usedToday.has(s.packId));
  return film.preferences.holdBackSpare ? withoutSpare(all) : all;
};

/** Holds one pack back for luck from each aircraft that has more than one. */
const withoutSpare = (packs: readonly PackSupply[]): PackSupply[] => packs.filter((pack, i) => {
  const sisters = packs.filter((p) => p.aircraftIds.join() === pack.aircraftIds.join());
  return sisters.length < 2 || sisters.at(-1) !== packs[i];
});

const costOf = (facts: ShotFacts): ShotCost | null => facts.energy && facts.aircraft ? {
  shotId: facts.shot.id, aircraftId: facts.aircraft.id, from: facts.fromPoint, to: facts.toPoint,
  airS: facts.seconds.airS, wattHours: facts.energy.totalWh,
} : null;

const timed = (flights: readonly Flight[], location: Location, fromMs: number, swapS: number): TimedFlight[] => {
  let clock = fromMs;
  return flights.map((flight) => {
    const startMs = clock;
    let at = startMs + flight.takeoff.seconds * 1000;
    const shotMs: Record<string, number> = {};
    for (const stop of flight.stops) {
      at += stop.leg.seconds * 1000;
      shotMs[stop.shotId] = at;
      at += stop.airS * 1000;
    }
    const endMs = startMs + flight.seconds * 1000;
    clock = endMs + swapS * 1000;
    return { ...flight, locationId: location.id, startMs, endMs, shotMs };
  });
};

/** Light of the location's day; null when zone, date or coordinates are unusable. */
export const placeLight = (location: Location): LightDay | null =>
  isZone(location.zone) && !Number.isNaN(Date.parse(`${location.date}T00:00:00Z`)) && Math.abs(location.latitude) <= 90 && Math.abs(location.longitude) <= 180
    ? lightDay(location.date, location.zone, location.latitude, location.longitude) : null;

/** Flights of a location: shots in list order put on the packs at hand, timed from the start of its window. */
export const placeFacts = (
  location: Location, film: Film, kit: Kit, shots: readonly ShotFacts[], packs: readonly PackSupply[], light: LightDay | null,
): PlaceFacts => {
  const flyers = new Map(kit.aircraft.map((a) => [a.id, flyerOf(a, location, film)]));
  const rules = {
    wind: windOf(location), returnHeightM: location.returnHeightM,
    onePackOneShot: film.preferences.packUse === 'one-shot', flyerOf: (id: string) => flyers.get(id),
  };
  const costs = shots.map(costOf);
  const fill = fillFlights(costs.filter((c) => c !== null), packs, supplies(kit, location, film, true), rules);
  const lost = shots.filter((_, i) => costs[i] === null)
    .map((f) => ({ shotId: f.shot.id, reason: f.aircraft ? 'no-path' as const : 'no-aircraft' as const, shortWh: 0 }));
  const at = (text: string): number => localToUtc(location.date, minutesOf(text), location.zone);
  const windowFromMs = at(location.windowStart);
  const end = at(location.windowEnd);
  return {
    location, light, windowFromMs,
    windowToMs: end > windowFromMs ? end : end + 86_400_000,
    flights: timed(fill.flights, location, windowFromMs, film.preferences.swapMinutes * 60),
    fill: { ...fill, unfit: [...fill.unfit, ...lost] },
  };
};
