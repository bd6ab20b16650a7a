import { newRow, type Practice, type Shot, type Take } from '../model';
import { groupBy } from '../units';

/**
 * Takes of a flight as practice of their moves, one entry a shot: what was not recorded says nothing about the hands.
 * @param newId of each entry
 */
export const practiceFrom = (
  takes: readonly Take[],
  shots: readonly Shot[],
  pilotId: string,
  newId: () => string,
): Practice[] =>
  [
    ...groupBy(
      takes.filter((t) => t.reason !== 'not-recording'),
      (t) => t.shotId,
    ),
  ].flatMap(([shotId, own]) => {
    const shot = shots.find((s) => s.id === shotId);
    return shot
      ? [
          newRow('practice', {
            id: newId(),
            pilotId,
            moveKind: shot.move.kind,
            utcMs: Math.max(...own.map((t) => t.utcMs)),
            handling: shot.handling,
            tries: own.length,
            keepers: own.filter((t) => t.rating === 'good').length,
            shotId,
          }),
        ]
      : [];
  });

/** How often a shot was rehearsed, and the best mark of it; null where none has one. */
export const rehearsedOf = (
  practice: readonly Practice[],
  shotId: string,
): { readonly tries: number; readonly best: number | null } => {
  const own = practice.filter((p) => p.shotId === shotId && p.handling === 'simulator');
  const marks = own.flatMap((p) => (p.mark === null ? [] : [p.mark]));
  return {
    tries: own.reduce((sum, p) => sum + p.tries, 0),
    best: marks.length > 0 ? Math.max(...marks) : null,
  };
};
