import { message, type Message } from '../messages';
import { paceAlong } from './pace-along';
import { fly, knobsOf, LENGTH_KNOB, solveBy, timingOf, type Trajectory, type Knob } from '../moves';
import type { MoveValues } from '../model';
import { none, type Result } from '../units';
import { easingOf, layoutOf, type Layout, type ShotParts } from './layout';
import { framingOf, type ShotFacts } from './facts';

/** A figure of a move that can be asked for. */
export type Target = 'usableS' | 'totalS' | 'lengthM' | 'speedMs' | 'paceS' | 'fill';

export interface TargetFigure {
  readonly id: Target;
  readonly label: string;
  readonly quantity: 'seconds' | 'metres' | 'speed' | 'percent';
  /** Knobs that reach it, the most natural first. */
  readonly knobs: readonly string[];
}

/** What can be asked for, in the order it is offered. Fill is a share of the frame's height, 0–1. */
export const TARGETS: readonly TargetFigure[] = [
  {
    id: 'usableS',
    label: 'Usable',
    quantity: 'seconds',
    knobs: [
      'speedMs',
      'rateDegS',
      'lengthM',
      'arcDeg',
      'turnDeg',
      'turns',
      LENGTH_KNOB,
      'intervalS',
      'eachS',
    ],
  },
  {
    id: 'totalS',
    label: 'Whole move',
    quantity: 'seconds',
    knobs: [
      'speedMs',
      'rateDegS',
      'lengthM',
      'arcDeg',
      'turnDeg',
      'turns',
      LENGTH_KNOB,
      'intervalS',
      'eachS',
    ],
  },
  {
    id: 'lengthM',
    label: 'Path',
    quantity: 'metres',
    knobs: ['lengthM', 'arcDeg', 'turns', LENGTH_KNOB, 'radiusM'],
  },
  {
    id: 'speedMs',
    label: 'Peak speed',
    quantity: 'speed',
    knobs: ['speedMs', 'rateDegS', 'lengthM', LENGTH_KNOB],
  },
  {
    id: 'paceS',
    label: 'Pace',
    quantity: 'seconds',
    knobs: ['speedMs', 'rateDegS', 'heightM', 'startHeightM', 'radiusM', 'distanceM'],
  },
  {
    id: 'fill',
    label: 'Subject in frame',
    quantity: 'percent',
    knobs: ['distanceM', 'radiusM', 'endM', 'startM', 'heightM', 'startHeightM', 'endHeightM'],
  },
];

/** A figure of a flown move. */
const figureOf = (trajectory: Trajectory, target: Target, layout: Layout, parts: ShotParts): number => {
  switch (target) {
    case 'usableS':
      return trajectory.usableS;
    case 'totalS':
      return trajectory.totalS;
    case 'lengthM':
      return trajectory.lengthM;
    case 'speedMs':
      return trajectory.peakSpeedMs;
    case 'paceS':
      return paceAlong({ ...layout, subject: parts.subject, surfaceAt: parts.surfaceAt, trajectory })
        .crossingS;
    case 'fill':
      return framingOf(trajectory, layout.aim, layout.fov).fill;
  }
};

/** Seconds follow from the timing alone, which spares flying the path sixty times over. */
const measureFor =
  (parts: ShotParts, layout: Layout, target: Target) =>
  (values: MoveValues): number | null => {
    const shape = layout.lay(values);
    if (!shape.ok) return null;
    const easing = easingOf(parts.film);
    if (target === 'totalS') {
      const timing = timingOf(shape.value.extent, easing, layout.wantedS);
      return timing.ok ? timing.value.totalS : null;
    }
    const trajectory = fly(shape.value, easing, parts.shot.cutStyle, layout.wantedS);
    return trajectory.ok ? figureOf(trajectory.value, target, layout, parts) : null;
  };

/** A target as it stands in facts already worked out; null without a path. */
export const targetIn = ({ trajectory, pace, fill }: ShotFacts, target: Target): number | null => {
  if (!trajectory) return null;
  return {
    usableS: trajectory.usableS,
    totalS: trajectory.totalS,
    lengthM: trajectory.lengthM,
    speedMs: trajectory.peakSpeedMs,
    paceS: pace.crossingS,
    fill,
  }[target];
};

/** What a target comes to as the shot stands; null without a path. */
export const targetNow = (parts: ShotParts, target: Target): number | null =>
  measureFor(parts, layoutOf(parts), target)(parts.shot.move.values);

/** Knobs that may give way for a target: those that reach it, less what is locked. */
export const freeKnobs = (parts: ShotParts, target: Target): Knob[] => {
  const { move } = layoutOf(parts);
  const wanted = TARGETS.find((t) => t.id === target)?.knobs ?? [];
  if (!move) return [];
  const knobs = knobsOf(move).filter((k) => !parts.shot.move.locked.includes(k.id));
  return wanted.flatMap((id) => knobs.filter((k) => k.id === id));
};

const placeOf = (knob: Knob, values: MoveValues, parts: ShotParts, layout: Layout): number => {
  if (knob.id !== LENGTH_KNOB)
    return values[knob.id] ?? layout.move?.parameters.find((p) => p.id === knob.id)?.initial ?? 0;
  return targetNow(parts, 'lengthM') ?? 0;
};

/**
 * Numbers of a shot's move changed so that a figure has the wanted value, everything locked left alone.
 * @param by the number that gives way; the first free one that reaches it when left out
 * @returns the numbers, or why there are none and how near one comes
 */
export const solveShot = (
  parts: ShotParts,
  target: Target,
  wanted: number,
  by?: string,
): Result<MoveValues, Message> => {
  const layout = layoutOf(parts);
  const { move } = layout;
  if (!move) return none(message('path.there-no-such-move'));
  const free = freeKnobs(parts, target).filter((k) => by === undefined || k.id === by);
  if (free.length === 0) return none(by ? message('path.number-locked') : message('path.all-locked'));
  const { values } = parts.shot.move;
  const measure = measureFor(parts, layout, target);
  const now = measure(values);
  let why: Result<MoveValues, Message> | null = null;
  for (const knob of free) {
    const solved = solveBy(move, values, knob, placeOf(knob, values, parts, layout), measure, wanted);
    if (solved.ok) return solved;
    why ??= solved;
  }
  return now !== null && Math.abs(now - wanted) < 1e-9
    ? { ok: true, value: values }
    : (why ?? none(message('path.all-locked')));
};
