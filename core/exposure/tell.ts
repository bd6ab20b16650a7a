import { listed, measured, message, type Message } from '../messages';
import { exposureError, flickerSafe, shutterAngle, type Setting } from './equation';
import {
  ERROR_TOLERANCE,
  errorRegret,
  mayBeLong,
  missStops,
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
  const off = missStops(task, { errorStops });
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

const lightSays = (task: ExposureTask, c: ExposureChoice): Message => {
  const off = missStops(task, c);
  const stops = measured(Math.abs(off), 'stops', 1);
  if (off > ERROR_TOLERANCE) return message('exposure.over', { stops });
  if (off >= -ERROR_TOLERANCE) return message('exposure.right');
  return c.iso >= task.isoCeiling
    ? message('exposure.under.ceiling', { stops })
    : message('exposure.under.hand', { stops });
};

const angleSays = (task: ExposureTask, c: ExposureChoice): Message => {
  const angle = measured(c.shutterAngleDeg, 'degrees', 0);
  if (c.inBand)
    return message('exposure.angle.in', {
      angle,
      low: task.bandLowDeg,
      high: measured(task.bandHighDeg, 'degrees', 0),
    });
  if (c.shutterAngleDeg < task.bandLowDeg) return message('exposure.angle.short', { angle });
  return mayBeLong(task)
    ? message('exposure.angle.long-still', { angle })
    : message('exposure.angle.long', { angle });
};

const shutterSays = (task: ExposureTask, c: ExposureChoice): Message => {
  const { aim } = task;
  if (aim?.by === 'at-most')
    return c.shutterS <= aim.seconds * 1.01
      ? message('exposure.still.sharp')
      : message('exposure.still.long');
  return aim?.by === 'about' ? message('exposure.lapse') : angleSays(task, c);
};

/** Everything to be said about an answer, a sentence each. */
export const reasonsFor = ({ task, choice: c }: ExposureAnswer): Message[] => [
  lightSays(task, c),
  shutterSays(task, c),
  ...(c.iso > task.isoBase ? [message('exposure.iso-raised', { iso: c.iso })] : []),
  ...(c.flickers && task.mainsHz !== null ? [message('exposure.flickers', { hertz: task.mainsHz })] : []),
  ...(task.flightFilterId !== undefined && c.filterId !== task.flightFilterId
    ? [message('exposure.other-filter')]
    : []),
];

const markSays = (mark: ExposureMark): Message => message('exposure.mark', { mark });

/** Why a choice and not another, in one sentence. */
export const whyNot = ({ task, choice }: ExposureAnswer, runnerUp: ExposureChoice | null): Message => {
  const got =
    choice.marks.length > 0
      ? message('exposure.least-bad', { marks: listed(choice.marks.map(markSays)) })
      : message('exposure.best', {
          aim: task.aim && task.aim.by !== 'angle' ? 'shutter' : 'band',
          iso: choice.iso === task.isoBase ? 0 : choice.iso,
        });
  if (!runnerUp) return message('exposure.why', { got });
  const against = runnerUp.marks.find((m) => !choice.marks.includes(m));
  const lacks = runnerUp.iso > choice.iso ? 'iso' : runnerUp.lookCost > choice.lookCost ? 'look' : 'exact';
  return message('exposure.why.next', {
    got,
    reason: against ? markSays(against) : message('exposure.next', { lacks }),
  });
};
