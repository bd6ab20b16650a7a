import type { FilmInput } from '@core/film';
import type { FilmFile } from './exchange';

/** Compile-time check: what crosses the wire is what the reckoning takes. */
type Fits<A extends B, B> = A;
export type WireFitsCore = Fits<
  Pick<
    FilmFile,
    'film' | 'locations' | 'subjects' | 'shots' | 'readings' | 'features' | 'flights' | 'answers' | 'kit'
  >,
  FilmInput
>;
