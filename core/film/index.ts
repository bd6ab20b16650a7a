export { type DerivedFilm, FilmDeriver } from './derive';
export type { DerivedShot } from './derived';
export type { FilmTotals } from './totals';
