import { found, none, type Result } from '../units';
import { exposureError, filterStops, flickerSafe, shutterAngle, type Setting } from './equation';
import { isoSteps, SHUTTER_STOPS, SHUTTERS } from './series';

export interface FilterChoice {
  /** null is the bare lens. */
  readonly id: string | null;
  readonly factor: number;
}

/** Choices a person fixed by hand; undefined leaves the solver free. */
export interface FixedChoices {
  readonly aperture?: number | undefined;
  readonly shutterS?: number | undefined;
  readonly iso?: number | undefined;
  readonly filterId?: string | null | undefined;
}

export interface ExposureTask {
  readonly sceneEv100: number;
  readonly apertures: readonly number[];
  readonly isoBase: number;
  readonly isoCeiling: number;
  /** Filters in the kit; the bare lens is always a choice besides. */
  readonly filters: readonly FilterChoice[];
  readonly captureFps: number;
  readonly bandLowDeg: number;
  readonly bandHighDeg: number;
  /** Wanted error, stops; negative keeps highlights safe. */
  readonly biasStops: number;
  /** Mains frequency where lamps light the scene; null where they do not. */
  readonly mainsHz: number | null;
  /** The frame stands nearly still, so a shutter up to 360° costs little. */
  readonly still: boolean;
  readonly fixed: FixedChoices;
  /** Filter already on the lens in this flight; undefined before the first shot. */
  readonly flightFilterId?: string | null | undefined;
}

export interface ExposureChoice extends Setting {
  readonly filterId: string | null;
  readonly shutterAngleDeg: number;
  /** Stops over (+) or under (−). */
  readonly errorStops: number;
  readonly inBand: boolean;
  readonly flickers: boolean;
  /** Regret on one scale, stops; lower is better. */
  readonly regret: number;
}

export interface ExposureAnswer {
  readonly choice: ExposureChoice;
  /** Best choice with another filter or shutter. */
  readonly runnerUp: ExposureChoice | null;
  readonly reasons: readonly string[];
}

/** What each kind of compromise costs, in stops of regret per unit. */
export const REGRET = {
  overPerStop: 6, underPerStop: 4, errorPerStop: 1, shortPerStop: 2, longPerStop: 2.5, longStill: 0.3, offTargetPerStop: 0.3, outOfBand: 0.6,
  isoPerStop: 0.55, apertureFromSharpPerStop: 0.15, filterChange: 2, flicker: 3,
} as const;

/** Error within which an exposure counts as right, stops. */
export const ERROR_TOLERANCE = 0.5;

const SHARP_APERTURE = 4;

const shutterRegret = (shutterS: number, task: ExposureTask): number => {
  const angle = shutterAngle(shutterS, task.captureFps);
  const off = Math.abs(Math.log2(angle / 180)) * REGRET.offTargetPerStop
    + (task.mainsHz !== null && !flickerSafe(shutterS, task.mainsHz) ? REGRET.flicker : 0);
  if (angle < task.bandLowDeg - 0.01) return off + REGRET.outOfBand + Math.log2(task.bandLowDeg / angle) * REGRET.shortPerStop;
  if (angle > task.bandHighDeg + 0.01) {
    if (task.still) return REGRET.longStill;
    return off + REGRET.outOfBand + Math.log2(angle / task.bandHighDeg) * REGRET.longPerStop;
  }
  return off;
};

const errorRegret = (error: number): number => {
  const beyond = Math.max(0, Math.abs(error) - ERROR_TOLERANCE);
  return Math.abs(error) * REGRET.errorPerStop + beyond * (error > 0 ? REGRET.overPerStop : REGRET.underPerStop);
};

const isoRegret = (iso: number, task: ExposureTask): number => Math.max(0, Math.log2(iso / task.isoBase)) * REGRET.isoPerStop;

const apertureRegret = (aperture: number): number => Math.abs(Math.log2(aperture / SHARP_APERTURE)) * 2 * REGRET.apertureFromSharpPerStop;

