import { lightJob, overWeightLine, placeLightWarnings, readingsOf, type DateWeighed, type DerivedShot, type ShotWindow, type Warning } from '@core/film';
import { wrap, type Remote } from 'comlink';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { LightWorker, PlaceLightJob } from '../workers/light.worker';
import { useFilm } from './film';
import { useFindings } from './findings';
import { useReckoning } from './reckoning';
import { whenResting } from './whenResting';

/** Milliseconds without a change after which the light is looked at, and the longest one waits while changes go on. */
const REST_MS = 110;
const LONGEST_MS = 500;

const shotsOf = (reckoning: ReturnType<typeof useReckoning>, id: string): DerivedShot[] => [...(reckoning.derived?.shots.values() ?? [])].filter((s) => s.facts.location.id === id);

/** A place as plain data for the worker; null where it has no light. */
const jobOf = (film: ReturnType<typeof useFilm>, reckoning: ReturnType<typeof useReckoning>, id: string): PlaceLightJob | null => {
  const place = reckoning.derived?.places.get(id);
  if (!place?.light || !film.film || !Number.isFinite(place.windowFromMs)) return null;
  const jobs = shotsOf(reckoning, id).flatMap((s) => { const job = lightJob(s, reckoning.along); return job ? [job] : []; });
  const toMs = Math.max(place.windowToMs, ...place.flights.map((f) => f.endMs));
  const readings = readingsOf(place.location, place.light, film.list('reading'));
  // Rows of the film may be watched objects; what goes to a worker is plain.
  return JSON.parse(JSON.stringify({ preferences: { preferences: film.film.preferences }, location: place.location, readings, fromMs: place.windowFromMs, toMs, jobs })) as PlaceLightJob;
};

/** Light of the slates over the minutes of their windows, worked out beside the page; answers come a moment after a change. */
export const useLight = defineStore('light', () => {
  const film = useFilm();
  const findings = useFindings();
  const reckoning = useReckoning();
  const windows = shallowRef<ReadonlyMap<string, ShotWindow>>(new Map());
  let worker: Remote<LightWorker> | null = null;
  const remote = (): Remote<LightWorker> => worker ??= wrap<LightWorker>(new Worker(new URL('../workers/light.worker.ts', import.meta.url), { type: 'module', name: 'light' }));

  const told = new Map<string, readonly Warning[]>();
  const places = new Map<string, readonly Warning[]>();
  /** What a place was last looked at for: parts by identity. */
  const seen = new Map<string, readonly unknown[]>();
  const shotsAt = (id: string): DerivedShot[] => shotsOf(reckoning, id);

  /** Places whose light could be another now. */
  const changed = (): string[] => [...(reckoning.derived?.places.values() ?? [])].filter((p) => {
    const parts = [p.location, p.light, p.windowFromMs, p.windowToMs, reckoning.along, film.film?.preferences, ...film.list('reading'), ...shotsAt(p.location.id)];
    const before = seen.get(p.location.id);
    if (before?.length === parts.length && parts.every((x, i) => x === before[i])) return false;
    seen.set(p.location.id, parts);
    return true;
  }).map((p) => p.location.id);

  const publish = (): void => {
    const here = reckoning.derived;
    for (const id of told.keys()) if (!here?.shots.has(id)) told.delete(id);
    for (const id of places.keys()) if (!here?.places.has(id)) places.delete(id);
    const craft = film.film ? film.list('aircraft').filter((a) => !a.retired).flatMap((a) => { const w = film.film && overWeightLine(film.film, reckoning.along, a); return w ? [w] : []; }) : [];
    const shots = new Map(told);
    for (const w of craft) for (const s of here?.shots.values() ?? []) if (w.subject.kind === 'aircraft' && s.facts.aircraft?.id === w.subject.id) shots.set(s.facts.shot.id, [...shots.get(s.facts.shot.id) ?? [], w]);
    findings.tell('light', { shots, places: new Map(places) });
  };

  const look = async (id: string): Promise<void> => {
    const job = jobOf(film, reckoning, id);
    if (!job) { places.delete(id); for (const s of shotsAt(id)) told.delete(s.facts.shot.id); publish(); return; }
    const answer = await remote().check(job);
    windows.value = new Map([...windows.value, ...answer.windows.map((w): [string, ShotWindow] => [w.shotId, w])]);
    const place = reckoning.derived?.places.get(id);
    const own = place ? placeLightWarnings(place, shotsAt(id).map((s) => s.facts.shot), film.list('reading')) : [];
    places.set(id, own.filter((w) => w.subject.kind === 'location'));
    for (const [shotId, list] of answer.warnings) told.set(shotId, [...list, ...own.filter((w) => w.subject.kind === 'shot' && w.subject.id === shotId)]);
    publish();
  };

  const settle = async (): Promise<void> => { for (let ids = changed(); ids.length > 0; ids = changed()) for (const id of ids) await look(id); };
  const touched = whenResting(settle, REST_MS, LONGEST_MS);
  let started = false;
  /** Begins to watch the film; asked for once the first view is there. */
  const start = (): void => {
    if (started) return;
    started = true;
    watch(() => reckoning.derived, touched, { immediate: true });
    watch(() => film.filmId, () => { seen.clear(); told.clear(); places.clear(); windows.value = new Map(); });
  };

  /** A place's date and those after it, weighed for its slates. */
  const weigh = async (id: string, count: number): Promise<DateWeighed[]> => { const job = jobOf(film, reckoning, id); return job ? remote().weigh(job, count) : []; };
  return { windows, start, weigh };
});
