export { type DerivedFilm, FilmReckoner } from './derive';
export type { DerivedShot } from './derived';
export type { BudgetFacts } from './totals';
