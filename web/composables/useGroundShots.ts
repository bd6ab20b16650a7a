import { newRow, type GroundShot } from '@core/model';
import { inOrder } from '@core/units';
import { v4 as uuid } from 'uuid';
import { useFilm } from '../stores/film';
import { useSelection } from '../stores/selection';
import { keyBetween } from './new-shot';
import { tr } from './messages';

/** Shots from the ground: on the list and in the cut, in no flight. */
export const useGroundShots = () => {
  const film = useFilm();
  const selection = useSelection();
  const of = (locationId: string): readonly GroundShot[] =>
    inOrder(film.list('groundShot').filter((g) => g.locationId === locationId));

  /** Adds one behind the others of a location and opens it. */
  const add = (locationId: string): void => {
    const row = newRow('groundShot', {
      id: uuid(),
      locationId,
      position: keyBetween(of(locationId).at(-1)?.position, undefined),
    });
    const [fault] = film.create('groundShot', row, tr('newGroundShot'));
    if (fault) selection.say(fault.say);
    else selection.groundShotId = row.id;
  };
  const remove = (shot: GroundShot): void => {
    film.remove(tr('deleteGroundShot'), [{ kind: 'groundShot', id: shot.id }]);
    selection.groundShotId = '';
    selection.say(tr('deletedTitleCtrlZBrings', { title: shot.title || tr('untitled') }));
  };
  return { of, add, remove };
};
