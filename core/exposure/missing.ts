import { listed, measured, message, type Message } from '../messages';
import {
  ERROR_TOLERANCE,
  missStops,
  mayBeLong,
  type ExposureAnswer,
  type ExposureChoice,
  type ExposureTask,
} from './regret';
import { solveExposure } from './solve';
import { exposureSpan } from './span';

/** Something that would help where a setting does not reach the light. */
export interface Workable {
  readonly say: Message;
}

export interface Shortfall {
  /** Stops too bright (+) or too dark (−) beyond what an exposure may be off. */
  readonly stops: number;
  readonly workable: readonly Workable[];
}

/** Filters as they are sold: a factor for each stop. */
const factorFor = (stops: number): number => 2 ** Math.ceil(stops - 1e-9);

const right = (c: ExposureChoice, task: ExposureTask): boolean =>
  Math.abs(missStops(task, c)) <= ERROR_TOLERANCE;

const freed = (task: ExposureTask): Workable[] => {
  const held = Object.entries(task.fixed).filter(([, v]) => v !== undefined);
  if (held.length === 0) return [];
  const free = solveExposure({ ...task, fixed: {} });
  return free.ok && right(free.value.choice, task)
    ? [
        {
          say: message('exposure.free', {
            held: listed(held.map(([knob]) => message('exposure.knob', { knob }))),
          }),
        },
      ]
    : [];
};

const brighter = (task: ExposureTask, { choice }: ExposureAnswer, off: number): Workable[] => {
  // Enough for a shutter in the band at base ISO, not only for what the shortest shutter leaves over.
  const span = exposureSpan({ ...task, fixed: { ...task.fixed, filterId: undefined } }, 0);
  const factor = factorFor(
    Math.max(choice.ndStops + off, span ? task.sceneEv100 - span.highEv + ERROR_TOLERANCE : 0),
  );
  const shorter = solveExposure({ ...task, bandLowDeg: 1, fixed: { filterId: task.fixed.filterId } });
  return [
    { say: message('exposure.filter-would', { factor, stops: measured(Math.log2(factor), 'stops', 0) }) },
    ...(shorter.ok &&
    right(shorter.value.choice, task) &&
    shorter.value.choice.shutterAngleDeg < task.bandLowDeg
      ? [
          {
            say: message('exposure.without-it', {
              angle: measured(shorter.value.choice.shutterAngleDeg, 'degrees', 0),
            }),
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
            say: message('exposure.longer', {
              angle: measured(longer.value.choice.shutterAngleDeg, 'degrees', 0),
            }),
          },
        ]
      : []),
    { say: message('exposure.wait', { stops: measured(Math.abs(off), 'stops', 1) }) },
    {
      say: message('exposure.wider', {
        stops: measured(Math.abs(off), 'stops', 1),
        iso: Math.round(task.isoCeiling * 2 ** Math.abs(off)),
      }),
    },
  ];
};

/**
 * How far the best setting misses the light, and what would be workable; null where it does not miss.
 * @returns stops beyond the tolerance, signed, and the nearest choices that would do
 */
export const shortfallOf = (answer: ExposureAnswer): Shortfall | null => {
  const { task, choice } = answer;
  const off = missStops(task, choice);
  if (Math.abs(off) <= ERROR_TOLERANCE) return null;
  return {
    stops: off,
    workable: [...freed(task), ...(off > 0 ? brighter(task, answer, off) : darker(task, off))],
  };
};
