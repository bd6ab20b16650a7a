import { exposureError } from './equation';
import {
  ERROR_TOLERANCE,
  mayBeLong,
  type ExposureAnswer,
  type ExposureChoice,
  type ExposureTask,
  type FixedChoices,
} from './regret';
import { solveExposure } from './solve';
import { exposureSpan } from './span';

/** Something that would help where a setting does not reach the light. */
export interface Workable {
  readonly say: string;
}

export interface Shortfall {
  /** Stops too bright (+) or too dark (−) beyond what an exposure may be off. */
  readonly stops: number;
  readonly workable: readonly Workable[];
}

/** Filters as they are sold: a factor for each stop. */
const factorFor = (stops: number): number => 2 ** Math.ceil(stops - 1e-9);

const right = (c: ExposureChoice, task: ExposureTask): boolean =>
  Math.abs(c.errorStops - task.biasStops) <= ERROR_TOLERANCE;

const freed = (task: ExposureTask): Workable[] => {
  const held = Object.entries(task.fixed).filter(([, v]) => v !== undefined);
  if (held.length === 0) return [];
  const free = solveExposure({ ...task, fixed: {} });
  return free.ok && right(free.value.choice, task)
    ? [{ say: `Free the hand choice: ${held.map(([k]) => NAMES[k as keyof FixedChoices]).join(' and ')}.` }]
    : [];
};

const NAMES: Readonly<Record<keyof FixedChoices, string>> = {
  aperture: 'aperture',
  shutterS: 'shutter',
  iso: 'ISO',
  filterId: 'filter',
};

const brighter = (task: ExposureTask, { choice }: ExposureAnswer, off: number): Workable[] => {
  // Enough for a shutter in the band at base ISO, not only for what the shortest shutter leaves over.
  const span = exposureSpan({ ...task, fixed: { ...task.fixed, filterId: undefined } }, 0);
  const factor = factorFor(
    Math.max(choice.ndStops + off, span ? task.sceneEv100 - span.highEv + ERROR_TOLERANCE : 0),
  );
  const shorter = solveExposure({ ...task, bandLowDeg: 1, fixed: { filterId: task.fixed.filterId } });
  return [
    { say: `A filter of factor ${factor} (${Math.log2(factor).toFixed(0)} stops) would do.` },
    ...(shorter.ok &&
    right(shorter.value.choice, task) &&
    shorter.value.choice.shutterAngleDeg < task.bandLowDeg
      ? [
          {
            say: `Without it: a shutter of ${shorter.value.choice.shutterAngleDeg.toFixed(0)}°, and movement stutters.`,
          },
        ]
      : []),
  ];
};

const darker = (task: ExposureTask, off: number): Workable[] => {
  const longer = solveExposure({ ...task, bandHighDeg: 360, still: true });
  return [
    ...(!mayBeLong(task) && longer.ok && right(longer.value.choice, task)
      ? [
          {
            say: `A shutter of ${longer.value.choice.shutterAngleDeg.toFixed(0)}°, if the frame stands nearly still.`,
          },
        ]
      : []),
    { say: `Wait for ${Math.abs(off).toFixed(1)} stops more light, or bring lamps nearer.` },
    {
      say: `A lens ${Math.abs(off).toFixed(1)} stops wider, or a camera that bears ISO ${Math.round(task.isoCeiling * 2 ** Math.abs(off))}.`,
    },
  ];
};

/**
 * How far the best setting misses the light, and what would be workable; null where it does not miss.
 * @returns stops beyond the tolerance, signed, and the nearest choices that would do
 */
export const shortfallOf = (answer: ExposureAnswer): Shortfall | null => {
  const { task, choice } = answer;
  const off = exposureError(task.sceneEv100, choice) - task.biasStops;
  if (Math.abs(off) <= ERROR_TOLERANCE) return null;
  return {
    stops: off,
    workable: [...freed(task), ...(off > 0 ? brighter(task, answer, off) : darker(task, off))],
  };
};
