import { overWeightLine, locationLightWarnings, type Warning } from '@core/warnings';
import type { DateWeighed, ShotWindow } from '@core/light-timeline';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { LightResult, LightWorker } from '../workers/light.worker';
import { useFilm } from './film';
import { useFindings } from './findings';
import { useLightJobs } from '../composables/useLightJobs';
import { useDerivedFilm } from './derived-film';
import { debounceWithMaxWait } from '../composables/debounce';

/** Milliseconds without a change after which the light is looked at, and the longest one waits while changes go on. */
const REST_MS = 110;
const LONGEST_MS = 500;

/** What is to be said of an aircraft's weight with the film's filters on, at each shot it flies. */
const overWeight = (
  film: ReturnType<typeof useFilm>,
  derivedFilm: ReturnType<typeof useDerivedFilm>,
): [shotId: string, warning: Warning][] => {
  const { film: whole } = film;
  if (!whole) return [];
  const heavy = new Map(
    film.list('aircraft').flatMap((a) => {
      const w = a.retired ? null : overWeightLine(whole, derivedFilm.along, a);
      return w ? [[a.id, w] as const] : [];
    }),
  );
  if (heavy.size === 0) return [];
  return [...(derivedFilm.derived?.shots.values() ?? [])].flatMap(({ facts }): [string, Warning][] => {
    const w = heavy.get(facts.aircraft?.id ?? '');
    return w ? [[facts.shot.id, w]] : [];
  });
};

/** Light of the shots over the minutes of their windows, worked out beside the page; answers come a moment after a change. */
export const useLight = defineStore('light', () => {
  const film = useFilm();
  const findings = useFindings();
  const derivedFilm = useDerivedFilm();
  const windows = shallowRef<ReadonlyMap<string, ShotWindow>>(new Map());
  const jobs = useLightJobs();
  let worker: Remote<LightWorker> | null = null;
  const remote = (): Remote<LightWorker> =>
    (worker ??= wrap<LightWorker>(
      new Worker(new URL('../workers/light.worker.ts', import.meta.url), { type: 'module', name: 'light' }),
    ));

  /** Answers from beside the page, and what is said of each shot with what its place says. */
  const found = new Map<string, LightResult>();
  const warnings = new Map<string, readonly Warning[]>();
  const places = new Map<string, readonly Warning[]>();
  /** What a place was last looked at for: parts by identity. */
  const seen = new Map<string, readonly unknown[]>();

  /** Places whose light could be another now. */
  const changed = (): string[] =>
    [...(derivedFilm.derived?.places.values() ?? [])]
      .filter((p) => {
        const parts = [
          p.location,
          p.light,
          p.windowFromMs,
          p.windowToMs,
          derivedFilm.along,
          film.film?.preferences,
          ...film.list('reading'),
          ...jobs.shotsAt(p.location.id),
        ];
        const before = seen.get(p.location.id);
        if (before?.length === parts.length && parts.every((x, i) => x === before[i])) return false;
        seen.set(p.location.id, parts);
        return true;
      })
      .map((p) => p.location.id);

  const publish = (): void => {
    const here = derivedFilm.derived;
    for (const map of [warnings, found])
      for (const id of map.keys()) if (!here?.shots.has(id)) map.delete(id);
    jobs.keep(new Set(here?.shots.keys()));
    for (const id of places.keys()) if (!here?.places.has(id)) places.delete(id);
    const shots = new Map(warnings);
    for (const [shotId, w] of overWeight(film, derivedFilm))
      shots.set(shotId, [...(shots.get(shotId) ?? []), w]);
    findings.report('light', { shots, places: new Map(places) });
  };

  const look = async (id: string): Promise<void> => {
    const job = jobs.of(id);
    if (!job) {
      places.delete(id);
      for (const s of jobs.shotsAt(id)) {
        warnings.delete(s.facts.shot.id);
        found.delete(s.facts.shot.id);
      }
      publish();
      return;
    }
    const lit = new Set(job.jobs.map((j) => j.shotId));
    for (const [shotId, light] of await remote().check(
      job,
      [...lit].filter((s) => found.has(s)),
    ))
      found.set(shotId, light);
    const shots = jobs.shotsAt(id).map((s) => s.facts.shot);
    const place = derivedFilm.derived?.places.get(id);
    const own = place ? locationLightWarnings(place, shots, film.list('reading')) : [];
    places.set(
      id,
      own.filter((w) => w.subject.kind === 'location'),
    );
    for (const shot of shots) {
      // A shot that cannot be flown any more has no light that could be spoken of.
      if (!lit.has(shot.id)) found.delete(shot.id);
      warnings.set(shot.id, [
        ...(found.get(shot.id)?.warnings ?? []),
        ...own.filter((w) => w.subject.kind === 'shot' && w.subject.id === shot.id),
      ]);
    }
    publish();
    windows.value = new Map([...found].map(([shotId, light]) => [shotId, light.window]));
  };

  const settle = async (): Promise<void> => {
    for (const id of changed()) await look(id);
  };
  const touched = debounceWithMaxWait(settle, REST_MS, LONGEST_MS);
  let started = false;
  /** Begins to watch the film; asked for once the first view is there. */
  const start = (): void => {
    if (started) return;
    started = true;
    watch(() => derivedFilm.derived, touched, { immediate: true });
    watch(
      () => film.filmId,
      () => {
        seen.clear();
        warnings.clear();
        found.clear();
        places.clear();
        windows.value = new Map();
      },
    );
  };

  /** A place's date and those after it, weighed for its shots. */
  const weigh = async (id: string, count: number): Promise<DateWeighed[]> => {
    const job = jobs.of(id);
    return job ? remote().weigh(job, count) : [];
  };
  return { windows, start, weigh };
});
