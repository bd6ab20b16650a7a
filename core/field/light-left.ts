import type { LocationPlan } from '../day';
import type { DerivedShot } from '../film';
import { lightJob, sunMinutes, wishedIn } from '../light-timeline';
import type { FilmInput } from '../model';
import { locationLight } from '../shot';

/** The light a shot wants, as it stands at a minute. */
export type LightLeft =
  /** It is there, and goes at an instant. */
  | { readonly state: 'now'; readonly toMs: number }
  /** It comes at an instant. */
  | { readonly state: 'later'; readonly fromMs: number }
  | { readonly state: 'gone' };

/**
 * The light a shot wants, from a minute on to the end of the window of its location; null where the shot takes any light, or
 * nothing is known of it.
 */
export const lightLeft = (
  input: Pick<FilmInput, 'kit' | 'readings' | 'film'>,
  place: LocationPlan,
  shot: DerivedShot,
  nowMs: number,
): LightLeft | null => {
  if (shot.facts.shot.wants === 'any' || !place.light || !(place.windowToMs > place.windowFromMs))
    return null;
  const job = lightJob(shot, input.kit);
  if (!job) return null;
  const lit = locationLight(place.location, place.light, input.readings, input.film.preferences);
  const all = wishedIn(lit, job, sunMinutes(lit, place.windowFromMs, place.windowToMs));
  const next = all.find((s) => s.toMs > nowMs);
  if (!next) return { state: 'gone' };
  return next.fromMs <= nowMs ? { state: 'now', toMs: next.toMs } : { state: 'later', fromMs: next.fromMs };
};
