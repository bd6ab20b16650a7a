import { aimOf } from '@core/shot';
import { moveOf, withDragHandle } from '@core/moves';
import { newFeature, pinned } from '@core/site';
import { v4 as uuid } from 'uuid';
import type { Spot } from '../../map/features';
import { useFilm } from '../../stores/film';
import type { PlanState } from './planState';
import { tr } from './messages';

/** Paths and the launch point dragged on the plan; a drag is one step, and everything follows it while it lasts. */
export const usePathDrags = ({ place, placeId, subjects, said }: PlanState) => {
  const film = useFilm();
  const told = (faults: readonly { say: string }[]): void => {
    said.value = faults.map((f) => f.say).join(' ');
  };

  /** The origin's own launch point, dragged, becomes one that can lie anywhere. */
  const dragLaunch = (at: Spot): void => {
    const id = uuid();
    const made = newFeature('launch', {
      id,
      locationId: placeId.value,
      name: 'Launch',
      shape: 'point',
      points: [at],
    });
    const l = place.value;
    if (l)
      told(
        film.commit(tr('moveLaunchPoint'), [
          { kind: 'feature', id, after: made },
          { kind: 'location', id: l.id, after: { ...l, launchId: id } },
        ]),
      );
  };
  /** Distance and side of the picked shot, dragged by a handle; seen at once wherever the shot is. */
  const dragShot = (part: 'near' | 'end', shotId: string, at: Spot): void => {
    const shot = film.get('shot', shotId);
    const subjectOf = subjects.value.find((s) => s.id === shot?.subjectId) ?? null;
    const kind = shot && moveOf(shot.move.kind);
    if (shot && kind)
      told(
        film.edit(
          'shot',
          shotId,
          {
            move: {
              ...shot.move,
              values: {
                ...withDragHandle(kind, shot.move.values, aimOf(subjectOf), part, { x: at.xM, y: at.yM }),
              },
            },
          },
          tr('dragOnThePlan'),
        ),
      );
  };
  /** A point of a route: “shot number”. Its height and speed stay, and so do the other points. */
  const dragPoint = (point: string, at: Spot): void => {
    const [id = '', number = '0'] = point.split(' ');
    const shot = film.get('shot', id);
    if (!shot) return;
    const points = shot.move.points.map((p, i) => (i === Number(number) ? { ...p, ...at } : p));
    told(film.edit('shot', id, { move: { ...shot.move, points } }, tr('dragOnThePlan')));
  };

  /** A pin of a picture: “id number”. A place that would tell nothing is not taken. */
  const dragPin = (pin: string, at: Spot): void => {
    const [id = '', number = '0'] = pin.split(' ');
    const picture = film.get('picture', id);
    if (!picture) return;
    const pins = picture.pins.map((p, i) => (i === Number(number) ? { ...p, ...at } : p));
    if (pinned(pins).ok) told(film.edit('picture', id, { pins }, tr('pin')));
  };
  return { dragLaunch, dragShot, dragPin, dragPoint };
};
