import { changeTo, type Entity, type EntityKind, type FilmInput, type RowChange } from '@core/model';
import type { Ground } from '@core/terrain';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { whenIdle } from '../composables/idle';
import { loadMessages } from '../composables/useMessages';
import { api } from '../sync/api';
import { ChangeFeed } from '../sync/change-feed';
import { claimDevice } from '../sync/device';
import type { Fields } from '../sync/fields';
import { openFilm } from '../sync/open-film';
import type { Conflict } from '../sync/outbox';
import { storePending } from '../sync/pending-storage';
import { heldPress } from '../sync/press';
import { RowCollection } from '../sync/row-collection';
import { SyncSession, type SyncState } from '../sync/sync-session';
import { storeSnapshot } from '../sync/snapshots';
import { validateRow, loadChecks, type Fault } from '../sync/validation';
import { tr } from './messages';

/** The open film as the pages read it, and the one way to change it. */
export const useFilm = defineStore('film', () => {
  const rows = new RowCollection();
  const filmId = ref('');
  const session = new SyncSession({
    rows,
    claimDevice,
    openFilm,
    apply: api.apply,
    storePending,
    storeSnapshot: (snapshot) => storeSnapshot({ ...snapshot, atMs: Date.now() }),
    subscribe: (since, handlers) => new ChangeFeed(since, handlers),
    validate: (kind, value) => validateRow(kind, value, film.value?.units),
    heldPress,
    changed: (next) => {
      state.value = next;
    },
  });
  const state = shallowRef<SyncState>(session.state);

  const list = <K extends EntityKind>(kind: K): readonly Entity<K>[] => rows.list(kind);
  const get = <K extends EntityKind>(kind: K, id: string): Entity<K> | undefined => rows.get(kind, id);
  /** Ground of the locations whose height grid has come in; another store fetches them. */
  const terrain = shallowRef<ReadonlyMap<string, Ground>>(new Map());
  const film = computed(() => get('film', filmId.value));
  const kit = computed(() => ({
    aircraft: list('aircraft'),
    packs: list('pack'),
    cards: list('card'),
    filters: list('filter'),
    pilots: list('pilot'),
    practice: list('practice'),
    chargers: list('charger'),
    devices: list('device'),
    flightLog: list('flightLogEntry'),
    gear: list('gear'),
    cardMoves: list('cardMove'),
    checks: list('check'),
  }));
  const input = computed<FilmInput | null>(() =>
    film.value
      ? {
          film: film.value,
          locations: list('location'),
          subjects: list('subject'),
          shots: list('shot'),
          readings: list('reading'),
          features: list('feature'),
          flights: list('flight'),
          answers: list('answer'),
          takes: list('take'),
          groundShots: list('groundShot'),
          terrain: terrain.value,
          kit: kit.value,
        }
      : null,
  );

  /** Runs the checks once before they are needed, so that the first step of a slider does not wait for their compiling. */
  const warmChecks = (): void => {
    for (const shot of list('shot').slice(0, 20)) validateRow('shot', shot);
  };
  const open = async (id: string): Promise<void> => {
    filmId.value = id;
    await session.open(id);
    if (state.value.loading || state.value.missing !== '') return;
    whenIdle(() => void loadMessages());
    whenIdle(() => void loadChecks().then(() => whenIdle(warmChecks)));
  };

  const commit = (label: string, changes: readonly RowChange[], gesture = ''): Fault[] =>
    session.commit(label, changes, gesture);
  /** Changes fields of a row. Quick changes of the same fields become one step. */
  const edit = <K extends EntityKind>(
    kind: K,
    id: string,
    fields: Fields<K>,
    label = tr('change'),
  ): Fault[] => {
    const now = rows.at(kind, id);
    if (!now) return [{ path: '', say: tr('itIsNotThereAny') }];
    const gesture = `${kind}:${id}:${Object.keys(fields).join()}`;
    return commit(label, [changeTo(kind, id, { ...now, ...fields })], gesture);
  };
  const create = <K extends EntityKind>(kind: K, value: Entity<K>, label = tr('addLower')): Fault[] =>
    commit(label, [changeTo(kind, value.id, value)]);
  const remove = (label: string, gone: readonly { kind: EntityKind; id: string }[]): Fault[] =>
    commit(
      label,
      gone.map((g) => changeTo(g.kind, g.id, null)),
    );

  if (typeof window !== 'undefined') {
    window.addEventListener('online', () => {
      session.online();
      void loadChecks();
    });
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') void session.flush();
    });
  }

  return {
    filmId,
    terrain,
    film,
    kit,
    input,
    list,
    get,
    open,
    commit,
    edit,
    create,
    remove,
    undo: () => session.undo(),
    redo: () => session.redo(),
    resolve: (conflict: Conflict, keep: 'mine' | 'theirs') => {
      session.resolve(conflict, keep);
    },
    dismissRejected: () => {
      session.dismissRejected();
    },
    close: () => {
      session.close();
    },
    loading: computed(() => state.value.loading),
    missing: computed(() => state.value.missing),
    saveState: computed(() => state.value.saving),
    outdated: computed(() => state.value.outdated),
    unsent: computed(() => state.value.unsent),
    trouble: computed(() => state.value.trouble),
    conflicts: computed(() => state.value.conflicts),
    rejected: computed(() => state.value.rejected),
    undoable: computed(() => ({ undo: state.value.canUndo, redo: state.value.canRedo })),
  };
});
