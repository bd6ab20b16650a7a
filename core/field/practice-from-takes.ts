import { newRow, type Practice, type Shot, type Take } from '../model';
import { groupBy } from '../units';

/**
 * Takes of a flight as practice of their moves, one entry a shot: what was not recorded, or was simulated, says nothing about the hands.
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
      takes.filter((t) => t.reason !== 'not-recording' && !t.simulated),
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
