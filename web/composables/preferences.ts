import type { Preferences } from '@core/model';
import type { Fault } from '../sync/validation';
import { useFilm } from '../stores/film';

/**
 * Changes preferences of the open film, as one step.
 * @param step what the step is called where it can be undone
 * @returns nothing where no film is open
 */
export const usePreferences = (step: () => string) => {
  const film = useFilm();
  return (fields: Partial<Preferences>): readonly Fault[] => {
    const now = film.film?.preferences;
    return now ? film.edit('film', film.filmId, { preferences: { ...now, ...fields } }, step()) : [];
  };
};
