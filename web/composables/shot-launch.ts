import type { Vec3 } from '@core/geometry';
import { launchOf } from '@core/location';
import type { ShotFacts } from '@core/shot';
import type { useFilm } from '../stores/film';

/** Where a shot is launched from, m in the frame of its location. */
export const launchOfShot = (film: ReturnType<typeof useFilm>, { location, shot }: ShotFacts): Vec3 =>
  launchOf(film.list('feature'), film.terrain.get(location.id), location, shot).at;
