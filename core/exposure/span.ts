import { flickerSafe } from './equation';
import { ERROR_TOLERANCE, mayBeLong, type ExposureTask } from './regret';
import { LONG_SHUTTERS, SHUTTERS } from './series';
import { longestShutter, shutterKey } from './solve';

/** Scene EV100 that a camera exposes rightly behind the bare lens, from dark to bright, without costing the look. */
export interface ExposureSpan {
  readonly lowEv: number;
  readonly highEv: number;
}

const known = new Map<string, readonly number[]>();

/** Shutters that cost nothing of the look; the same for many shots. */
const goodShutters = (task: ExposureTask): readonly number[] => {
  const key = shutterKey(task);
  const before = known.get(key);
  if (before) return before;
  if (known.size > 200) known.clear();
  const made = shuttersFor(task);
  known.set(key, made);
  return made;
};

const shuttersFor = (task: ExposureTask): number[] => {
  const mostS = longestShutter(task) * 1.0001;
  const all = [...LONG_SHUTTERS, ...SHUTTERS].filter((t) => t <= mostS);
  const { aim } = task;
  const inAim =
    aim?.by === 'at-most'
      ? all.filter((t) => t <= aim.seconds * 1.01)
      : aim?.by === 'about'
        ? all.filter((t) => Math.abs(Math.log2(t / aim.seconds)) <= 1.01)
        : all.filter((t) => {
            const deg = 360 * t * task.captureFps;
            return (
              (deg >= task.bandLowDeg - 0.01 && deg <= task.bandHighDeg + 0.01) ||
              (mayBeLong(task) && deg > task.bandHighDeg)
            );
          });
  const { mainsHz } = task;
  const steady = mainsHz === null ? inAim : inAim.filter((t) => flickerSafe(t, mainsHz));
  return steady.length > 0 ? steady : inAim;
};

/**
 * What light one filter bears: everything between the widest aperture with the longest good shutter and the highest clean ISO,
 * and the narrowest sharp aperture with the shortest good shutter at base ISO. A filter of s stops moves both up by s. Exact
 * search agrees with it, because the steps between are finer than the tolerance.
 * @param cleanStops stops the ISO may be raised
 * @returns null where the camera has no aperture or no shutter in the band
 */
export const exposureSpan = (task: ExposureTask, cleanStops: number): ExposureSpan | null => {
  const { fixed } = task;
  const shutters = fixed.shutterS === undefined ? goodShutters(task) : [fixed.shutterS];
  const [from, to] = task.sharp ?? [0, Infinity];
  const sharp = task.apertures.filter((n) => n >= from - 0.01 && n <= to + 0.01);
  const apertures =
    fixed.aperture === undefined ? (sharp.length > 0 ? sharp : task.apertures) : [fixed.aperture];
  if (shutters.length === 0 || apertures.length === 0 || !(task.isoBase > 0)) return null;
  const topIso = fixed.iso ?? Math.min(task.isoCeiling, task.isoBase * 2 ** cleanStops);
  const lowIso = fixed.iso ?? task.isoBase;
  const ev = (aperture: number, shutterS: number, iso: number): number =>
    2 * Math.log2(aperture) - Math.log2(shutterS) - Math.log2(iso / 100);
  return {
    lowEv: ev(Math.min(...apertures), Math.max(...shutters), topIso) + task.biasStops - ERROR_TOLERANCE,
    highEv: ev(Math.max(...apertures), Math.min(...shutters), lowIso) + task.biasStops + ERROR_TOLERANCE,
  };
};

/** Whether a scene lies within a span behind a filter. */
export const spanHolds = (span: ExposureSpan, sceneEv100: number, filterStops: number): boolean =>
  sceneEv100 - filterStops >= span.lowEv && sceneEv100 - filterStops <= span.highEv;
