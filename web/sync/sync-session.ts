import type { AnyRow, Batch, LoggedChange } from '@contract';
import { isKit, type EntityKind } from '@core/model';
import { v4 as uuid } from 'uuid';
import { ApiProblem, Unreachable } from './api';
import type { ChangeHandlers } from './change-feed';
import { History, type Step, type StepChange, type Thing } from './history';
import { patched } from './merge';
import type { OpenedFilm } from './open-film';
import { keyOf, Outbox, type Conflict, type PendingChange } from './outbox';
import { ServerState } from './server-state';
import type { Snapshot } from './snapshots';
import type { Fault } from './validation';
import { tr } from './messages';

/**
 * `stuck`: the application answers, and takes nothing: its disk is full, its folder may not be written to, or it is of another
 * version than this page.
 */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'stuck' | 'refused';

/** Changes are kept here and tried again. */
const isHeld = (state: SaveState): boolean => state === 'offline' || state === 'stuck';

/** A change the server never takes, with its reason. */
export type RejectedChange = PendingChange & { readonly say: string };

/** How saving stands. */
export interface SyncState {
  readonly saving: SaveState;
  /** Why nothing can be saved just now; empty where it can. */
  readonly trouble: string;
  /** This page is of an earlier version than the application: it has to be loaded again. */
  readonly outdated: boolean;
  readonly conflicts: readonly Conflict[];
  readonly rejected: readonly RejectedChange[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Why there is no film to show; empty where there is one. */
  readonly missing: string;
  readonly loading: boolean;
  /** Changes that are on this device alone. */
  readonly unsent: number;
}

/** Rows as a page shows them. */
export interface ShownRows {
  readonly put: (kind: EntityKind, id: string, value: Thing | null) => void;
  readonly at: (kind: EntityKind, id: string) => Thing | null;
  readonly clear: () => void;
  /** All rows of one moment are put: show them. */
  readonly refresh: () => void;
}

/** What a session needs of the world around it. */
export interface SyncPorts {
  readonly rows: ShownRows;
  readonly claimDevice: () => Promise<string>;
  readonly openFilm: (id: string, device: string, wanted: () => boolean) => Promise<OpenedFilm | null>;
  readonly apply: (
    batch: Batch,
  ) => Promise<{ rows: AnyRow[]; gone: { readonly kind: EntityKind; readonly id: string }[] }>;
  /** Stores rows as the server has them on this device. */
  readonly storeSnapshot: (snapshot: Omit<Snapshot, 'atMs'>) => Promise<void>;
  readonly storePending: (device: string, filmId: string, pending: PendingChange[]) => Promise<void>;
  readonly subscribe: (since: number, handlers: ChangeHandlers) => { close: () => void };
  readonly validate: (kind: EntityKind, value: unknown) => Fault[];
  /** Number of the press that is held down, 0 when none is: what one press changes is one step. */
  readonly heldPress: () => number;
  readonly changed: (state: SyncState) => void;
}

/** A wanted change, whatever its kind; null deletes. */
export interface WantedChange {
  readonly kind: EntityKind;
  readonly id: string;
  readonly after: Thing | null;
}

const SAVE_DELAY_MS = 350;
/** Rest after news from the server before the film is stored on this device again. */
const SNAPSHOT_DELAY_MS = 3000;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

/**
 * One film open in one tab: rows as the server has them, changes that wait to be saved, what can be undone. It shows rows through
 * its ports and reports its state; it knows nothing of the page.
 */
export class SyncSession {
  private device = '';
  private film = '';
  private server = new ServerState();
  private outbox = new Outbox();
  private history = new History();
  private feed: { close: () => void } | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private failures = 0;
  private opens = 0;
  /** Name of the undo that goes out with the next batch. */
  private undoing: string | undefined;
  private saving: SaveState = 'saved';
  private trouble = '';
  private outdated = false;
  private missing = '';
  private loading = true;
  /** Newest change of the server that is known here. */
  private sequence = 0;
  private changes: readonly LoggedChange[] = [];
  private snapshotTimer: ReturnType<typeof setTimeout> | undefined;
  private rejected: readonly RejectedChange[] = [];

