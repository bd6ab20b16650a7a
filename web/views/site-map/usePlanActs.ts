import { inSentence, phrase } from '../../format';
import { newRow, type Entity, type FeatureKind, type FeatureShape } from '@core/model';
import { featureWords, groundAt, newFeature } from '@core/site';
import { v4 as uuid } from 'uuid';
import type { Spot } from '../../map/features';
import { useFilm } from '../../stores/film';
import { useSelection } from '../../stores/selection';
import type { PlanState } from './planState';
import { tr } from './messages';

type Thing = Entity<'feature'>;

/** A subject this near to the ground stands on it, and stays on it when it is moved, m. */
const STANDS_M = 0.6;

/** What a person does to the plan: each act is one step that can be taken back. */
export const usePlanActs = ({ placeId, ground, picked, tool, said }: PlanState) => {
  const film = useFilm();
  const selection = useSelection();
  /** @returns whether the act was taken; else it is said why not */
  const told = (faults: readonly { say: string }[]): boolean => {
    said.value = faults.map((f) => f.say).join(' ');
    return faults.length === 0;
  };

  const add = (kind: FeatureKind, shape: FeatureShape, points: readonly Spot[]): void => {
    const words = featureWords(kind);
    const made: Thing = newFeature(kind, {
      id: uuid(),
      locationId: placeId.value,
      shape,
      points: points.map(({ xM, yM }) => ({ xM, yM })),
    });
    const faults = film.create('feature', made, tr('newName', { name: inSentence(phrase(words.name)) }));
    told(faults);
    if (faults.length > 0) return;
    tool.value = null;
    picked.value = { what: 'feature', id: made.id };
  };
  /** A subject put down on the ground, to be given its size beside the plan. */
  const addSubject = ({ xM, yM }: Spot): void => {
    const made = newRow('subject', {
      id: uuid(),
      locationId: placeId.value,
      xM,
      yM,
      baseM: Math.round(groundAt(ground.value, xM, yM) * 10) / 10,
    });
    const faults = film.create('subject', made, tr('newSubject'));
    told(faults);
    if (faults.length > 0) return;
    tool.value = null;
    picked.value = { what: 'subject', id: made.id };
  };
  const reshape = (id: string, points: readonly Spot[]): boolean =>
    told(film.edit('feature', id, { points }, tr('moveOnThePlan')));
  const moveSubject = (id: string, at: Spot): void => {
    const s = film.get('subject', id);
    if (!s) return;
    const stands = Math.abs(s.baseM - groundAt(ground.value, s.xM, s.yM)) < STANDS_M;
    told(
      film.edit(
        'subject',
        id,
        { ...at, ...(stands ? { baseM: Math.round(groundAt(ground.value, at.xM, at.yM) * 10) / 10 } : {}) },
        tr('moveSubject'),
      ),
    );
  };
  const move = (id: string, at: Spot): void => {
    if (film.get('subject', id)) moveSubject(id, at);
  };

  /** Where a moving subject goes; no places take its way back to straight on. */
  const way = (subjectId: string, points: readonly Spot[]): void => {
    told(
      film.edit(
        'subject',
        subjectId,
        { path: points.map(({ xM, yM }) => ({ xM, yM })) },
        tr('wayOfASubject'),
      ),
    );
    tool.value = null;
    picked.value = { what: 'subject', id: subjectId };
  };
  const remove = (): void => {
    const { what, id } = picked.value;
    if (what !== 'feature') return;
    const gone = film.get('feature', id);
    if (!gone) return;
    const homes =
      gone.kind === 'launch'
        ? [
            ...film
              .list('location')
              .filter((l) => l.launchId === id)
              .map((l) => ({
                kind: 'location' as const,
                id: l.id,
                after: { ...l, launchId: null },
              })),
            ...film
              .list('shot')
              .filter((s) => s.launchId === id)
              .map((s) => ({ kind: 'shot' as const, id: s.id, after: { ...s, launchId: null } })),
          ]
        : [];
    film.commit(tr('deleteName', { name: inSentence(phrase(featureWords(gone.kind).name)) }), [
      ...homes,
      { kind: 'feature', id, after: null },
    ]);
    picked.value = { what: 'nothing', id: '' };
    selection.say(tr('deletedNameCtrlZBrings', { name: gone.name || phrase(featureWords(gone.kind).name) }));
  };

  const drawWay = (subjectId: string): void => {
    tool.value = { what: 'way', subjectId };
  };

  return { add, addSubject, reshape, move, way, drawWay, remove };
};
