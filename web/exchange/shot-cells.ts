import type { Entity } from '@core/model';
import { plainMove } from '../composables/new-shot';

type Shot = Entity<'shot'>;
export const secondsIn = (shot: Pick<Shot, 'cut'>): number =>
  shot.cut.segments.reduce((sum, s) => sum + s.timelineS, 0);

/** A shot with what the cells of a table say of it: another move begins with its own numbers, other seconds become one even stretch. */
export const withCells = (
  was: Shot,
  { seconds, moveKind, ...fields }: Readonly<Record<string, unknown>>,
): Shot => ({
  ...was,
  ...fields,
  ...(typeof moveKind === 'string' && moveKind !== was.move.kind ? { move: plainMove(moveKind) } : {}),
  ...(typeof seconds === 'number' && seconds !== secondsIn(was)
    ? {
        cut: {
          ...was.cut,
          by: 'seconds' as const,
          segments: [{ timelineS: seconds, speedFactor: 1, endFactor: null }],
        },
      }
    : {}),
});