  constructor(private readonly ports: SyncPorts) {}

  get filmId(): string {
    return this.film;
  }

  get state(): SyncState {
    return {
      saving: this.saving,
      trouble: this.trouble,
      outdated: this.outdated,
      conflicts: this.outbox.conflicts,
      rejected: this.rejected,
      canUndo: this.history.canUndo,
      canRedo: this.history.canRedo,
      missing: this.missing,
      loading: this.loading,
      unsent: this.outbox.size,
    };
  }

  /** Opens a film in place of the one that is open. The one asked for last is the one that is shown. */
  async open(id: string): Promise<void> {
    this.close();
    this.opens += 1;
    const turn = this.opens;
    this.film = id;
    this.loading = true;
    this.missing = '';
    this.report();
    try {
      this.device = await this.ports.claimDevice();
      const opened = await this.ports.openFilm(id, this.device, () => turn === this.opens);
      if (opened) this.start(opened);
    } catch (error) {
      if (turn !== this.opens) return;
      this.loading = false;
      const told =
        error instanceof ApiProblem || (error instanceof Unreachable && error.kind.startsWith('page-'));
      this.missing = told ? error.message : tr('theApplicationDoesNotAnswer');
      this.report();
    }
  }

  private start(opened: OpenedFilm): void {
    this.server = new ServerState(opened.rows);
    this.ports.rows.clear();
    for (const row of opened.rows) this.show(row.kind, row.value.id, row.value as Thing);
    this.sequence = opened.sequence;
    this.changes = opened.changes;
    this.history = History.fromLog(opened.changes, this.device);
    this.outbox = new Outbox();
    this.rejected = [];
    this.outbox.adopt(opened.left, (key) => this.server.at(key));
    for (const p of this.outbox.toJSON()) this.show(p.kind, p.id, p.value);
    this.failures = 0;
    this.trouble = '';
    this.loading = false;
    this.settle();
    if (opened.offline) this.saving = 'offline';
    this.ports.rows.refresh();
    this.report();
    this.feed = this.ports.subscribe(opened.sequence, {
      change: (change) => {
        this.receive(change);
      },
      reset: () => void this.reopen(),
      open: () => {
        this.online();
      },
    });
    // What was left behind may all be taken by now: then nothing waits any more.
    if (opened.left.length > 0) this.store(this.outbox, this.film);
    if (this.outbox.size > 0) this.schedule(0);
  }

  /** Sends what waits, and listens no more. */
  close(): void {
    if (this.snapshotTimer !== undefined) this.snapshot();
    this.feed?.close();
    this.feed = null;
    if (this.outbox.waiting > 0) void this.flush();
  }

  /** The connection is back: what waits goes out at once. */
  online(): void {
    if (!isHeld(this.saving)) return;
    this.failures = 0;
    this.settle();
    this.report();
    this.schedule(0);
  }

  /** Makes changes as one step. @returns faults that kept it from being made; none when it was */
  commit(label: string, changes: readonly WantedChange[], gesture = ''): Fault[] {
    for (const c of changes) {
      const faults = c.after ? this.ports.validate(c.kind, c.after) : [];
      if (faults.length > 0) return faults;
    }
    // Plain data: what a page hands over may be watched by it, and could be neither stored nor sent to a worker.
    const full = changes.map((c) => ({
      ...c,
      after: c.after && (JSON.parse(JSON.stringify(c.after)) as Thing),
      before: this.ports.rows.at(c.kind, c.id),
    }));
    this.history.record({ label, changes: full }, gesture, Date.now(), this.ports.heldPress());
    this.put(full);
    return [];
  }

  /** @returns label of the step that was undone; null when there is none */
  undo(): string | null {
    return this.replay(this.history.undo(), false);
  }

  /** @returns label of the step that was done again; null when there is none */
  redo(): string | null {
    return this.replay(this.history.redo(), true);
  }

