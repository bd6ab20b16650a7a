const KEY = 'dusk-last-film';

/** Remembers the film that is open, for the installed application to begin with. */
export const rememberFilm = (id: string): void => {
  localStorage.setItem(KEY, id);
};

/** The film that was open last on this device. */
export const lastFilm = (): string | null => localStorage.getItem(KEY);
