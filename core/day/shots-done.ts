import type { FlightLogEntry, Take } from '../model';

/** Takes of a shot so far, by how they were judged. */
export interface TakeCount {
  readonly good: number;
  readonly maybe: number;
  readonly all: number;
}

/** Counts the takes of one shot. */
export const countTakes = (takes: readonly Take[], shotId: string): TakeCount => {
  const own = takes.filter((t) => t.shotId === shotId);
  const rated = (rating: Take['rating']): number => own.filter((t) => t.rating === rating).length;
  return { good: rated('good'), maybe: rated('maybe'), all: own.length };
};

/** Shots that need no more flying: a flight in the log says so, or one of their takes is good. */
export const shotsDone = (
  log: readonly Pick<FlightLogEntry, 'shotIds'>[],
  takes: readonly Pick<Take, 'shotId' | 'rating'>[],
): Set<string> =>
  new Set([
    ...log.flatMap((f) => f.shotIds),
    ...takes.filter((t) => t.rating === 'good').map((t) => t.shotId),
  ]);
