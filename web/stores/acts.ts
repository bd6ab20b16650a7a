import type { Entity } from '@contract';
import { BARE, DEFAULT_PREFERENCES, inOrder, type Cure } from '@core/film';
import { initialValues, moveOf } from '@core/moves';
import { generateKeyBetween } from 'fractional-indexing';
import { v4 as uuid } from 'uuid';
import { useFilm } from './film';
import { useLooking } from './looking';
import { useReckoning } from './reckoning';

type Shot = Entity<'shot'>;

/** What a person does to the list, in one place: each act is one step that can be taken back. */
export const useActs = () => {
  const film = useFilm();
  const looking = useLooking();
  const reckoning = useReckoning();

  const shotsOf = (locationId: string): Shot[] => inOrder(film.list('shot').filter((s) => s.locationId === locationId));

  /** A key between two neighbours; equal keys (two tabs adding at once) are stepped over. */
  const keyBetween = (before: string | undefined, after: string | undefined): string =>
    generateKeyBetween(before ?? null, after !== undefined && (before === undefined || before < after) ? after : null);

  const newShot = (locationId: string, position: string): Shot => {
    const preferences = film.film?.preferences ?? DEFAULT_PREFERENCES;
    const last = shotsOf(locationId).at(-1) ?? film.list('shot').at(-1);
    const aircraft = film.list('aircraft').find((a) => a.id === last?.aircraftId && !a.retired) ?? film.list('aircraft').find((a) => !a.retired);
    const camera = aircraft?.cameras.find((c) => c.id === last?.cameraId) ?? aircraft?.cameras[0];
    const subject = film.list('subject').find((s) => s.locationId === locationId);
    return {
      id: uuid(), locationId, position, title: '', subjectId: subject?.id ?? null, role: 'develop', priority: 'should', wants: 'any',
      move: { kind: 'push-in', values: { ...initialValues(moveOf('push-in')?.parameters ?? []) } },
      aircraftId: aircraft?.id ?? null, cameraId: camera?.id ?? '', modeId: camera?.modes[0]?.id ?? '', zoom: 1,
      cut: { by: 'seconds', beats: 8, segments: [{ timelineS: 6, speedFactor: 1 }] }, cutStyle: preferences.cutStyle,
      takes: 2, takeStyle: preferences.takeStyle, setupS: 30, subjectMarginS: 0,
      exposure: { aperture: null, shutterS: null, iso: null, filterId: null }, offsetStops: 0, notes: '',
    };
  };

  /** Adds a slate after the picked one, or at the end of a place. */
  const addShot = (locationId: string): void => {
    const list = shotsOf(locationId);
    const at = list.findIndex((s) => s.id === looking.shotId);
    const index = at === -1 ? list.length - 1 : at;
    const shot = newShot(locationId, keyBetween(list[index]?.position, list[index + 1]?.position));
    if (film.create('shot', shot, 'new slate').length === 0) looking.pick(shot.id);
  };

  const copyShot = (id: string): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const at = list.findIndex((s) => s.id === id);
    const copy = { ...shot, id: uuid(), position: keyBetween(shot.position, list[at + 1]?.position), title: shot.title ? `${shot.title} 2`.slice(0, 10_000) : '' };
    if (film.create('shot', copy, 'copy').length === 0) looking.pick(copy.id);
  };

  const deleteShot = (id: string): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const at = list.findIndex((s) => s.id === id);
    const next = list[at + 1] ?? list[at - 1];
    film.remove('delete slate', [{ kind: 'shot', id }]);
    if (next) looking.pick(next.id);
    looking.say(`Deleted “${shot.title || 'untitled'}”. Ctrl+Z brings it back.`);
  };

  /** Puts a slate before or after another one, also one of another place. */
  const placeShot = (id: string, targetId: string, edge: 'before' | 'after'): void => {
    const target = film.get('shot', targetId);
    if (!target || id === targetId) return;
    const list = shotsOf(target.locationId).filter((s) => s.id !== id);
    const at = list.findIndex((s) => s.id === targetId) + (edge === 'after' ? 1 : 0);
    moveTo(id, target.locationId, list[at - 1]?.position, list[at]?.position);
  };

  const moveTo = (id: string, locationId: string, before: string | undefined, after: string | undefined): void => {
    const shot = film.get('shot', id);
    if (!shot) return;
    const sameSubject = shot.locationId === locationId ? shot.subjectId : film.list('subject').find((s) => s.locationId === locationId)?.id ?? null;
    film.edit('shot', id, { position: keyBetween(before, after), locationId, subjectId: sameSubject }, 'move slate');
  };

  /** Puts a slate at the end of a place. */
  const placeAtEnd = (id: string, locationId: string): void => moveTo(id, locationId, shotsOf(locationId).filter((s) => s.id !== id).at(-1)?.position, undefined);

  /** Moves a slate up or down by one, over the edge of a place into the next. */
  const shiftShot = (id: string, by: -1 | 1): void => {
    const order = reckoning.derived?.order ?? [];
    const shot = film.get('shot', id);
    if (!shot) return;
    const list = shotsOf(shot.locationId);
    const neighbour = list[list.findIndex((s) => s.id === id) + by];
    if (neighbour) { placeShot(id, neighbour.id, by < 0 ? 'before' : 'after'); return; }
    const places = reckoning.locations;
    const place = places[places.findIndex((l) => l.id === shot.locationId) + by];
    if (!place) return;
    const there = shotsOf(place.id);
    const first = there[0];
    if (by > 0 && first) placeShot(id, first.id, 'before'); else if (order.length > 0) placeAtEnd(id, place.id);
  };

  const applyCure = (cure: Cure): void => {
    if (!cure.set) return;
    film.edit(cure.set.entity, cure.set.id, cure.set.fields as never, 'cure');
    looking.say(cure.say);
  };

  const undo = (): void => { const what = film.undo(); looking.say(what ? `Taken back: ${what}.` : 'Nothing to take back.'); };
  const redo = (): void => { const what = film.redo(); looking.say(what ? `Done again: ${what}.` : 'Nothing to do again.'); };

  return { shotsOf, addShot, copyShot, deleteShot, placeShot, placeAtEnd, shiftShot, applyCure, undo, redo, BARE };
};
