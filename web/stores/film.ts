import { isKit, type Entity, type EntityKind, type FilmInput } from '@core/model';
import type { LoggedChange } from '@contract';
import type { Ground } from '@core/terrain';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v4 as uuid } from 'uuid';
import { api, ApiProblem, Unreachable } from '../sync/api';
import { claimDevice } from '../sync/device';
import type { Fields } from '../sync/fields';
import { heldPress } from '../sync/press';
import { History, type Step, type StepChange, type Thing } from '../sync/history';
import { whenIdle } from '../composables/idle';
import { keepPending } from '../sync/pending-storage';
import { patched } from '../sync/merge';
import { listenTo } from '../sync/change-feed';
import { readFilm } from '../sync/open-film';
import { keyOf, Outbox, type Clash, type Pending } from '../sync/outbox';
import { Shelf } from '../sync/row-collection';
import { Told } from '../sync/server-state';
import { faultsOf, loadChecks, type Fault } from '../sync/validation';

export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'refused';

const SAVE_DELAY_MS = 350;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

/** The open film: rows as they stand here, what waits to be saved, what can be taken back. */
export const useFilm = defineStore('film', () => {
  let device = '';
  const filmId = ref('');
  const loading = ref(true);
  const missing = ref('');
  const saveState = ref<SaveState>('saved');
  /** Why nothing can be saved just now. */
  const trouble = ref('');
  /** Changes the server will never take, until somebody has seen it. */
  const refusals = shallowRef<readonly (Pending & { readonly say: string })[]>([]);
  const clashes = shallowRef<Clash[]>([]);
  const undoable = ref({ undo: false, redo: false });
  const shelf = new Shelf();
  let stored = new Told();
  let outbox = new Outbox();
  let history = new History();
  let events: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let failures = 0;

  const list = <K extends EntityKind>(kind: K): readonly Entity<K>[] => shelf.list(kind);
  const get = <K extends EntityKind>(kind: K, id: string): Entity<K> | undefined => shelf.get(kind, id);
  /** Ground of the places whose raster has come in; another store fetches them. */
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
    flown: list('flown'),
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
          terrain: terrain.value,
          kit: kit.value,
        }
      : null,
  );

  const show = (kind: EntityKind, id: string, value: Thing | null): void => shelf.put(kind, id, value);
  const refresh = (): void => {
    shelf.refresh();
    clashes.value = outbox.clashes;
    undoable.value = { undo: history.canUndo, redo: history.canRedo };
  };

  let loads = 0;
  const load = async (id: string): Promise<void> => {
    close();
    loads += 1;
    const turn = loads;
    filmId.value = id;
    loading.value = true;
    missing.value = '';
    try {
      device = await claimDevice();
      const opened = await readFilm(id, device, () => turn === loads);
      if (!opened) return;
      stored = new Told(opened.rows);
      shelf.clear();
      for (const row of opened.rows) show(row.kind, row.value.id, row.value as Thing);
      history = History.fromLog(opened.changes, device);
      outbox = new Outbox();
      refusals.value = [];
      outbox.adopt(opened.left, (key) => stored.at(key));
      for (const p of outbox.toJSON()) show(p.kind, p.id, p.value);
      failures = 0;
      trouble.value = '';
      restate();
      refresh();
      loading.value = false;
      events = listenTo(opened.sequence, {
        change: hear,
        reset: () => void afresh(),
        open: () => {
          if (saveState.value === 'offline') {
            restate();
            schedule(0);
          }
        },
      });
      whenIdle(() => void loadChecks().then(() => whenIdle(rehearse)));
      if (outbox.size > 0) schedule(0);
    } catch (error) {
      if (turn !== loads) return;
      loading.value = false;
      missing.value =
        error instanceof ApiProblem ? error.message : 'The application does not answer. Is it running?';
    }
  };

  /** Runs the checks once before they are needed, so that the first step of a slider does not wait for their compiling. */
  const rehearse = (): void => {
    for (const shot of list('shot').slice(0, 20)) faultsOf('shot', shot);
  };

  /** Reads everything anew, with what waits kept aside meanwhile. */
  const afresh = async (): Promise<void> => {
    await keepPending(device, filmId.value, outbox.toJSON());
    await load(filmId.value);
  };

  /** A change taken by the server, from this tab or another. */
  const hear = (change: LoggedChange): void => {
    if (change.filmId !== filmId.value && !isKit(change.kind)) return;
    const key = keyOf(change.kind, change.id);
    // The answer to what is on its way says it, too. What this tab sent before it was loaded anew has no other way to be heard.
    if (change.device === device && outbox.flies(key)) return;
    if (!stored.hear(change)) return;
    if (outbox.has(key)) {
      renew(change);
      return;
    }
    show(change.kind, change.id, change.after as Thing | null);
    if (change.kind === 'film' && !change.after) missing.value = 'This film was deleted in another tab.';
    refresh();
  };

  /** What a clash is about changed again: the person is asked about what is stored now, or not at all where the two go together. */
  const renew = (change: LoggedChange): void => {
    const key = keyOf(change.kind, change.id);
    const merged = outbox.renew(
      change.kind,
      change.id,
      change.after as Thing | null,
      change.after ? change.version : 0,
    );
    if (merged) show(change.kind, change.id, merged);
    else if (!outbox.has(key)) show(change.kind, change.id, change.after as Thing | null);
    refresh();
    if (saveState.value !== 'refused') return;
    restate();
    if (outbox.waiting > 0) schedule();
  };

  const schedule = (delay = SAVE_DELAY_MS): void => {
    clearTimeout(timer);
    if (outbox.waiting > 0 && saveState.value !== 'offline') saveState.value = 'waiting';
    timer = setTimeout(() => void flush(), delay);
  };

  let undoing: string | undefined;
  const flush = async (): Promise<void> => {
    // The film may be changed for another while an answer is on its way: this flight belongs to the outbox it left.
    const box = outbox;
    const film = filmId.value;
    const sending = box.take();
    if (!sending) return;
    saveState.value = saveState.value === 'offline' ? 'offline' : 'saving';
    const undoes = undoing;
    undoing = undefined;
    void keepPending(device, film, box.toJSON());
    try {
      const taken = await api.apply({ ...sending, device, ...(undoes ? { undoes } : {}) });
      if (box === outbox) accept(taken);
      else box.taken(new Map());
    } catch (error) {
      failed(box, error);
    }
    void keepPending(device, film, box.toJSON());
  };

  /** Says how saving stands once something is settled: what was changed may have been taken back before it went out. */
  const restate = (): void => {
    saveState.value =
      outbox.clashes.length > 0
        ? 'refused'
        : outbox.waiting > 0
          ? 'waiting'
          : outbox.size > 0
            ? 'saving'
            : 'saved';
  };

  const accept = ({ rows, gone }: Awaited<ReturnType<typeof api.apply>>): void => {
    for (const row of rows) {
      // An answer that was long on its way may be older than what was heard meanwhile.
      const newer = stored.answer(row);
      if (newer) show(row.kind, row.value.id, outbox.waits(keyOf(row.kind, row.value.id)) ?? newer.value);
    }
    for (const { kind, id } of gone) stored.deleted(kind, id);
    outbox.taken(new Map(rows.map((r) => [keyOf(r.kind, r.value.id), r.version])));
    failures = 0;
    trouble.value = '';
    restate();
    if (outbox.waiting > 0) schedule();
  };

  const failed = (box: Outbox, error: unknown): void => {
    if (box !== outbox) {
      box.returned(!(error instanceof ApiProblem));
      return;
    }
    if (error instanceof ApiProblem && error.conflicts.length > 0) {
      outbox.returned(false);
      for (const c of error.conflicts) stored.conflict(c);
      for (const merged of outbox.clash(error.conflicts)) show(merged.kind, merged.id, merged.value);
      restate();
      refresh();
      if (outbox.waiting > 0) schedule(0);
    } else if (error instanceof ApiProblem) {
      refuse(error);
    } else {
      outbox.returned(true);
      saveState.value = 'offline';
      trouble.value = error instanceof Unreachable ? error.message : String(error);
      schedule(RETRY_MS[Math.min(failures, RETRY_MS.length - 1)]);
      failures += 1;
    }
  };

  /** The server will never take something as it is: say why, and show what it has. */
  const refuse = ({ message }: ApiProblem): void => {
    const given = outbox.refused();
    for (const { kind, id } of given) show(kind, id, stored.at(keyOf(kind, id))?.value ?? null);
    refusals.value = [...refusals.value, ...given.map((g) => ({ ...g, say: message }))];
    restate();
    refresh();
    if (outbox.waiting > 0) schedule(0);
  };

  const put = (changes: readonly StepChange[]): void => {
    for (const c of changes) {
      const key = keyOf(c.kind, c.id);
      const held = stored.at(key);
      outbox.put(c.kind, c.id, c.after, held);
      // Taken back before it went out: then what is stored counts, which may be another than what it was changed from.
      show(c.kind, c.id, outbox.has(key) ? c.after : (held?.value ?? null));
    }
    refresh();
    if (saveState.value !== 'offline' && saveState.value !== 'saving') restate();
    schedule();
  };

  /** Makes changes as one step. @returns faults that kept it from being made; none when it was */
  const act = (
    label: string,
    changes: readonly { kind: EntityKind; id: string; after: Thing | null }[],
    gesture = '',
  ): Fault[] => {
    for (const c of changes) {
      const faults = c.after ? faultsOf(c.kind, c.after) : [];
      if (faults.length > 0) return faults;
    }
    // Plain data: what a page hands over may be watched by it, and could be neither kept aside nor sent to a worker.
    const full = changes.map((c) => ({
      ...c,
      after: c.after && (JSON.parse(JSON.stringify(c.after)) as Thing),
      before: shelf.at(c.kind, c.id),
    }));
    history.record({ label, changes: full }, gesture, Date.now(), heldPress());
    put(full);
    return [];
  };

  /** Changes fields of a thing. Quick changes of the same fields become one step. */
  const edit = <K extends EntityKind>(kind: K, id: string, fields: Fields<K>, label = 'change'): Fault[] => {
    const now = shelf.at(kind, id);
    if (!now) return [{ path: '', say: 'It is not there any more.' }];
    return act(
      label,
      [{ kind, id, after: { ...now, ...fields } }],
      `${kind}:${id}:${Object.keys(fields).join()}`,
    );
  };
  const create = <K extends EntityKind>(kind: K, value: Entity<K>, label = 'add'): Fault[] =>
    act(label, [{ kind, id: value.id, after: value as Thing }]);
  const remove = (label: string, gone: readonly { kind: EntityKind; id: string }[]): Fault[] =>
    act(
      label,
      gone.map((g) => ({ ...g, after: null })),
    );

  const replay = (step: Step | null, forward: boolean): string | null => {
    if (!step) return null;
    put(
      step.changes.map((c): StepChange => {
        const now = shelf.at(c.kind, c.id);
        const [from, to] = forward ? [c.before, c.after] : [c.after, c.before];
        return { ...c, before: now, after: now && from && to ? (patched(now, from, to) as Thing) : to };
      }),
    );
    if (!forward) undoing = uuid();
    return step.label;
  };
  const undo = (): string | null => replay(history.undo(), false);
  const redo = (): string | null => replay(history.redo(), true);

  const choose = (clash: Clash, keep: 'mine' | 'theirs'): void => {
    show(clash.kind, clash.id, outbox.resolve(keyOf(clash.kind, clash.id), keep));
    restate();
    refresh();
    if (outbox.waiting > 0) schedule(0);
    void keepPending(device, filmId.value, outbox.toJSON());
  };

  const close = (): void => {
    events?.close();
    events = null;
    if (outbox.waiting > 0) void flush();
  };

  if (typeof window !== 'undefined') {
    window.addEventListener('online', () => {
      schedule(0);
      void loadChecks();
    });
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') void flush();
    });
  }

  return {
    filmId,
    terrain,
    loading,
    missing,
    saveState,
    trouble,
    refusals,
    clashes,
    undoable,
    film,
    kit,
    input,
    list,
    get,
    load,
    edit,
    create,
    remove,
    act,
    undo,
    redo,
    choose,
    close,
  };
});
