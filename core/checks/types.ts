import { listed, type ListValue, type Message, type MessageValue } from '../messages';
import type { DerivedFilm, DerivedShot } from '../film';
import type { FilmInput, CheckMoment } from '../model';
import type { LocationPlan, TimedFlight } from '../day';
import type { Warning } from '../warnings';

/** What a check is asked about: a day, a place of it, a flight, a shot before its take. */
export type CheckScope = 'day' | 'place' | 'flight' | 'take';

/** Everything a check may look at. The kit is what comes along. */
export interface Context {
  readonly input: FilmInput;
  readonly derived: DerivedFilm;
  readonly date: string;
  /** Places of the date, in their order. */
  readonly places: readonly LocationPlan[];
  readonly place: LocationPlan;
  readonly flight: TimedFlight | null;
  readonly shot: DerivedShot | null;
  /** What was found about the site of the place and its shots, beside the reckoning; null until it was looked at. */
  readonly site: readonly Warning[] | null;
  /** Now; checks that tell the time of day need it. */
  readonly nowMs: number;
}

/** What a check found by itself. 'care' is to be known and does not hold anybody up. */
export interface CheckResult {
  readonly verdict: 'pass' | 'care' | 'fail';
  readonly say: Message;
}

/** Something that is looked at at a moment. With `look` it works itself out; without, a person is asked. */
export interface Check {
  readonly code: string;
  readonly moment: CheckMoment;
  readonly scope: CheckScope;
  /** What is to be looked at, as one reads it aloud; may name what is planned. */
  readonly prompt: Message | ((c: Context) => Message);
  /** What it keeps from happening. */
  readonly protects: Message;
  /** A person, an aircraft or footage is at stake. */
  readonly safety: boolean;
  /** null where there is nothing to look at here: the check is left out. */
  readonly evaluate?: (c: Context) => CheckResult | null;
  /** Left out where it says no; for what a person is asked. */
  readonly applies?: (c: Context) => boolean;
}

export const pass = (say: Message): CheckResult => ({ verdict: 'pass', say });
export const care = (say: Message): CheckResult => ({ verdict: 'care', say });
export const fail = (say: Message): CheckResult => ({ verdict: 'fail', say });

/** Names in a row, the first few of many. */
export const some = (names: readonly MessageValue[], most = 4): ListValue => listed(names, most);

/** Flights of the day. */
export const flightsOf = (c: Context): TimedFlight[] => c.places.flatMap((p) => [...p.flights]);

/** Shots of the day, or of the place. */
export const shotsOf = (c: Context, here = false): DerivedShot[] => {
  const ids = new Set(here ? [c.place.location.id] : c.places.map((p) => p.location.id));
  // What is done asks for nothing more.
  return [...c.derived.shots.values()].filter((s) => ids.has(s.facts.location.id) && !s.done);
};

/** Aircraft of the flight, or of the shots of the day; of those of the place alone where `here`. */
export const aircraftOf = (c: Context, here = false): FilmInput['kit']['aircraft'] => {
  const ids = new Set(c.flight ? [c.flight.aircraftId] : shotsOf(c, here).map((s) => s.facts.aircraft?.id));
  return c.input.kit.aircraft.filter((a) => ids.has(a.id) && !a.retired);
};
