import { lightWarnings, placeDay, shotWindow, sunMinutes, weighDates, type DateWeighed, type Film, type LightJob, type LitPlace, type Location, type Reading, type ShotWindow, type Warning } from '@core/film';
import { expose } from 'comlink';

/** A place with its slates as plain data. */
export interface PlaceLightJob {
  readonly preferences: Pick<Film, 'preferences'>;
  readonly location: Location;
  readonly readings: readonly Reading[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly jobs: readonly LightJob[];
}

export interface LightAnswer {
  readonly windows: readonly ShotWindow[];
  readonly warnings: readonly (readonly [shotId: string, told: readonly Warning[]])[];
}

/** Light minute by minute, beside the page. */
const light = {
  check({ preferences, location, readings, fromMs, toMs, jobs }: PlaceLightJob): LightAnswer {
    const day = placeDay(location, preferences).light;
    if (!day) return { windows: [], warnings: [] };
    const lit: LitPlace = { location, day, readings };
    const sky = sunMinutes(lit, fromMs, toMs);
    const looked = jobs.map((job) => ({ job, window: shotWindow(lit, job, sky) }));
    return {
      warnings: looked.map(({ job, window }) => [job.shotId, lightWarnings(lit, job, window, sky)] as const),
      // The single settings stay here: what is asked for over the day is when it works.
      windows: looked.map(({ window }) => ({ ...window, settings: [] })),
    };
  },
  weigh({ preferences, location, jobs }: PlaceLightJob, count: number): DateWeighed[] { return weighDates(preferences, location, jobs, count); },
};

export type LightWorker = typeof light;
expose(light);
