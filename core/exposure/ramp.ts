import { listed, measured, message, yesNo, type Message } from '../messages';
import { writeShutter } from '../units';
import type { ExposureChoice, ExposureTask } from './regret';
import { dials } from './solve';

/** One dial moved by one notch, before a frame is taken. */
export interface RampStep {
  /** Frame before which it is moved, counted from 1. */
  readonly frame: number;
  /** Seconds after the first frame. */
  readonly atS: number;
  readonly dial: 'shutter' | 'iso';
  readonly shutterS: number;
  readonly iso: number;
}

/** How a time-lapse follows the light: one dial after the other, the aperture and the filter stay. */
export interface Ramp {
  readonly steps: readonly RampStep[];
  /** First frame that no dial follows any more; null where the dials last. */
  readonly outAtFrame: number | null;
  /** How far the last frame is from the exposure of the first, stops; + is too bright. */
  readonly restStops: number;
}

/** Notches nearer than this are one; 1/48 and 1/50 would show as a step of light for nothing. */
const ONE_NOTCH = 1.1;

/**
 * Light a frame may be off before a dial is moved, stops: half of the widest notch there is (1/96 to 1/125 s). With less, one
 * dial would answer what another has just overdone.
 */
const HALF_NOTCH = 0.21;

/** Values of a dial going up, the start kept, near twins of a value left out. */
const notchesOf = (values: readonly number[], start: number): number[] =>
  [start, ...[...values].sort((a, b) => Math.abs(Math.log2(a / start)) - Math.abs(Math.log2(b / start)))]
    .reduce<number[]>(
      (kept, v) => (kept.some((k) => Math.max(k / v, v / k) < ONE_NOTCH) ? kept : [...kept, v]),
      [],
    )
    .sort((a, b) => a - b);

/**
 * Follows changing light through the frames of a time-lapse. Each frame keeps the exposure of the first to a fifth of a stop, by
 * the smallest step there is: in growing light the ISO goes down to its base before the shutter gets shorter, in failing light
 * the shutter grows as long as the interval allows before the ISO goes up. Aperture and filter never move: both would show.
 * @param start setting of the first frame
 * @param evAt scene EV100 so many seconds after the first frame
 * @param frames how many there are, and their interval in seconds
 */
export const exposureRamp = (
  task: ExposureTask,
  start: Pick<ExposureChoice, 'shutterS' | 'iso'>,
  evAt: (seconds: number) => number,
  frames: { readonly count: number; readonly everyS: number },
): Ramp => {
  const { shutters: allShutters, isos: allIsos } = dials(task);
  const shutters = notchesOf(
    allShutters.map((n) => n.value),
    start.shutterS,
  );
  const isos = notchesOf(
    allIsos.map((n) => n.value),
    start.iso,
  );
  let shutter = shutters.indexOf(start.shutterS);
  let iso = isos.indexOf(start.iso);
  const first = evAt(0);
  /** Stops the setting lets in beyond that of the first frame. */
  const gained = (s: number, i: number): number =>
    Math.log2(((shutters[s] ?? NaN) / start.shutterS) * ((isos[i] ?? NaN) / start.iso));
  const steps: RampStep[] = [];
  let outAtFrame: number | null = null;
  let restStops = 0;
  for (let n = 0; n < frames.count; n += 1) {
    const grown = evAt(n * frames.everyS) - first;
    for (;;) {
      const error = grown + gained(shutter, iso);
      restStops = error;
      const next: readonly [number, number, RampStep['dial']] =
        error > 0
          ? iso > 0
            ? [shutter, iso - 1, 'iso']
            : [shutter - 1, iso, 'shutter']
          : shutter < shutters.length - 1
            ? [shutter + 1, iso, 'shutter']
            : [shutter, iso + 1, 'iso'];
      const after = grown + gained(next[0], next[1]);
      if (Math.abs(error) <= HALF_NOTCH) {
        outAtFrame = null;
        break;
      }
      if (!(Math.abs(after) < Math.abs(error))) {
        outAtFrame ??= n + 1;
        break;
      }
      [shutter, iso] = next;
      steps.push({
        frame: n + 1,
        atS: n * frames.everyS,
        dial: next[2],
        shutterS: shutters[shutter] ?? start.shutterS,
        iso: isos[iso] ?? start.iso,
      });
    }
  }
  return { steps, outAtFrame, restStops };
};

/** The setting a ramp has reached so many seconds after its first frame. */
export const rampSetting = (
  ramp: Ramp,
  start: Pick<ExposureChoice, 'shutterS' | 'iso'>,
  seconds: number,
): { readonly shutterS: number; readonly iso: number } =>
  ramp.steps.reduce(
    (now, step) => (step.atS <= seconds + 1e-6 ? { shutterS: step.shutterS, iso: step.iso } : now),
    { shutterS: start.shutterS, iso: start.iso },
  );

/** Steps named one by one before the rest is only counted. */
const MOST_STEPS = 12;

/** Which dial goes where at which frame, in words. */
export const rampSteps = ({ steps }: Ramp): Message =>
  steps.length === 0
    ? message('exposure.ramp.none')
    : message('exposure.ramp', {
        steps: listed(
          steps.map(({ frame, dial, shutterS, iso }) =>
            message('exposure.ramp.step', {
              frame,
              setting: dial === 'iso' ? `ISO ${iso}` : writeShutter(shutterS),
            }),
          ),
          MOST_STEPS,
        ),
      });

/** What the ramp does about the light, and from which frame on it no longer can. */
export const rampWhy = ({ outAtFrame, restStops }: Ramp): Message =>
  outAtFrame === null
    ? message('exposure.ramp.why')
    : message('exposure.ramp.out', {
        frame: outAtFrame,
        stops: measured(Math.abs(restStops), 'stops', 1),
        bright: yesNo(restStops > 0),
      });
