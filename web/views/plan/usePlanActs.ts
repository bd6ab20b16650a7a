import type { Entity } from '@contract';
import { aimOf, type Location } from '@core/film';
import { moveOf, withGrip } from '@core/moves';
import { featureWords, groundAt, type FeatureKind, type FeatureShape } from '@core/site';
import type { Ground } from '@core/terrain';
import { v4 as uuid } from 'uuid';
import type { Ref } from 'vue';
import type { Spot, Tool } from '../../plan/map';
import { useFilm } from '../../stores/film';
import { useLooking } from '../../stores/looking';
import type { Picked } from './usePlan';

type Thing = Entity<'feature'>;

interface State {
  readonly place: Readonly<Ref<Location | null>>;
  readonly placeId: Readonly<Ref<string>>;
  readonly ground: Readonly<Ref<Ground>>;
  readonly subjects: Readonly<Ref<readonly Entity<'subject'>[]>>;
  readonly picked: Ref<Picked>;
  readonly tool: Ref<Tool>;
  readonly said: Ref<string>;
}

/** A subject this near to the ground stands on it, and stays on it when it is moved, m. */
const STANDS_M = 0.6;

/** What a person does to the plan: each act is one step that can be taken back. */
export const usePlanActs = ({ place, placeId, ground, subjects, picked, tool, said }: State) => {
  const film = useFilm();
  const looking = useLooking();
  const told = (faults: readonly { say: string }[]): void => { said.value = faults.map((f) => f.say).join(' '); };

  const add = (kind: FeatureKind, shape: FeatureShape, points: readonly Spot[]): void => {
    const words = featureWords(kind);
    const made: Thing = {
      id: uuid(), locationId: placeId.value, kind, name: '', shape, points: points.map(({ xM, yM }) => ({ xM, yM })), heightM: words.heightM, radiusM: words.radiusM, keepM: words.keepM,
      source: '', until: '', granted: false, notes: '',
    };
    const faults = film.create('feature', made, `new ${words.name.toLowerCase()}`);
    told(faults);
    if (faults.length > 0) return;
    tool.value = null;
    picked.value = { what: 'feature', id: made.id };
  };
  const reshape = (id: string, points: readonly Spot[]): void => told(film.edit('feature', id, { points }, 'move on the plan'));
  const moveSubject = (id: string, at: Spot): void => {
    const s = film.get('subject', id);
    if (!s) return;
    const stands = Math.abs(s.baseM - groundAt(ground.value, s.xM, s.yM)) < STANDS_M;
    told(film.edit('subject', id, { ...at, ...(stands ? { baseM: Math.round(groundAt(ground.value, at.xM, at.yM) * 10) / 10 } : {}) }, 'move subject'));
  };
  const move = (id: string, at: Spot): void => { if (film.get('subject', id)) moveSubject(id, at); };

  /** The origin's own launch point, dragged, becomes one that can lie anywhere. */
  const dragLaunch = (at: Spot): void => {
    const id = uuid();
    const words = featureWords('launch');
    const made: Thing = { id, locationId: placeId.value, kind: 'launch', name: 'Launch', shape: 'point', points: [at], heightM: 0, radiusM: words.radiusM, keepM: 0, source: '', until: '', granted: false, notes: '' };
    const l = place.value;
    if (l) told(film.act('move launch point', [{ kind: 'feature', id, after: made as never }, { kind: 'location', id: l.id, after: { ...l, launchId: id } as never }]));
  };
  /** Distance and side of the picked shot, dragged by a grip; seen at once wherever the shot is. */
  const dragShot = (part: 'near' | 'end', shotId: string, at: Spot): void => {
    const shot = film.get('shot', shotId);
    const subjectOf = subjects.value.find((s) => s.id === shot?.subjectId) ?? null;
    const kind = shot && moveOf(shot.move.kind);
    if (shot && kind) told(film.edit('shot', shotId, { move: { ...shot.move, values: { ...withGrip(kind, shot.move.values, aimOf(subjectOf), part, { x: at.xM, y: at.yM }) } } }, 'drag on the plan'));
  };
  const route = (shotId: string, points: readonly Spot[]): void => {
    const shot = film.get('shot', shotId);
    if (!shot) return;
    const before = shot.move.points;
    const made = points.map((p, i) => ({ ...(before[Math.min(i, before.length - 1)] ?? { zM: 10, speedMs: 4 }), ...p }));
    told(film.edit('shot', shotId, { move: { ...shot.move, points: made } }, 'route'));
  };

  const remove = (): void => {
    const { what, id } = picked.value;
    if (what !== 'feature') return;
    const gone = film.get('feature', id);
    if (!gone) return;
    const homes = gone.kind === 'launch' ? [
      ...film.list('location').filter((l) => l.launchId === id).map((l) => ({ kind: 'location' as const, id: l.id, after: { ...l, launchId: null } as never })),
      ...film.list('shot').filter((s) => s.launchId === id).map((s) => ({ kind: 'shot' as const, id: s.id, after: { ...s, launchId: null } as never })),
    ] : [];
    film.act(`delete ${featureWords(gone.kind).name.toLowerCase()}`, [...homes, { kind: 'feature', id, after: null }]);
    picked.value = { what: 'nothing', id: '' };
    looking.say(`Deleted ${gone.name || featureWords(gone.kind).name}. Ctrl+Z brings it back.`);
  };

  return { add, reshape, move, dragLaunch, dragShot, route, remove };
};
