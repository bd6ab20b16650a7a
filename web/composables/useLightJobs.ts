import { lightJob, type LightJob } from '@core/light-timeline';
import { locationLight } from '@core/shot';
import type { DerivedShot } from '@core/film';
import type { Kit } from '@core/model';
import { KeyedMemo } from '@core/units';
import type { PlaceLightJob } from '../workers/light.worker';
import { useFilm } from '../stores/film';
import { useDerivedFilm } from '../stores/derived-film';

/** Rows of the film may be watched objects; what goes to a worker is plain. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Places of the open film as they are handed to the worker that looks at their light. */
export const useLightJobs = () => {
  const film = useFilm();
  const derivedFilm = useDerivedFilm();
  /** Shots as they were last sent: of a place in work one shot changes and nineteen do not. */
  const sent = new KeyedMemo(({ shot, filters }: { shot: DerivedShot; filters: Kit['filters'] }) => {
    const made: LightJob | null = lightJob(shot, { filters });
    return made && plain(made);
  });
  const shotsAt = (id: string): DerivedShot[] =>
    [...(derivedFilm.derived?.shots.values() ?? [])].filter((s) => s.facts.location.id === id);

  /** A place as plain data; null where it has no light. */
  const of = (id: string): PlaceLightJob | null => {
    const place = derivedFilm.derived?.places.get(id);
    if (!place?.light || !film.film || !Number.isFinite(place.windowFromMs)) return null;
    const { filters } = derivedFilm.along;
    const jobs = shotsAt(id).flatMap((shot) => sent.get(shot.facts.shot.id, { shot, filters }) ?? []);
    const toMs = Math.max(place.windowToMs, ...place.flights.map((f) => f.endMs));
    const { readings } = locationLight(
      place.location,
      place.light,
      film.list('reading'),
      film.film.preferences,
    );
    return {
      ...plain({
        preferences: { preferences: film.film.preferences },
        location: place.location,
        readings,
        fromMs: place.windowFromMs,
        toMs,
      }),
      jobs,
    };
  };
  /** Lets go of shots that are gone. */
  const keep = (ids: ReadonlySet<string>): void => {
    sent.keep(ids);
  };
  return { of, shotsAt, keep };
};