  /** The person chose between two versions of a row. */
  resolve(conflict: Conflict, keep: 'mine' | 'theirs'): void {
    this.show(conflict.kind, conflict.id, this.outbox.resolve(keyOf(conflict.kind, conflict.id), keep));
    this.settle();
    this.refresh();
    if (this.outbox.waiting > 0) this.schedule(0);
    this.store(this.outbox, this.film);
  }

  /** The person has read what was rejected. */
  dismissRejected(): void {
    this.rejected = [];
    this.report();
  }

  /** Sends what waits now. */
  async flush(): Promise<void> {
    // Another film may be opened while an answer is on its way: this batch belongs to the outbox it left.
    const box = this.outbox;
    const film = this.film;
    const batch = box.take();
    if (!batch) return;
    this.saving = isHeld(this.saving) ? this.saving : 'saving';
    this.report();
    const undoes = this.undoing;
    this.undoing = undefined;
    this.store(box, film);
    try {
      const answer = await this.ports.apply({
        ...batch,
        device: this.device,
        ...(undoes ? { undoes } : {}),
      });
      if (box === this.outbox) this.accept(answer);
      else box.acknowledge(new Map());
    } catch (error) {
      this.failed(box, error);
    }
    this.store(box, film);
  }

  private show(kind: EntityKind, id: string, value: Thing | null): void {
    this.ports.rows.put(kind, id, value);
  }

  private report(): void {
    this.ports.changed(this.state);
  }

  private refresh(): void {
    this.ports.rows.refresh();
    this.report();
  }

  /** Stores the film on this device a moment after the last news. */
  private snapshotSoon(): void {
    // While another film is being read the rows are still those of the one before.
    if (this.loading || this.missing !== '') return;
    clearTimeout(this.snapshotTimer);
    this.snapshotTimer = setTimeout(() => {
      this.snapshot();
    }, SNAPSHOT_DELAY_MS);
  }

  private snapshot(): void {
    clearTimeout(this.snapshotTimer);
    this.snapshotTimer = undefined;
    const { film: filmId, sequence, changes } = this;
    void this.ports.storeSnapshot({ filmId, rows: this.server.all, sequence, changes });
  }

  private store(box: Outbox, film: string): void {
    void this.ports.storePending(this.device, film, box.toJSON());
  }

  /** Reads everything again; what waits is stored meanwhile. */
  private async reopen(): Promise<void> {
    await this.ports.storePending(this.device, this.film, this.outbox.toJSON());
    await this.open(this.film);
  }

  /** A change taken by the server, from this tab or another. */
  private receive(change: LoggedChange): void {
    if (change.filmId !== this.film && !isKit(change.kind)) return;
    const key = keyOf(change.kind, change.id);
    // The answer to what is in flight says it as well; what this tab sent before a reload has no other way to arrive.
    if (change.device === this.device && this.outbox.isInFlight(key)) return;
    this.sequence = Math.max(this.sequence, change.sequence);
    this.snapshotSoon();
    if (!this.server.receive(change)) return;
    if (this.outbox.has(key)) {
      this.rebase(change);
      return;
    }
    this.show(change.kind, change.id, change.after as Thing | null);
    if (change.kind === 'film' && !change.after) this.missing = tr('thisFilmWasDeletedIn');
    this.refresh();
  }

  /** A row with an open conflict changed again: the person is asked about what is stored now, or no more where the two go together. */
  private rebase(change: LoggedChange): void {
    const key = keyOf(change.kind, change.id);
    const theirs = change.after as Thing | null;
    const merged = this.outbox.rebase(change.kind, change.id, theirs, change.after ? change.version : 0);
    if (merged) this.show(change.kind, change.id, merged);
    else if (!this.outbox.has(key)) this.show(change.kind, change.id, theirs);
    const asked = this.saving === 'refused';
    if (asked) this.settle();
    this.refresh();
    if (asked && this.outbox.waiting > 0) this.schedule();
  }

