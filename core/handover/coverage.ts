import type { GroundShot, Take } from '../model';
import { boardOf } from '../story';
import { bestTake } from './best-take';
import type { Handover, FootageLine } from './lines';

/** How far a place of the cut is filled: a good take, one that may do, none that does, logged without a take, nothing at all. */
export const COVERAGES = ['kept', 'maybe', 'no-good', 'logged', 'missing'] as const;
export type Coverage = (typeof COVERAGES)[number];

/** A place of the cut after the shoot. */
export interface CoveredPlace {
  readonly id: string;
  /** From 1, in the cut. */
  readonly cut: number;
  readonly title: string;
  readonly timelineS: number;
  readonly state: Coverage;
  /** null for a shot from the ground. */
  readonly line: FootageLine | null;
  readonly ground: GroundShot | null;
  /** The take the cut would use. */
  readonly best: Take | null;
}

/** The cut after the shoot: what is there, what is missing. Seconds of the timeline. */
export interface CutCoverage {
  readonly places: readonly CoveredPlace[];
  readonly totalS: number;
  /** Seconds by state; together they are the whole cut. */
  readonly seconds: Readonly<Record<Coverage, number>>;
}

const stateOf = (line: FootageLine, best: Take | null): Coverage => {
  if (best) return best.rating === 'good' ? 'kept' : 'maybe';
  if (line.flown.length > 0) return 'no-good';
  return line.status === 'done' ? 'logged' : 'missing';
};

/** Every place of the cut with the take that fills it. @param lines of all shots, in any order */
export const cutCoverage = ({ input, derived }: Handover, lines: readonly FootageLine[]): CutCoverage => {
  const byId = new Map(lines.map((l) => [l.id, l]));
  const board = boardOf(derived, input.groundShots);
  const places = board.places.map(({ id, cut, title, timelineS, ground }): CoveredPlace => {
    const line = byId.get(id) ?? null;
    const best = line && bestTake(line.flown, id);
    const state = line ? stateOf(line, best) : ground?.done ? 'kept' : 'missing';
    return { id, cut, title, timelineS, state, line, ground, best };
  });
  const sumOf = (state: Coverage): number =>
    places.reduce((sum, p) => sum + (p.state === state ? p.timelineS : 0), 0);
  const seconds = Object.fromEntries(COVERAGES.map((c) => [c, sumOf(c)])) as Record<Coverage, number>;
  return { places, totalS: board.totalS, seconds };
};
