import { kitOnLocation } from '../day';
import type { DerivedFilm } from '../film';
import type { FilmInput } from '../model';
import type { Context } from './types';

/** What the sheets of a location are asked about, besides the film. */
export interface Asked {
  readonly locationId: string;
  /** Place of the flight in hand in the day, from 0; the first where there is no such flight. */
  readonly flight?: number;
  /** Shot in hand; the first of the location where it is none of its. */
  readonly shotId?: string | null;
  /** What was found about the site beside the reckoning; null until it was looked at. */
  readonly site: Context['site'];
  readonly nowMs: number;
}

/** Everything the checks of a location look at: its day, its flight and shot in hand, the kit that comes along. */
export const contextOf = (input: FilmInput, derived: DerivedFilm, asked: Asked): Context | null => {
  const place = derived.places.get(asked.locationId);
  if (!place) return null;
  const { date } = place.location;
  const shots = [...derived.shots.values()].filter((s) => s.facts.location.id === place.location.id);
  return {
    input: { ...input, kit: kitOnLocation(input.kit, input.film) },
    derived,
    date,
    place,
    site: asked.site,
    nowMs: asked.nowMs,
    shot: shots.find((s) => s.facts.shot.id === asked.shotId) ?? shots[0] ?? null,
    places: input.locations.filter((l) => l.date === date).flatMap((l) => derived.places.get(l.id) ?? []),
    flight: place.flights[asked.flight ?? 0] ?? place.flights[0] ?? null,
  };
};
