import { api, type FilmSummary } from '../../sync/api';
import { tr } from './messages';

const KEY = 'dusk-chance-film';

/** Id of the film that chances go into; begun when the first is wanted, and anew when it was deleted. */
export const chanceFilm = async (films: readonly Pick<FilmSummary, 'id'>[]): Promise<string> => {
  const known = localStorage.getItem(KEY);
  if (known !== null && films.some((f) => f.id === known)) return known;
  const { emptyFilm } = await import('../../composables/new-film');
  const { id } = await api.importFilm(emptyFilm(tr('chanceShots')));
  localStorage.setItem(KEY, id);
  return id;
};
