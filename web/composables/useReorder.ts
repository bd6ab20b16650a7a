import type { Entity } from '@core/model';
import { useFilm } from '../stores/film';
import { keyBetween } from './new-shot';
import { useDerivedFilm } from '../stores/derived-film';
import { tr } from './messages';

/** Moving shots along the list and between places; one move changes one row. */
export const useReorder = (shotsOf: (locationId: string) => Entity<'shot'>[]) => {
  const film = useFilm();
  const derivedFilm = useDerivedFilm();

  /** Puts a shot before or after another one, also one of another place. */
  const placeShot = (id: string, targetId: string, edge: 'before' | 'after'): void => {
    const target = film.get('shot', targetId);
    if (!target || id === targetId) return;
    const list = shotsOf(target.locationId).filter((s) => s.id !== id);
    const at = list.findIndex((s) => s.id === targetId) + (edge === 'after' ? 1 : 0);
    moveTo(id, target.locationId, list[at - 1]?.position, list[at]?.position);
  };

  const moveTo = (
    id: string,
    locationId: string,
    before: string | undefined,
    after: string | undefined,
  ): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const sameSubject =
      shot.locationId === locationId
        ? shot.subjectId
        : (film.list('subject').find((s) => s.locationId === locationId)?.id ?? null);
    film.edit(
      'shot',
      id,
      { position: keyBetween(before, after), locationId, subjectId: sameSubject },
      tr('moveShot'),
    );
  };

  /** Puts a shot at the end of a place. */
  const placeAtEnd = (id: string, locationId: string): void =>
    moveTo(
      id,
      locationId,
      shotsOf(locationId)
        .filter((s) => s.id !== id)
        .at(-1)?.position,
      undefined,
    );

  /** Moves a shot up or down by one, over the edge of a place into the next. */
  const shiftShot = (id: string, by: -1 | 1): void => {
    const order = derivedFilm.derived?.order ?? [];
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const neighbour = list[list.findIndex((s) => s.id === id) + by];
    if (neighbour) {
      placeShot(id, neighbour.id, by < 0 ? 'before' : 'after');
      return;
    }
    const places = derivedFilm.locations;
    const place = places[places.findIndex((l) => l.id === shot.locationId) + by];
    if (!place) return;
    const there = shotsOf(place.id);
    const first = there[0];
    if (by > 0 && first) placeShot(id, first.id, 'before');
    else if (order.length > 0) placeAtEnd(id, place.id);
  };

  return { placeShot, placeAtEnd, shiftShot };
};
