import { message, type Message } from '../messages';
import { found, none, type Result } from '../units';
import { filterStops } from './equation';
import {
  apertureRegret,
  errorRegret,
  filterRegret,
  isoRegret,
  mayBeLong,
  regretOf,
  shutterRegret,
  type ExposureAnswer,
  type ExposureChoice,
  type ExposureTask,
  type FilterChoice,
} from './regret';
import { isoSteps, LONG_SHUTTERS, SHUTTER_STOPS, SHUTTERS } from './series';
import { describeChoice, whyNot, type Found } from './tell';

/** Longest shutter of a still from a hover, s. */
const LONGEST_STILL_S = 0.5;

/** A value of one dial with the stops it adds to the setting's EV and its own regret. */
export interface Notch<T> {
  readonly value: T;
  readonly stops: number;
  readonly regret: number;
}

const cheapestFirst = <T>(notches: Notch<T>[]): Notch<T>[] => notches.sort((a, b) => a.regret - b.regret);

/** Notches of dials that many shots share, by what they depend on. */
const shared = new Map<string, readonly Notch<number>[]>();

const remembered = (key: string, make: () => readonly Notch<number>[]): readonly Notch<number>[] => {
  const known = shared.get(key);
  if (known) return known;
  if (shared.size > 200) shared.clear();
  const made = make();
  shared.set(key, made);
  return made;
};

/** Longest shutter a task allows: a frame of video, half a second for a still, what the interval leaves for a time-lapse. */
export const longestShutter = ({ aim, captureFps }: Pick<ExposureTask, 'aim' | 'captureFps'>): number =>
  aim?.by === 'at-most' ? LONGEST_STILL_S : aim?.by === 'about' ? aim.mostS : 1 / captureFps;

/** All that a task's shutters, and what each of them costs, depend on. */
export const shutterKey = (task: ExposureTask): string => {
  const { aim } = task;
  return `${task.captureFps}|${task.bandLowDeg}|${task.bandHighDeg}|${task.mainsHz}|${mayBeLong(task)}|${aim && aim.by !== 'angle' ? `${aim.by}${aim.seconds}` : ''}|${longestShutter(task)}`;
};

const shutterNotches = (task: ExposureTask): readonly Notch<number>[] => {
  const { fixed } = task;
  const notch = (t: number): Notch<number> => ({
    value: t,
    stops: SHUTTER_STOPS.get(t) ?? -Math.log2(t),
    regret: shutterRegret(t, task),
  });
  if (fixed.shutterS !== undefined) return [notch(fixed.shutterS)];
  const mostS = longestShutter(task);
  return remembered(`shutter|${shutterKey(task)}`, () =>
    cheapestFirst([...LONG_SHUTTERS, ...SHUTTERS].filter((t) => t <= mostS * 1.0001).map(notch)),
  );
};

const isoNotches = (task: ExposureTask): readonly Notch<number>[] => {
  const { fixed, isoBase, isoCeiling } = task;
  const notch = (iso: number): Notch<number> => ({
    value: iso,
    stops: -Math.log2(iso / 100),
    regret: isoRegret(iso, task),
  });
  if (fixed.iso !== undefined) return [notch(fixed.iso)];
  return remembered(`iso|${isoBase}|${isoCeiling}`, () => isoSteps(isoBase, isoCeiling).map(notch));
};

/** The dials of a task, each cheapest first, hand choices leaving one notch. */
export const dials = (task: ExposureTask) => {
  const { fixed } = task;
  const filters = [{ id: null, factor: 1 } as FilterChoice, ...task.filters];
  return {
    filters: cheapestFirst(
      (fixed.filterId === undefined ? filters : filters.filter((f) => f.id === fixed.filterId)).map((f) => {
        const stops = filterStops(f.factor);
        return { value: f.id, stops, regret: filterRegret(f.id, stops, task) };
      }),
    ),
    shutters: shutterNotches(task),
    apertures: cheapestFirst(
      (fixed.aperture === undefined ? task.apertures : [fixed.aperture]).map((n) => ({
        value: n,
        stops: 2 * Math.log2(n),
        regret: apertureRegret(n, task),
      })),
    ),
    isos: isoNotches(task),
  };
};

type Dials = ReturnType<typeof dials>;

const impossible = (task: ExposureTask): Message | null => {
  if (!Number.isFinite(task.sceneEv100)) return message('exposure.none.light');
  if (task.apertures.length === 0) return message('exposure.none.aperture');
  if (!(task.isoBase > 0) || task.isoCeiling < task.isoBase) return message('exposure.none.iso');
  if (task.filters.some((f) => !(f.factor >= 1))) return message('exposure.none.factor');
  if (!(task.captureFps > 0)) return message('exposure.none.rate');
  return null;
};

