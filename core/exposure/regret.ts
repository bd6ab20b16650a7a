import { exposureError, flickerSafe, shutterAngle, type Setting } from './equation';

export interface FilterChoice {
  /** null is the bare lens. A variable filter is offered once for each mark it is set to. */
  readonly id: string | null;
  readonly factor: number;
  /** What it costs to use it where another would do: a polariser changes the sky, a variable one tints. Stops of regret. */
  readonly cost?: number;
}

/** What a shutter is aimed at where it is not an angle: a still has none, a time-lapse an interval. */
export type ShutterAim =
  | { readonly by: 'angle' }
  /** Short enough that nothing blurs. */
  | { readonly by: 'at-most'; readonly seconds: number }
  /** About so long, so that movement flows from frame to frame; never longer than the interval leaves. */
  | { readonly by: 'about'; readonly seconds: number; readonly mostS: number };

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
  /** Filter the flight is flown with; undefined where that is free. */
  readonly flightFilterId?: string | null | undefined;
  /** Stops it is set to, where it is a variable one. */
  readonly flightStops?: number | undefined;
  /** f-numbers between which the lens is sharp; about f/4 where left out. */
  readonly sharp?: readonly [from: number, to: number] | undefined;
  /** An angle in the band unless told otherwise. */
  readonly aim?: ShutterAim | undefined;
}

/** What is wrong with a choice: to be marked where it was made by hand. */
export type ExposureMark = 'clips' | 'dark' | 'strobes' | 'smears' | 'flickers';

export interface ExposureChoice extends Setting {
  readonly filterId: string | null;
  readonly shutterAngleDeg: number;
  /** Stops over (+) or under (−). */
  readonly errorStops: number;
  readonly inBand: boolean;
  readonly flickers: boolean;
  /** Regret on one scale, stops; lower is better. */
  readonly regret: number;
  /** The part of it that is look, not light: shutter, ISO, aperture, filter. */
  readonly lookCost: number;
  readonly marks: readonly ExposureMark[];
}

export interface ExposureAnswer {
  readonly choice: ExposureChoice;
  /** What was asked, so that the answer can be put in words when somebody looks at it. */
  readonly task: ExposureTask;
}

/** What each kind of compromise costs, in stops of regret per unit. */
export const REGRET = {
  overPerStop: 6,
  underPerStop: 4,
  errorPerStop: 1,
  shortPerStop: 2,
  longPerStop: 2.5,
  longStill: 0.3,
  offTargetPerStop: 0.3,
  outOfBand: 0.6,
  isoPerStop: 0.55,
  apertureFromSharpPerStop: 0.15,
  outOfSharpPerStop: 0.4,
  filterChange: 2,
  flicker: 3,
} as const;

/** Error within which an exposure counts as right, stops. */
export const ERROR_TOLERANCE = 0.5;

/** Where a lens of unknown sharpness is taken to be sharpest. */
const SHARP_APERTURE = 4;

/** Brighter than this a longer shutter than the band is never worth it, EV100: there are filters for that. */
const DARK_EV = 8;

/** Whether a shutter up to 360° may take the place of more ISO: the frame stands nearly still and it is dark. */
export const mayBeLong = (task: Pick<ExposureTask, 'still' | 'sceneEv100'>): boolean =>
  task.still && task.sceneEv100 < DARK_EV;

const aimedRegret = (shutterS: number, aim: Exclude<ShutterAim, { by: 'angle' }>): number => {
  if (aim.by === 'at-most') return Math.max(0, Math.log2(shutterS / aim.seconds)) * REGRET.longPerStop;
  return Math.abs(Math.log2(shutterS / aim.seconds)) * REGRET.offTargetPerStop;
};

export const shutterRegret = (shutterS: number, task: ExposureTask): number => {
  if (task.aim && task.aim.by !== 'angle')
    return (
      aimedRegret(shutterS, task.aim) +
      (task.mainsHz !== null && !flickerSafe(shutterS, task.mainsHz) ? REGRET.flicker / 3 : 0)
    );
  const angle = shutterAngle(shutterS, task.captureFps);
  const off =
    Math.abs(Math.log2(angle / 180)) * REGRET.offTargetPerStop +
    (task.mainsHz !== null && !flickerSafe(shutterS, task.mainsHz) ? REGRET.flicker : 0);
  if (angle < task.bandLowDeg - 0.01)
    return off + REGRET.outOfBand + Math.log2(task.bandLowDeg / angle) * REGRET.shortPerStop;
  if (angle > task.bandHighDeg + 0.01) {
    if (mayBeLong(task)) return REGRET.longStill;
    return off + REGRET.outOfBand + Math.log2(angle / task.bandHighDeg) * REGRET.longPerStop;
  }
  return off;
};

/** Stops a choice comes out brighter than is wanted, below 0 darker: what is wanted may itself lie beside the middle. */
export const missStops = (task: ExposureTask, c: Pick<ExposureChoice, 'errorStops'>): number =>
  c.errorStops - task.biasStops;

export const errorRegret = (error: number): number => {
  const beyond = Math.max(0, Math.abs(error) - ERROR_TOLERANCE);
  return (
    Math.abs(error) * REGRET.errorPerStop + beyond * (error > 0 ? REGRET.overPerStop : REGRET.underPerStop)
  );
};

export const isoRegret = (iso: number, task: ExposureTask): number =>
  Math.max(0, Math.log2(iso / task.isoBase)) * REGRET.isoPerStop;

export const apertureRegret = (aperture: number, task: Pick<ExposureTask, 'sharp'>): number => {
  const [from, to] = task.sharp ?? [SHARP_APERTURE, SHARP_APERTURE];
  const stops = 2 * Math.log2(aperture / Math.sqrt(from * to));
  const outside = task.sharp ? Math.max(0, 2 * Math.log2(aperture / to), 2 * Math.log2(from / aperture)) : 0;
  return Math.abs(stops) * REGRET.apertureFromSharpPerStop + outside * REGRET.outOfSharpPerStop;
};

const SAME_STOPS = 0.01;

/** Regret of a filter in itself, and of having to land for it. */
export const filterRegret = (filterId: string | null, stops: number, task: ExposureTask): number => {
  const other =
    task.flightFilterId !== undefined &&
    (filterId !== task.flightFilterId ||
      (task.flightStops !== undefined && Math.abs(stops - task.flightStops) > SAME_STOPS));
  const cost = filterId === null ? 0 : (task.filters.find((f) => f.id === filterId)?.cost ?? 0);
  return cost + (other ? REGRET.filterChange : 0);
};

/** Regret of one setting against a task: the yardstick the solver minimises, so a test can search exhaustively by it. */
export const regretOf = (task: ExposureTask, s: Setting, filterId: string | null): number =>
  errorRegret(exposureError(task.sceneEv100, s) - task.biasStops) +
  shutterRegret(s.shutterS, task) +
  isoRegret(s.iso, task) +
  apertureRegret(s.aperture, task) +
  filterRegret(filterId, s.ndStops, task);
