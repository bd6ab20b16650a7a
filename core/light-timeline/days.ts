import { addDays } from '../time';
import { moonAt, moonPhase, sunAt, type LightDay, type MoonPhase } from '../light';
import { locationDay } from '../day';
import type { Film, Location } from '../model';
import { locationLight } from '../shot';
import type { LightJob } from './job';
import { sunMinutes, wishedIn } from './window';

/** A date weighed for a place's shots. */
export interface DateWeighed {
  readonly date: string;
  readonly day: LightDay;
  /** Shots whose light comes in the window for as long as they take. */
  readonly served: number;
  /** Minutes of wanted light in the window, over all shots. */
  readonly wantedMin: number;
  readonly moon: MoonPhase;
  /** Moon height in the middle of the window, deg. */
  readonly moonDeg: number;
  /** Sun height at both ends of the window, deg. */
  readonly sunFromDeg: number;
  readonly sunToDeg: number;
}

/** Weighs a date and those after it for the shots of a place: same hours on the clock, same sky. Readings do not carry over. */
export const weighDates = (
  film: Pick<Film, 'preferences'>,
  location: Location,
  jobs: readonly LightJob[],
  count: number,
): DateWeighed[] =>
  Array.from({ length: count }, (_, i) => {
    const at = { ...location, date: addDays(location.date, i) };
    const { light, windowFromMs, windowToMs } = locationDay(at, film);
    if (!light) return [];
    const lit = locationLight(at, light, [], film.preferences);
    const sky = sunMinutes(lit, windowFromMs, windowToMs);
    const wished = jobs.map((job) => {
      const lengths = wishedIn(lit, job, sky).map((s) => s.toMs - s.fromMs);
      return { job, ms: lengths.reduce((sum, ms) => sum + ms, 0), longest: Math.max(0, ...lengths) };
    });
    const middle = (windowFromMs + windowToMs) / 2;
    const altitude = (ms: number): number => sunAt(ms, at.latitude, at.longitude).altitudeDeg;
    return [
      {
        date: at.date,
        day: light,
        served: wished.filter((w) => w.longest >= w.job.airS * 1000).length,
        wantedMin: wished.reduce((sum, w) => sum + w.ms, 0) / 60_000,
        moon: moonPhase(middle),
        moonDeg: moonAt(middle, at.latitude, at.longitude).altitudeDeg,
        sunFromDeg: altitude(windowFromMs),
        sunToDeg: altitude(windowToMs),
      },
    ];
  }).flat();

/** The date that serves most shots, then has most minutes of their light; the earliest of equals. */
export const bestDate = (dates: readonly DateWeighed[]): DateWeighed | null =>
  dates.reduce<DateWeighed | null>(
    (best, d) =>
      !best || d.served > best.served || (d.served === best.served && d.wantedMin > best.wantedMin + 0.5)
        ? d
        : best,
    null,
  );
