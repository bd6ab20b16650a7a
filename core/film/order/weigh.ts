import { deriveFilm, inOrder, type DerivedFilm } from '../derive';
import type { FilmInput, Priority } from '../types';

/** What an order comes to when the list is filled with it. */
export interface OrderWeighed {
  readonly flown: Readonly<Record<Priority, number>>;
  readonly unflown: number;
  /** Shots flown outside the light they want or after the window. */
  readonly late: number;
  readonly flights: number;
  readonly airborneS: number;
  readonly usedWh: number;
}

const LATE = new Set(['light.wish', 'light.window']);

/** Sums of a place as it is derived. */
export const weighOrder = (derived: DerivedFilm, locationId: string): OrderWeighed => {
  const place = derived.places.get(locationId);
  const own = [...derived.shots.values()].filter((s) => s.facts.location.id === locationId);
  const flown = own.filter((s) => s.flightIndex !== null);
  const count = (p: Priority): number => flown.filter((s) => s.facts.shot.priority === p).length;
  return {
    flown: { must: count('must'), should: count('should'), could: count('could') }, unflown: own.length - flown.length,
    late: flown.filter((s) => s.warnings.some((w) => LATE.has(w.code))).length,
    flights: place?.flights.length ?? 0, airborneS: place?.flights.reduce((sum, f) => sum + f.seconds, 0) ?? 0, usedWh: place?.flights.reduce((sum, f) => sum + f.usedWh, 0) ?? 0,
  };
};

/** Order of worth: musts, shoulds, coulds, fewest in the wrong light, fewest flights, least time. Negative when a is better. */
export const compareOrders = (a: OrderWeighed, b: OrderWeighed): number =>
  b.flown.must - a.flown.must || b.flown.should - a.flown.should || b.flown.could - a.flown.could || a.late - b.late || a.flights - b.flights || (Math.abs(a.airborneS - b.airborneS) < 1 ? 0 : a.airborneS - b.airborneS);

/** Positions that put the shots of a place in an order: the keys they have, dealt out anew. */
export const positionsFor = (input: FilmInput, locationId: string, order: readonly string[]): ReadonlyMap<string, string> => {
  const listed = inOrder(input.shots.filter((s) => s.locationId === locationId));
  const rest = listed.filter((s) => !order.includes(s.id)).map((s) => s.id);
  const keys = listed.map((s) => s.position);
  return new Map([...order.filter((id) => listed.some((s) => s.id === id)), ...rest].map((id, i) => [id, keys[i] ?? 'a0']));
};

/** What a film would come to with the shots of a place in another order, worked out as it would be shown. */
export const tryOrder = (input: FilmInput, locationId: string, order: readonly string[]): OrderWeighed => {
  const positions = positionsFor(input, locationId, order);
  const shots = input.shots.map((s) => { const position = positions.get(s.id); return position === undefined || position === s.position ? s : { ...s, position }; });
  return weighOrder(deriveFilm({ ...input, shots }), locationId);
};
