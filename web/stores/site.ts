import type { FilmInput } from '@core/model';
import type { LaunchIdea, SiteShot } from '@core/location';
import type { Warning } from '@core/warnings';
import type { Contour } from '@core/terrain';
import type { Vec3 } from '@core/geometry';
import { proxy } from 'comlink';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { SiteAnswer, SiteResult } from '../workers/site.worker';
import { changedLocations } from '../composables/changed-locations';
import { useFilm } from './film';
import { useFindings } from './findings';
import { useSiteJobs } from '../composables/useSiteJobs';
import { debounceWithMaxWait } from '../composables/debounce';

/** Milliseconds without a change after which a place is looked at, and the longest one waits while changes go on. */
const REST_MS = 90;
const LONGEST_MS = 300;

/** What the places mean to the shots, worked out beside the page. Answers come a moment after a change; the newest question counts. */
export const useSite = defineStore('site', () => {
  const film = useFilm();
  const findings = useFindings();
  const shots = shallowRef<ReadonlyMap<string, SiteResult>>(new Map());
  const busy = shallowRef(false);
  const dirty = new Set<string>();
  const places = new Map<string, readonly Warning[]>();
  const jobs = useSiteJobs();

  const settle = async (): Promise<void> => {
    busy.value = true;
    try {
      // Only what is asked for by now: what is touched meanwhile waits for its own rest, or a held slider would keep this running.
      const asked = [...dirty];
      dirty.clear();
      for (const id of asked) {
        const job = await jobs.of(id);
        const answer: SiteAnswer = job
          ? await jobs.remote().check(
              job,
              job.shots.flatMap((s) => (shots.value.has(s.id) ? [s.id] : [])),
            )
          : { shots: [], place: [] };
        const there = new Set(film.input?.shots.map((s) => s.id));
        const next = new Map([...shots.value].filter(([shotId]) => there.has(shotId)));
        for (const [shotId, result] of answer.shots)
          if (result && there.has(shotId)) next.set(shotId, result);
          else next.delete(shotId);
        shots.value = next;
        places.set(id, answer.place);
        findings.report('site', {
          shots: new Map([...shots.value].map(([shotId, result]) => [shotId, result.warnings])),
          places: new Map(places),
        });
      }
    } finally {
      busy.value = false;
    }
  };

  const rested = debounceWithMaxWait(settle, REST_MS, LONGEST_MS);
  let before: FilmInput | null = null;
  /** Notes the places that could be another now; looks at them once the hand rests, and now and then while it does not. */
  const touched = (): void => {
    const { input } = film;
    if (!input) return;
    for (const id of changedLocations(before, input)) dirty.add(id);
    before = input;
    if (dirty.size === 0) return;
    rested();
  };
  let started = false;
  /** Begins to watch the film; asked for once the first view is there. */
  const start = (): void => {
    if (started) return;
    started = true;
    watch(() => film.input, touched, { immediate: true });
  };

  const factsOf = (shotId: string): SiteShot | null => shots.value.get(shotId)?.site ?? null;

  const launches = async (
    locationId: string,
    about?: { x: number; y: number; halfM: number },
  ): Promise<LaunchIdea[]> => {
    const job = await jobs.of(locationId);
    return job ? jobs.remote().launches(job, about) : [];
  };
  const seen = async (
    locationId: string,
    launch: Vec3,
    heightM: number,
    reachM: number,
    done: (share: number) => void,
  ): Promise<{ cells: Uint8Array; seenShare: number } | null> => {
    const job = await jobs.of(locationId);
    return job ? jobs.remote().seen(job, launch, heightM, reachM, proxy(done)) : null;
  };
  const leaveSeen = (): void => void jobs.remote().leaveSeen();
  const shade = async (locationId: string): Promise<Float32Array | null> => {
    const job = await jobs.of(locationId);
    return job?.groundKey ? jobs.remote().shade(job.groundKey) : null;
  };
  const contours = async (locationId: string): Promise<Contour[]> => {
    const job = await jobs.of(locationId);
    return job?.groundKey ? jobs.remote().contours(job.groundKey) : [];
  };

  return { shots, busy, start, factsOf, launches, seen, leaveSeen, shade, contours };
});
