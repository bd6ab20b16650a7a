import { inOrder } from '@core/units';
import { counted } from '../format';
import type { Entity, Shot as CoreShot } from '@core/model';
import type { Cure } from '@core/warnings';
import type { Lack } from '@core/story';
import { moveOf } from '@core/moves';
import { v4 as uuid } from 'uuid';
import { useBulkEdit } from './useBulkEdit';
import { useFilm } from '../stores/film';
import { useMessages } from './useMessages';
import { useSelection } from '../stores/selection';
import { keyBetween, newShot, plainMove } from './new-shot';
import { useReorder } from './useReorder';
import { tr } from './messages';

type Shot = Entity<'shot'>;

/** What a person does to the list, in one place: each act is one step that can be taken back. */
export const useShotCommands = () => {
  const film = useFilm();
  const selection = useSelection();
  const { text } = useMessages();
  const bulk = useBulkEdit();

  const shotsOf = (locationId: string): Shot[] =>
    inOrder(film.list('shot').filter((s) => s.locationId === locationId));

  /** Adds a shot after the picked one, or at the end of a place. */
  const addShot = (locationId: string): void => {
    const list = shotsOf(locationId);
    const at = list.findIndex((s) => s.id === selection.shotId);
    const index = at === -1 ? list.length - 1 : at;
    const shot = newShot(film, locationId, keyBetween(list[index]?.position, list[index + 1]?.position));
    if (film.create('shot', shot, tr('newShot')).length === 0) selection.pick(shot.id);
  };

  /** Adds what a reading of the list found missing, at the end of the place. */
  const addLacking = (locationId: string, lack: Lack): void => {
    const move = moveOf(lack.move.kind);
    const last = shotsOf(locationId).at(-1);
    const plain = newShot(film, locationId, keyBetween(last?.position, undefined));
    const shot = { ...plain, title: move?.name ?? '', move: plainMove(lack.move.kind, lack.move.values) };
    if (film.create('shot', shot, tr('addWhatIsMissing')).length === 0) selection.pick(shot.id);
  };

  /** What a new shot of a place starts from. */
  const templateFor = (locationId: string): Shot => {
    const fresh = newShot(film, locationId, keyBetween(shotsOf(locationId).at(-1)?.position, undefined));
    const like = film.get('shot', selection.shotId);
    // Flown with what the shot in hand is flown with.
    return like
      ? { ...fresh, aircraftId: like.aircraftId, cameraId: like.cameraId, modeId: like.modeId }
      : fresh;
  };

  /** Adds several shots behind the last of a place. */
  const addMany = (locationId: string, shots: readonly CoreShot[]): void => {
    const keys = bulk.keysBehind(locationId, shots.length);
    const made = shots.map((s, i) => ({ ...s, locationId, position: keys[i] ?? 'a0', cutPosition: '' }));
    const faults = film.commit(
      tr('addShots', { shots: counted(made.length, 'shot') }),
      made.map((s) => ({ kind: 'shot' as const, id: s.id, after: s })),
    );
    if (faults.length === 0 && made[0]) {
      selection.pick(made[0].id);
      selection.say(tr('shotsAdded', { shots: counted(made.length, 'shot') }));
    }
  };

  const splitShot = (id: string): void => {
    const second = bulk.split(id);
    if (second) selection.say(tr('splitInTwoEachHas'));
  };

  const copyShot = (id: string): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const at = list.findIndex((s) => s.id === id);
    const copy = {
      ...shot,
      id: uuid(),
      position: keyBetween(shot.position, list[at + 1]?.position),
      title: shot.title ? `${shot.title} 2`.slice(0, 10_000) : '',
    };
    if (film.create('shot', copy, tr('copy')).length === 0) selection.pick(copy.id);
  };

  const deleteShot = (id: string): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const at = list.findIndex((s) => s.id === id);
    const next = list[at + 1] ?? list[at - 1];
    film.remove(tr('deleteShot'), [{ kind: 'shot', id }]);
    if (next) selection.pick(next.id);
    selection.say(tr('deletedTitleCtrlZBrings', { title: shot.title || tr('untitled') }));
  };

  const applyCure = (cure: Cure): void => {
    if (!cure.set) return;
    const faults = film.edit(cure.set.entity, cure.set.id, cure.set.fields as never, tr('cure'));
    selection.say(faults[0]?.say ?? text(cure.say));
  };

  const undo = (): void => {
    const what = film.undo();
    selection.say(what ? tr('takenBackWhat', { what }) : tr('nothingToTakeBack'));
  };
  const redo = (): void => {
    const what = film.redo();
    selection.say(what ? tr('doneAgainWhat', { what }) : tr('nothingToDoAgain'));
  };

  return {
    shotsOf,
    addShot,
    addLacking,
    addMany,
    templateFor,
    splitShot,
    copyShot,
    deleteShot,
    ...useReorder(shotsOf),
    applyCure,
    undo,
    redo,
  };
};
