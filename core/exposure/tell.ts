import { exposureError, flickerSafe, shutterAngle, type Setting } from './equation';
import {
  ERROR_TOLERANCE,
  errorRegret,
  mayBeLong,
  type ExposureAnswer,
  type ExposureChoice,
  type ExposureMark,
  type ExposureTask,
} from './regret';

/** A setting found, with its filter and regret. */
export interface Found extends Setting {
  readonly filterId: string | null;
  readonly regret: number;
}

const byAngle = (task: ExposureTask): boolean => !task.aim || task.aim.by === 'angle';

const marksOf = (task: ExposureTask, angleDeg: number, off: number, flickers: boolean): ExposureMark[] => [
  ...(off > ERROR_TOLERANCE ? ['clips' as const] : off < -ERROR_TOLERANCE ? ['dark' as const] : []),
  ...(byAngle(task) && angleDeg < task.bandLowDeg - 0.01 ? ['strobes' as const] : []),
  ...(byAngle(task) && angleDeg > task.bandHighDeg + 0.01 && !mayBeLong(task) ? ['smears' as const] : []),
  ...(flickers ? ['flickers' as const] : []),
];

/** A setting with everything worth knowing about it. */
export const describeChoice = (task: ExposureTask, s: Found): ExposureChoice => {
  const shutterAngleDeg = shutterAngle(s.shutterS, task.captureFps);
  const errorStops = exposureError(task.sceneEv100, s);
  const off = errorStops - task.biasStops;
  const flickers = task.mainsHz !== null && !flickerSafe(s.shutterS, task.mainsHz);
  return {
    aperture: s.aperture,
    shutterS: s.shutterS,
    iso: s.iso,
    ndStops: s.ndStops,
    filterId: s.filterId,
    regret: s.regret,
    shutterAngleDeg,
    errorStops,
    flickers,
    inBand:
      !byAngle(task) ||
      (shutterAngleDeg >= task.bandLowDeg - 0.01 && shutterAngleDeg <= task.bandHighDeg + 0.01),
    lookCost: s.regret - errorRegret(off),
    marks: marksOf(task, shutterAngleDeg, off, flickers),
  };
};

const lightSays = (task: ExposureTask, c: ExposureChoice): string => {
  const off = c.errorStops - task.biasStops;
  if (off > ERROR_TOLERANCE)
    return `Still ${c.errorStops.toFixed(1)} stops over: highlights clip. A stronger filter is missing.`;
  if (off >= -ERROR_TOLERANCE) return 'Exposed for the light at the planned minute, highlights kept.';
  return `${Math.abs(c.errorStops).toFixed(1)} stops under: ${c.iso >= task.isoCeiling ? 'the ISO ceiling is reached, it is too dark' : 'the hand choice darkens it'}.`;
};

const shutterSays = (task: ExposureTask, c: ExposureChoice): string => {
  const { aim } = task;
  if (aim?.by === 'at-most')
    return c.shutterS <= aim.seconds * 1.01
      ? 'Shutter short enough for a sharp still from a hover.'
      : 'Shutter long for a still: wait for a lull, take several.';
  if (aim?.by === 'about')
    return `Shutter about half of what the interval leaves: movement flows from frame to frame.`;
  const angle = `Shutter at ${c.shutterAngleDeg.toFixed(0)}°`;
  if (c.inBand) return `${angle}, inside the wanted ${task.bandLowDeg}–${task.bandHighDeg}°.`;
  if (c.shutterAngleDeg < task.bandLowDeg) return `${angle}: short, movement will stutter.`;
  return `${angle}: long, ${mayBeLong(task) ? 'which a nearly still frame forgives' : 'movement will smear'}.`;
};

/** Everything to be said about an answer, a sentence each. */
export const reasonsFor = ({ task, choice: c }: ExposureAnswer): string[] => [
  lightSays(task, c),
  shutterSays(task, c),
  ...(c.iso > task.isoBase ? [`ISO raised to ${c.iso}: shadows get grainier.`] : []),
  ...(c.flickers && task.mainsHz !== null
    ? [`Lamps on ${task.mainsHz} Hz will flicker at this shutter.`]
    : []),
  ...(task.flightFilterId !== undefined && c.filterId !== task.flightFilterId
    ? ['Needs another filter than the flight has on: land to change it.']
    : []),
];

/** Why a choice and not another, in one sentence. */
export const whyNot = ({ task, choice }: ExposureAnswer, runnerUp: ExposureChoice | null): string => {
  const got =
    choice.marks.length > 0
      ? `The least bad: ${choice.marks.map((m) => MARK_SAYS[m]).join(' and ')}`
      : `${task.aim && task.aim.by !== 'angle' ? 'Shutter as it should be' : 'Shutter in the band'}, ${choice.iso === task.isoBase ? 'lowest ISO' : `ISO ${choice.iso}`}, highlights kept`;
  if (!runnerUp) return `${got}.`;
  const against = runnerUp.marks.find((m) => !choice.marks.includes(m));
  const reason = against
    ? MARK_SAYS[against]
    : runnerUp.iso > choice.iso
      ? 'needs more ISO'
      : runnerUp.lookCost > choice.lookCost
        ? 'costs more of the look'
        : 'exposes less exactly';
  return `${got}; the next best ${reason}.`;
};

/** What a mark means, as it is said of a setting. */
export const MARK_SAYS: Readonly<Record<ExposureMark, string>> = {
  clips: 'clips the highlights',
  dark: 'stays too dark',
  strobes: 'strobes',
  smears: 'smears',
  flickers: 'flickers under lamps',
};