  private schedule(delayMs = SAVE_DELAY_MS): void {
    clearTimeout(this.timer);
    if (this.outbox.waiting > 0 && !isHeld(this.saving) && this.saving !== 'waiting') {
      this.saving = 'waiting';
      this.report();
    }
    this.timer = setTimeout(() => void this.flush(), delayMs);
  }

  /** Works out how saving stands: what was changed may have been undone before it went out. */
  private settle(): void {
    const { conflicts, waiting, size } = this.outbox;
    this.saving = conflicts.length > 0 ? 'refused' : waiting > 0 ? 'waiting' : size > 0 ? 'saving' : 'saved';
  }

  private accept({ rows, gone }: Awaited<ReturnType<SyncPorts['apply']>>): void {
    for (const row of rows) {
      // An answer that was long on its way may be older than what has arrived meanwhile.
      const newer = this.server.answer(row);
      const key = keyOf(row.kind, row.value.id);
      if (newer) this.show(row.kind, row.value.id, this.outbox.waitingValue(key) ?? newer.value);
    }
    for (const { kind, id } of gone) this.server.deleted(kind, id);
    this.snapshotSoon();
    this.outbox.acknowledge(new Map(rows.map((r) => [keyOf(r.kind, r.value.id), r.version])));
    this.failures = 0;
    this.trouble = '';
    this.settle();
    this.report();
    if (this.outbox.waiting > 0) this.schedule();
  }

  private failed(box: Outbox, error: unknown): void {
    if (box !== this.outbox) {
      box.returned(!(error instanceof ApiProblem));
    } else if (error instanceof ApiProblem && error.conflicts.length > 0) {
      this.outbox.returned(false);
      for (const c of error.conflicts) this.server.conflict(c);
      for (const merged of this.outbox.conflict(error.conflicts))
        this.show(merged.kind, merged.id, merged.value);
      this.settle();
      this.refresh();
      if (this.outbox.waiting > 0) this.schedule(0);
    } else if (error instanceof ApiProblem) {
      this.reject(error);
    } else {
      this.outbox.returned(true);
      this.saving = error instanceof Unreachable && /^(storage|page)-/.test(error.kind) ? 'stuck' : 'offline';
      this.trouble = error instanceof Unreachable ? error.message : String(error);
      this.outdated = error instanceof Unreachable && error.kind === 'page-older';
      this.report();
      this.schedule(RETRY_MS[Math.min(this.failures, RETRY_MS.length - 1)]);
      this.failures += 1;
    }
  }

  /** The server never takes something as it is: say why, and show what it has. */
  private reject({ message }: ApiProblem): void {
    const given = this.outbox.refused();
    for (const { kind, id } of given) this.show(kind, id, this.server.at(keyOf(kind, id))?.value ?? null);
    this.rejected = [...this.rejected, ...given.map((g) => ({ ...g, say: message }))];
    this.settle();
    this.refresh();
    if (this.outbox.waiting > 0) this.schedule(0);
  }

  private put(changes: readonly StepChange[]): void {
    for (const c of changes) {
      const key = keyOf(c.kind, c.id);
      const stored = this.server.at(key);
      this.outbox.put(c.kind, c.id, c.after, stored);
      // Undone before it went out: then what is stored counts, which may be another than what it was changed from.
      this.show(c.kind, c.id, this.outbox.has(key) ? c.after : (stored?.value ?? null));
    }
    if (!isHeld(this.saving) && this.saving !== 'saving') this.settle();
    this.refresh();
    this.store(this.outbox, this.film);
    this.schedule();
  }

  private replay(step: Step | null, forward: boolean): string | null {
    if (!step) return null;
    this.put(
      step.changes.map((c): StepChange => {
        const now = this.ports.rows.at(c.kind, c.id);
        const [from, to] = forward ? [c.before, c.after] : [c.after, c.before];
        return { ...c, before: now, after: now && from && to ? (patched(now, from, to) as Thing) : to };
      }),
    );
    if (!forward) this.undoing = uuid();
    return step.label;
  }
}
