import { directionFlown } from '../moves';
import { FEELS, readBoard, type Remark } from './board';
import type { FilmPlan, PlannedShot } from '../day';
import { secondsOf } from '../shot';

/** A shot at its place in the cut. */
export interface BoardPlace {
  readonly shot: PlannedShot;
  /** From 1, in the cut. */
  readonly cut: number;
  readonly feels: string;
  readonly timelineS: number;
  /** Second of the film at which it starts. */
  readonly fromS: number;
}

export interface Board {
  readonly places: readonly BoardPlace[];
  readonly remarks: readonly Remark[];
  readonly totalS: number;
}

/** Key of a shot in the cut: its own, or its place on the list. Places come one after another, each after the ones before. */
const orderOf = (film: FilmPlan): PlannedShot[] => {
  const list = film.order.map((id) => film.shots.get(id)).filter((s) => s !== undefined);
  const own = list
    .filter((s) => s.facts.shot.cutPosition !== '')
    .sort((a, b) => (a.facts.shot.cutPosition < b.facts.shot.cutPosition ? -1 : 1));
  if (own.length === 0) return list;
  // Shots without a place of their own stay behind the one they follow on the list.
  const result = [...own];
  let before: PlannedShot | undefined;
  for (const shot of list) {
    if (shot.facts.shot.cutPosition === '') result.splice(before ? result.indexOf(before) + 1 : 0, 0, shot);
    before = shot;
  }
  return result;
};

/** The story board of a film: order in the cut beside the order in the air, and what it reads like. */
export const boardOf = (film: FilmPlan): Board => {
  let fromS = 0;
  const places = orderOf(film).map((shot, i): BoardPlace => {
    const timelineS = secondsOf(shot.facts.segments);
    const place = { shot, cut: i + 1, feels: FEELS[shot.facts.direction], timelineS, fromS };
    fromS += timelineS;
    return place;
  });
  const remarks = readBoard(
    places.map(({ shot, timelineS }) => ({
      id: shot.facts.shot.id,
      timelineS,
      role: shot.facts.shot.role,
      direction: directionFlown(shot.facts.move?.direction ?? 'still', shot.facts.shot.move.reversed),
    })),
  );
  return { places, remarks, totalS: fromS };
};
