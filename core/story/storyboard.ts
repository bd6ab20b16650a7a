import type { Message } from '../messages';
import { directionFlown } from '../moves';
import { feelsOf, readBoard, type Remark } from './board';
import type { FilmPlan, PlannedShot } from '../day';
import type { GroundShot, StoryRole } from '../model';
import { secondsOf } from '../shot';

interface Place {
  readonly id: string;
  /** From 1, in the cut. */
  readonly cut: number;
  readonly title: string;
  readonly role: StoryRole;
  readonly timelineS: number;
  /** Second of the film at which it starts. */
  readonly fromS: number;
  /** It has a place of its own in the cut, apart from the list. */
  readonly ownPlace: boolean;
}
/** A shot at its place in the cut. */
export interface BoardPlace extends Place {
  readonly shot: PlannedShot;
  readonly ground: null;
  readonly feels: Message;
}
/** A shot from the ground at its place in the cut. */
export interface GroundPlace extends Place {
  readonly shot: null;
  readonly ground: GroundShot;
}

export interface Board {
  readonly places: readonly (BoardPlace | GroundPlace)[];
  readonly remarks: readonly Remark[];
  readonly totalS: number;
}

type CutItem = Pick<BoardPlace, 'shot' | 'ground'> | Pick<GroundPlace, 'shot' | 'ground'>;
const rowOf = ({ shot, ground }: CutItem) => (shot ? shot.facts.shot : ground);

/** What is on the list: shots in their order, those from the ground behind the shots of their location. */
const listOf = (film: FilmPlan, ground: readonly GroundShot[]): CutItem[] => {
  const shots = film.order.map((id) => film.shots.get(id)).filter((s) => s !== undefined);
  const rest = [...ground].sort((a, b) => (a.position < b.position ? -1 : 1));
  const locations = [...film.places.keys()];
  return locations.flatMap((locationId): CutItem[] => [
    ...shots.filter((s) => s.facts.shot.locationId === locationId).map((shot) => ({ shot, ground: null })),
    ...rest.filter((g) => g.locationId === locationId).map((g) => ({ shot: null, ground: g })),
  ]);
};

/** The cut: by the places of its own that a shot has, else as listed. */
const orderOf = (list: readonly CutItem[]): readonly CutItem[] => {
  const own = list
    .filter((item) => rowOf(item).cutPosition !== '')
    .sort((a, b) => (rowOf(a).cutPosition < rowOf(b).cutPosition ? -1 : 1));
  if (own.length === 0) return list;
  // Shots without a place of their own stay behind the one they follow on the list.
  const result = [...own];
  let before: CutItem | undefined;
  for (const item of list) {
    if (rowOf(item).cutPosition === '') result.splice(before ? result.indexOf(before) + 1 : 0, 0, item);
    before = item;
  }
  return result;
};

/** The story board of a film: order in the cut beside the order in the air, and what it reads like. */
export const boardOf = (film: FilmPlan, ground: readonly GroundShot[]): Board => {
  let fromS = 0;
  const places = orderOf(listOf(film, ground)).map((item, i): BoardPlace | GroundPlace => {
    const { id, title, role, cutPosition } = rowOf(item);
    const timelineS = item.shot ? secondsOf(item.shot.facts.segments) : item.ground.timelineS;
    const place = { id, cut: i + 1, title, role, timelineS, fromS, ownPlace: cutPosition !== '' };
    fromS += timelineS;
    return item.shot
      ? { ...place, shot: item.shot, ground: null, feels: feelsOf(item.shot.facts.direction) }
      : { ...place, shot: null, ground: item.ground };
  });
  const remarks = readBoard(
    places.map(({ id, shot, timelineS, role }) => ({
      id,
      timelineS,
      role,
      direction: shot
        ? directionFlown(shot.facts.move?.direction ?? 'still', shot.facts.shot.move.reversed)
        : null,
    })),
  );
  return { places, remarks, totalS: fromS };
};
