import { found, none, type Result } from '../units';
import { exposureError, filterStops, flickerSafe, shutterAngle, type Setting } from './equation';
import { isoSteps, SHUTTERS } from './series';

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
  overPerStop: 6, underPerStop: 4, errorPerStop: 1, shortPerStop: 2, longPerStop: 2.5, longStillPerStop: 0.5, offTargetPerStop: 0.3,
  isoPerStop: 0.55, apertureFromSharpPerStop: 0.15, filterChange: 2, flicker: 3,
} as const;

/** Error within which an exposure counts as right, stops. */
export const ERROR_TOLERANCE = 0.5;

const SHARP_APERTURE = 4;

const shutterRegret = (angle: number, task: ExposureTask): number => {
  const off = Math.abs(Math.log2(angle / 180)) * REGRET.offTargetPerStop;
  if (angle < task.bandLowDeg - 0.01) return off + Math.log2(task.bandLowDeg / angle) * REGRET.shortPerStop;
  if (angle > task.bandHighDeg + 0.01) return off + Math.log2(angle / task.bandHighDeg) * (task.still ? REGRET.longStillPerStop : REGRET.longPerStop);
  return off;
};

/** Regret of one setting against a task: the yardstick the solver minimises, so a test can search exhaustively by it. */
export const regretOf = (task: ExposureTask, s: Setting, filterId: string | null): number => {
  const error = exposureError(task.sceneEv100, s) - task.biasStops;
  const beyond = Math.max(0, Math.abs(error) - ERROR_TOLERANCE);
  return Math.abs(error) * REGRET.errorPerStop
    + beyond * (error > 0 ? REGRET.overPerStop : REGRET.underPerStop)
    + shutterRegret(shutterAngle(s.shutterS, task.captureFps), task)
    + Math.max(0, Math.log2(s.iso / task.isoBase)) * REGRET.isoPerStop
    + Math.abs(Math.log2(s.aperture / SHARP_APERTURE)) * 2 * REGRET.apertureFromSharpPerStop
    + (task.flightFilterId !== undefined && filterId !== task.flightFilterId ? REGRET.filterChange : 0)
    + (task.mainsHz !== null && !flickerSafe(s.shutterS, task.mainsHz) ? REGRET.flicker : 0);
};

const options = (task: ExposureTask) => {
  const bare: FilterChoice = { id: null, factor: 1 };
  const filters = [bare, ...task.filters];
  const { fixed } = task;
  return {
    apertures: fixed.aperture === undefined ? task.apertures : [fixed.aperture],
    shutters: fixed.shutterS === undefined ? SHUTTERS.filter((t) => t * task.captureFps <= 1.0001) : [fixed.shutterS],
    isos: fixed.iso === undefined ? isoSteps(task.isoBase, task.isoCeiling) : [fixed.iso],
    filters: fixed.filterId === undefined ? filters : filters.filter((f) => f.id === fixed.filterId),
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

const describe = (task: ExposureTask, s: Setting, filterId: string | null, regret: number): ExposureChoice => {
  const angle = shutterAngle(s.shutterS, task.captureFps);
  return {
    ...s, filterId, regret,
    shutterAngleDeg: angle,
    errorStops: exposureError(task.sceneEv100, s),
    inBand: angle >= task.bandLowDeg - 0.01 && angle <= task.bandHighDeg + 0.01,
    flickers: task.mainsHz !== null && !flickerSafe(s.shutterS, task.mainsHz),
  };
};

/** ISO steps worth trying: those on either side of the one that would expose exactly; the regret is convex in ISO. */
const isoNear = (isos: readonly number[], exact: number): readonly number[] => {
  const above = isos.findIndex((iso) => iso >= exact);
  if (above === -1) return isos.slice(-1);
  return isos.slice(Math.max(0, above - 2), above + 1);
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

/**
 * Chooses aperture, shutter, ISO and filter for a scene: shutter in band first, ISO lowest, highlights safe, no filter change
 * in the air; compromises are weighed on one scale of regret (`REGRET`).
 * @returns the choice, the runner-up with another filter or shutter, and why; or why no choice can be made at all
 */
export const solveExposure = (task: ExposureTask): Result<ExposureAnswer> => {
  const reason = impossible(task);
  if (reason) return none(reason);
  const { apertures, shutters, isos, filters } = options(task);
  if (filters.length === 0) return none('The filter fixed by hand is no longer in the kit.');
  let best: ExposureChoice | null = null;
  let second: ExposureChoice | null = null;
  for (const filter of filters) {
    const ndStops = filterStops(filter.factor);
    for (const shutterS of shutters) {
      let local: { setting: Setting; regret: number } | null = null;
      for (const aperture of apertures) {
        const exact = 100 * 2 ** (Math.log2((aperture * aperture) / shutterS) + ndStops - task.sceneEv100 + task.biasStops);
        for (const iso of isoNear(isos, exact)) {
          const setting = { aperture, shutterS, iso, ndStops };
          const regret = regretOf(task, setting, filter.id);
          if (!local || regret < local.regret) local = { setting, regret };
        }
      }
      if (!local) continue;
      if (!best || local.regret < best.regret) { second = best; best = describe(task, local.setting, filter.id, local.regret); }
      else if (!second || local.regret < second.regret) second = describe(task, local.setting, filter.id, local.regret);
    }
  }
  if (!best) return none('This camera offers no shutter for its frame rate.');
  return found({ choice: best, runnerUp: second, reasons: reasonsFor(task, best) });
};
