import type { DerivedFilm } from '../film';
import type { Priority } from '../model';

/** What the flights of some places come to. */
export interface FlightsWeighed {
  readonly flown: Readonly<Record<Priority, number>>;
  readonly unflown: number;
  /** Shots flown outside the light they want or after the window. */
  readonly late: number;
  /** Flights whose pack does not give what is asked of it. */
  readonly over: number;
  readonly flights: number;
  readonly packs: number;
  readonly airborneS: number;
  readonly usedWh: number;
  readonly filterLandings: number;
}

const LATE = new Set(['light.wish', 'light.window']);

/** Sums of some places as they are derived; what is in the can counts as neither. */
export const weighFlights = (derived: DerivedFilm, locationIds: readonly string[]): FlightsWeighed => {
  const flights = locationIds.flatMap((id) => [...(derived.places.get(id)?.flights ?? [])]);
  const own = [...derived.shots.values()].filter((s) => locationIds.includes(s.facts.location.id) && !s.done);
  const flown = own.filter((s) => s.flightIndex !== null);
  const count = (p: Priority): number => flown.filter((s) => s.facts.shot.priority === p).length;
  return {
    flown: { must: count('must'), should: count('should'), could: count('could') },
    unflown: own.length - flown.length,
    late: flown.filter((s) => s.warnings.some((w) => LATE.has(w.code))).length,
    over: flights.filter((f) => f.overWh > 0).length,
    flights: flights.length,
    packs: new Set(flights.map((f) => f.packId)).size,
    airborneS: flights.reduce((sum, f) => sum + f.seconds, 0),
    usedWh: flights.reduce((sum, f) => sum + f.usedWh, 0),
    filterLandings: flown.filter((s) => s.filter?.lands).length,
  };
};

/** Order of worth: nothing over its pack, musts, shoulds, coulds, fewest in the wrong light, fewest flights and landings for a filter, least time. Negative when a is better. */
export const compareFlights = (a: FlightsWeighed, b: FlightsWeighed): number =>
  a.over - b.over ||
  b.flown.must - a.flown.must ||
  b.flown.should - a.flown.should ||
  b.flown.could - a.flown.could ||
  a.late - b.late ||
  a.flights + a.filterLandings - b.flights - b.filterLandings ||
  (Math.abs(a.airborneS - b.airborneS) < 1 ? 0 : a.airborneS - b.airborneS);
