import { lightWarnings, type Warning } from '@core/warnings';
import { locationDay } from '@core/day';
import {
  shotWindow,
  sunMinutes,
  weighDates,
  type DateWeighed,
  type LightJob,
  type ShotWindow,
  type SunMinutes,
} from '@core/light-timeline';
import type { Film, Location, Reading } from '@core/model';
import { locationLight } from '@core/shot';
import { expose } from 'comlink';
import { Answers } from './answers';

/** A place with its shots as plain data. */
export interface PlaceLightJob {
  readonly preferences: Pick<Film, 'preferences'>;
  readonly location: Location;
  readonly readings: readonly Reading[];
  readonly fromMs: number;
  readonly toMs: number;
  readonly jobs: readonly LightJob[];
}

/** Light of a shot over the minutes of its place. */
export interface LightResult {
  readonly window: ShotWindow;
  readonly warnings: readonly Warning[];
}

/** Shots the page lacks the answer for. */
export type LightAnswer = readonly (readonly [shotId: string, result: LightResult])[];

const found = new Answers<LightResult>();

/** Light minute by minute, beside the page. */
const light = {
  check(
    { preferences, location, readings, fromMs, toMs, jobs }: PlaceLightJob,
    held: readonly string[],
  ): LightAnswer {
    const day = locationDay(location, preferences).light;
    if (!day) return [];
    const lit = locationLight(location, day, readings, preferences.preferences);
    const about = JSON.stringify([preferences, location, readings, fromMs, toMs]);
    let sky: SunMinutes | null = null;
    return found.fresh(
      jobs,
      (job) => job.shotId,
      (job) => about + JSON.stringify(job),
      (job) => {
        sky ??= sunMinutes(lit, fromMs, toMs);
        const window = shotWindow(lit, job, sky);
        // The single settings stay here: what is asked for over the day is when it works.
        return { window: { ...window, settings: [] }, warnings: lightWarnings(lit, job, window, sky) };
      },
      new Set(held),
    );
  },
  weigh({ preferences, location, jobs }: PlaceLightJob, count: number): DateWeighed[] {
    return weighDates(preferences, location, jobs, count);
  },
};

export type LightWorker = typeof light;
expose(light);
