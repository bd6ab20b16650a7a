import { inOrder } from '@core/units';
import { counted } from '../format';
import type { Entity } from '@core/model';
import { v4 as uuid } from 'uuid';
import type { Fields } from '../sync/fields';
import { useFilm } from '../stores/film';
import { keyBetween } from './new-shot';
import { tr } from './messages';

type Shot = Entity<'shot'>;

/** Half of a cut; a ramp is cut at its middle. */
const halved = (cut: Shot['cut'], half: 0 | 1): Shot['cut'] => ({
  ...cut,
  beats: cut.beats / 2,
  segments: cut.segments.map((s) => {
    const middle = s.endFactor === null ? s.speedFactor : (s.speedFactor + s.endFactor) / 2;
    return {
      timelineS: s.timelineS / 2,
      speedFactor: half === 0 ? s.speedFactor : middle,
      endFactor: s.endFactor === null ? null : half === 0 ? middle : s.endFactor,
    };
  }),
});
/** What is done to several shots at once, or makes one of several; each act is one step that can be taken back. */
export const useBulkEdit = () => {
  const film = useFilm();
  const shotsOf = (locationId: string): Shot[] =>
    inOrder(film.list('shot').filter((s) => s.locationId === locationId));
  const all = (ids: readonly string[]): Shot[] =>
    ids.flatMap((id) => {
      const shot = film.get('shot', id);
      return shot ? [shot] : [];
    });
  const put = (shot: Shot) => ({ kind: 'shot' as const, id: shot.id, after: shot });
  const gone = (id: string) => ({ kind: 'shot' as const, id, after: null });

  const change = (ids: readonly string[], fields: Fields<'shot'>, label: string) =>
    film.commit(
      label,
      all(ids).map((s) => put({ ...s, ...fields } as Shot)),
    );
  /** Another aircraft brings its own first lens and mode. */
  const changeAircraft = (ids: readonly string[], aircraftId: string) => {
    const camera = film.get('aircraft', aircraftId)?.cameras[0];
    return change(
      ids,
      { aircraftId, cameraId: camera?.id ?? '', modeId: camera?.modes[0]?.id ?? '' },
      tr('aircraftOfShots'),
    );
  };
  const remove = (ids: readonly string[]) =>
    film.commit(tr('deleteShots', { shots: counted(ids.length, 'shot') }), ids.map(gone));

  /** Keys behind the last of a place, one for each. */
  const keysBehind = (locationId: string, count: number): string[] => {
    let last = shotsOf(locationId).at(-1)?.position;
    return Array.from({ length: count }, () => {
      last = keyBetween(last, undefined);
      return last;
    });
  };
  /** Copies to a place, aimed at a subject of the same kind there, or its first. @returns ids of the copies */
  const copyTo = (ids: readonly string[], locationId: string): string[] => {
    const there = film.list('subject').filter((s) => s.locationId === locationId);
    const keys = keysBehind(locationId, ids.length);
    const copies = all(ids).map((shot, i): Shot => {
      const kind = film.get('subject', shot.subjectId ?? '')?.kind;
      const subjectId =
        shot.locationId === locationId
          ? shot.subjectId
          : ((there.find((s) => s.kind === kind) ?? there[0])?.id ?? null);
      return { ...shot, id: uuid(), locationId, subjectId, position: keys[i] ?? 'a0', cutPosition: '' };
    });
    film.commit(tr('copyShots', { shots: counted(copies.length, 'shot') }), copies.map(put));
    return copies.map((c) => c.id);
  };

  /** One shot becomes two, each with half of the cut. @returns the second's id */
  const split = (id: string): string | null => {
    const shot = film.get('shot', id);
    if (!shot) return null;
    const list = shotsOf(shot.locationId);
    const next = list[list.findIndex((s) => s.id === id) + 1];
    const second: Shot = {
      ...shot,
      id: uuid(),
      title: shot.title ? `${shot.title} b`.slice(0, 10_000) : '',
      position: keyBetween(shot.position, next?.position),
      cutPosition: '',
      cut: halved(shot.cut, 1),
    };
    film.commit(tr('splitShot'), [
      put({ ...shot, title: shot.title ? `${shot.title} a`.slice(0, 10_000) : '', cut: halved(shot.cut, 0) }),
      put(second),
    ]);
    return second.id;
  };
  /** Why some shots cannot become one; null when they can. */
  const whyNotJoined = (ids: readonly string[]): string | null => {
    const shots = all(ids);
    if (shots.length < 2) return tr('twoShotsAreTheLeast');
    if (new Set(shots.map((s) => s.locationId)).size > 1) return tr('theyAreFlownAtDifferent');
    if (new Set(shots.map((s) => s.cut.by)).size > 1) return tr('someAreMeasuredInSeconds');
    return shots.reduce((n, s) => n + s.cut.segments.length, 0) > 40
      ? tr('togetherTheyHaveMoreStretches')
      : null;
  };
  /** Several shots become the first of them, with all of the cut one after another. */
  const join = (ids: readonly string[]): string | null => {
    const [first, ...rest] = all(ids);
    if (!first || whyNotJoined(ids) !== null) return null;
    const parts = [first, ...rest];
    const joined: Shot = {
      ...first,
      notes: parts
        .map((s) => s.notes)
        .filter((n) => n !== '')
        .join('\n')
        .slice(0, 10_000),
      cut: {
        ...first.cut,
        beats: parts.reduce((n, s) => n + s.cut.beats, 0),
        segments: parts.flatMap((s) => s.cut.segments),
      },
    };
    film.commit(tr('joinShots'), [put(joined), ...rest.map((s) => gone(s.id))]);
    return first.id;
  };
  return { change, changeAircraft, remove, copyTo, split, join, whyNotJoined, keysBehind };
};
