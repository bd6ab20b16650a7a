import type { Painted } from '../preview/film/painter';
import type { useDerivedFilm } from '../stores/derived-film';
import type { useFilm } from '../stores/film';

/** A shot with what stands at its location, as its frames are painted; null where there is no such shot. */
export const paintedShot = (
  film: ReturnType<typeof useFilm>,
  { derived }: ReturnType<typeof useDerivedFilm>,
  id: string,
): Painted | null => {
  const shot = derived?.shots.get(id);
  if (!shot) return null;
  const here = shot.facts.location.id;
  return {
    shot,
    subjects: film.list('subject').filter((s) => s.locationId === here),
    things: film.list('feature').filter((f) => f.locationId === here),
  };
};