const filterRegret = (filterId: string | null, task: ExposureTask): number =>
  (task.flightFilterId !== undefined && filterId !== task.flightFilterId ? REGRET.filterChange : 0);

/** Regret of one setting against a task: the yardstick the solver minimises, so a test can search exhaustively by it. */
export const regretOf = (task: ExposureTask, s: Setting, filterId: string | null): number =>
  errorRegret(exposureError(task.sceneEv100, s) - task.biasStops)
  + shutterRegret(s.shutterS, task) + isoRegret(s.iso, task) + apertureRegret(s.aperture) + filterRegret(filterId, task);

/** A value of one dial with the stops it adds to the setting's EV and its own regret. */
interface Notch<T> {
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

const shutterNotches = (task: ExposureTask): readonly Notch<number>[] => {
  const { fixed, captureFps, bandLowDeg, bandHighDeg, mainsHz, still } = task;
  const notch = (t: number): Notch<number> => ({ value: t, stops: SHUTTER_STOPS.get(t) ?? -Math.log2(t), regret: shutterRegret(t, task) });
  if (fixed.shutterS !== undefined) return [notch(fixed.shutterS)];
  return remembered(`shutter|${captureFps}|${bandLowDeg}|${bandHighDeg}|${mainsHz}|${still}`,
    () => cheapestFirst(SHUTTERS.filter((t) => t * captureFps <= 1.0001).map(notch)));
};

const isoNotches = (task: ExposureTask): readonly Notch<number>[] => {
  const { fixed, isoBase, isoCeiling } = task;
  const notch = (iso: number): Notch<number> => ({ value: iso, stops: -Math.log2(iso / 100), regret: isoRegret(iso, task) });
  if (fixed.iso !== undefined) return [notch(fixed.iso)];
  return remembered(`iso|${isoBase}|${isoCeiling}`, () => isoSteps(isoBase, isoCeiling).map(notch));
};

/** The dials of a task, each cheapest first, hand choices leaving one notch. */
const dials = (task: ExposureTask) => {
  const { fixed } = task;
  const filters = [{ id: null, factor: 1 } as FilterChoice, ...task.filters];
  return {
    filters: cheapestFirst((fixed.filterId === undefined ? filters : filters.filter((f) => f.id === fixed.filterId))
      .map((f) => ({ value: f.id, stops: filterStops(f.factor), regret: filterRegret(f.id, task) }))),
    shutters: shutterNotches(task),
    apertures: cheapestFirst((fixed.aperture === undefined ? task.apertures : [fixed.aperture])
      .map((n) => ({ value: n, stops: 2 * Math.log2(n), regret: apertureRegret(n) }))),
    isos: isoNotches(task),
  };
};

const impossible = (task: ExposureTask): string | null => {
  if (!Number.isFinite(task.sceneEv100)) return 'There is no light figure for this moment.';
  if (task.apertures.length === 0) return 'This camera has no aperture entered.';
  if (!(task.isoBase > 0) || task.isoCeiling < task.isoBase) return 'The ISO range of this camera runs backwards: base must not be above the ceiling.';
  if (task.filters.some((f) => !(f.factor >= 1))) return 'A filter in the kit has a factor under 1.';
  if (!(task.captureFps > 0)) return 'The recording mode has no frame rate.';
  return null;
};

/** A setting found, with its filter and regret. */
interface Found extends Setting {
  readonly filterId: string | null;
  readonly regret: number;
}

const describe = (task: ExposureTask, s: Found): ExposureChoice => {
  const angle = shutterAngle(s.shutterS, task.captureFps);
  return {
    aperture: s.aperture, shutterS: s.shutterS, iso: s.iso, ndStops: s.ndStops, filterId: s.filterId, regret: s.regret,
    shutterAngleDeg: angle,
    errorStops: exposureError(task.sceneEv100, s),
    inBand: angle >= task.bandLowDeg - 0.01 && angle <= task.bandHighDeg + 0.01,
    flickers: task.mainsHz !== null && !flickerSafe(s.shutterS, task.mainsHz),
  };
};

const reasonsFor = (task: ExposureTask, c: ExposureChoice): string[] => {
  const reasons: string[] = [];
  const off = c.errorStops - task.biasStops;
  if (off > ERROR_TOLERANCE) reasons.push(`Still ${c.errorStops.toFixed(1)} stops over: highlights clip. A stronger filter is missing.`);
  else if (off < -ERROR_TOLERANCE) reasons.push(`${Math.abs(c.errorStops).toFixed(1)} stops under: ${c.iso >= task.isoCeiling ? 'the ISO ceiling is reached, it is too dark' : 'the hand choice darkens it'}.`);
  else reasons.push('Exposed for the light at the planned minute, highlights kept.');
  if (c.inBand) reasons.push(`Shutter at ${c.shutterAngleDeg.toFixed(0)}°, inside the wanted ${task.bandLowDeg}–${task.bandHighDeg}°.`);
  else if (c.shutterAngleDeg < task.bandLowDeg) reasons.push(`Shutter at ${c.shutterAngleDeg.toFixed(0)}°: short, movement will stutter.`);
  else reasons.push(`Shutter at ${c.shutterAngleDeg.toFixed(0)}°: long, ${task.still ? 'which a nearly still frame forgives' : 'movement will smear'}.`);
  if (c.iso > task.isoBase) reasons.push(`ISO raised to ${c.iso}: shadows get grainier.`);
  if (c.flickers && task.mainsHz !== null) reasons.push(`Lamps on ${task.mainsHz} Hz will flicker at this shutter.`);
  if (task.flightFilterId !== undefined && c.filterId !== task.flightFilterId) reasons.push('Needs another filter than the shot before: land to change it.');
  return reasons;
};

/** Cheapest aperture and ISO for one filter and shutter, if any beats a limit. */
const cheapestWithin = (task: ExposureTask, d: ReturnType<typeof dials>, filter: Notch<string | null>, shutter: Notch<number>, limit: number): Found | null => {
  const wanted = task.sceneEv100 - task.biasStops - filter.stops - shutter.stops;
  const outer = filter.regret + shutter.regret;
  let local: Found | null = null;
  for (const aperture of d.apertures) for (const iso of d.isos) {
    const top: number = local?.regret ?? limit;
    const base = outer + aperture.regret + iso.regret;
    if (base >= top) break;
    const regret = base + errorRegret(wanted - aperture.stops - iso.stops);
    if (regret < top) local = { regret, filterId: filter.value, ndStops: filter.stops, shutterS: shutter.value, aperture: aperture.value, iso: iso.value };
  }
  return local;
};

/** Best and second-best setting; the second with another filter or shutter. Dials are cheapest first, so hopeless ends are cut off. */
const search = (task: ExposureTask, d: ReturnType<typeof dials>): { best: Found | null; second: Found | null } => {
  let best: Found | null = null;
  let second: Found | null = null;
  for (const filter of d.filters) for (const shutter of d.shutters) {
    const limit: number = second?.regret ?? Infinity;
    if (filter.regret + shutter.regret >= limit) break;
    const local = cheapestWithin(task, d, filter, shutter, limit);
    if (!local) continue;
    if (!best || local.regret < best.regret) { second = best; best = local; } else second = local;
  }
  return { best, second };
};

/**
 * Chooses aperture, shutter, ISO and filter for a scene: shutter in band first, ISO lowest, highlights safe, no filter change
 * in the air; compromises are weighed on one scale of regret (`REGRET`).
 * @returns the choice, the runner-up with another filter or shutter, and why; or why no choice can be made at all
 */
export const solveExposure = (task: ExposureTask): Result<ExposureAnswer> => {
  const reason = impossible(task);
  if (reason) return none(reason);
  const choices = dials(task);
  if (choices.filters.length === 0) return none('The filter fixed by hand is no longer in the kit.');
  const { best, second } = search(task, choices);
  if (!best) return none('This camera offers no shutter for its frame rate.');
  const choice = describe(task, best);
  return found({ choice, runnerUp: second && describe(task, second), reasons: reasonsFor(task, choice) });
};