/** Cheapest aperture and ISO for one filter and shutter, if any beats a limit. */
const cheapestWithin = (
  task: ExposureTask,
  d: Dials,
  filter: Notch<string | null>,
  shutter: Notch<number>,
  limit: number,
): Found | null => {
  const wanted = task.sceneEv100 - task.biasStops - filter.stops - shutter.stops;
  const outer = filter.regret + shutter.regret;
  let local: Found | null = null;
  for (const aperture of d.apertures)
    for (const iso of d.isos) {
      const top: number = local?.regret ?? limit;
      const base = outer + aperture.regret + iso.regret;
      if (base >= top) break;
      const regret = base + errorRegret(wanted - aperture.stops - iso.stops);
      if (regret < top)
        local = {
          regret,
          filterId: filter.value,
          ndStops: filter.stops,
          shutterS: shutter.value,
          aperture: aperture.value,
          iso: iso.value,
        };
    }
  return local;
};

/** Best setting alone. @param start one that is known already: only better ones are looked for */
const searchBest = (task: ExposureTask, d: Dials, start: Found | null = null): Found | null => {
  let best: Found | null = start;
  for (const filter of d.filters)
    for (const shutter of d.shutters) {
      const limit: number = best?.regret ?? Infinity;
      if (filter.regret + shutter.regret >= limit) break;
      best = cheapestWithin(task, d, filter, shutter, limit) ?? best;
    }
  return best;
};

/**
 * One camera for many lights: its dials are laid out once.
 * @returns what `solveExposure` would choose for a scene and the mains its lamps run on; null where it has no answer
 */
export const prepareExposure = (
  task: ExposureTask,
): ((sceneEv100: number, mainsHz: number | null) => ExposureChoice | null) => {
  if (impossible({ ...task, sceneEv100: 0 })) return () => null;
  const laidOut = new Map<number, Dials>();
  // One task that is set anew for each light: thousands of copies a second cost more than the search.
  const now: { -readonly [K in keyof ExposureTask]: ExposureTask[K] } = { ...task };
  // From minute to minute little changes: the last choice, weighed anew, cuts off most of the search.
  let last: Found | null = null;
  return (sceneEv100, mainsHz) => {
    now.sceneEv100 = sceneEv100;
    now.mainsHz = mainsHz;
    const like = 2 * (mainsHz ?? 0) + (mayBeLong(now) ? 1 : 0);
    let d = laidOut.get(like);
    if (!d) laidOut.set(like, (d = dials(now)));
    const allowed =
      last && last.shutterS <= longestShutter(now) * 1.0001
        ? {
            aperture: last.aperture,
            shutterS: last.shutterS,
            iso: last.iso,
            ndStops: last.ndStops,
            filterId: last.filterId,
            regret: regretOf(now, last, last.filterId),
          }
        : null;
    last = searchBest(now, d, allowed);
    return last && describeChoice(now, last);
  };
};

/** Best and second-best setting; the second with another filter or shutter. Dials are cheapest first, so hopeless ends are cut off. */
const search = (task: ExposureTask, d: Dials): { best: Found | null; second: Found | null } => {
  let best: Found | null = null;
  let second: Found | null = null;
  for (const filter of d.filters)
    for (const shutter of d.shutters) {
      const limit: number = second?.regret ?? Infinity;
      if (filter.regret + shutter.regret >= limit) break;
      const local = cheapestWithin(task, d, filter, shutter, limit);
      if (!local) continue;
      if (!best || local.regret < best.regret) {
        second = best;
        best = local;
      } else second = local;
    }
  return { best, second };
};

/**
 * Chooses aperture, shutter, ISO and filter for a scene: shutter in band first, ISO lowest, highlights safe, no filter change
 * in the air; compromises are weighed on one scale of regret (`REGRET`).
 * @returns the choice (`runnerUpOf`, `whyFor` and `reasonsFor` tell more when somebody looks); or why no choice can be made at all
 */
export const solveExposure = (task: ExposureTask): Result<ExposureAnswer, Message> => {
  const reason = impossible(task);
  if (reason) return none(reason);
  const choices = dials(task);
  if (choices.filters.length === 0) return none(message('exposure.none.filter'));
  const best = searchBest(task, choices);
  if (!best) return none(message('exposure.none.shutter'));
  return found({ task, choice: describeChoice(task, best) });
};

/** The best setting with another filter or shutter than the one chosen; null where there is none. */
export const runnerUpOf = ({ task }: ExposureAnswer): ExposureChoice | null => {
  const { second } = search(task, dials(task));
  return second && describeChoice(task, second);
};

/** Why this and not the next best, in one sentence. */
export const whyFor = (answer: ExposureAnswer): Message => whyNot(answer, runnerUpOf(answer));
