import type { AnyRow, LoggedChange } from '@contract';
import { MODEL_VERSION, rowOfToday } from '@core/model';
import { del, entries, get, set, type UseStore } from 'idb-keyval';
import { durableStore } from './device-store';

/** A film as this device last had it from the server, with the kit. */
export interface Snapshot {
  readonly filmId: string;
  readonly rows: readonly AnyRow[];
  /** Its log when it was opened, for undo. */
  readonly changes: readonly LoggedChange[];
  readonly sequence: number;
  /** When it was stored, UTC ms. */
  readonly atMs: number;
  /** Version of the model it is written in; before there was one, nothing. */
  readonly model?: number;
}

let opened: UseStore | undefined;
const store = (): UseStore => {
  opened ??= durableStore('dusk-slate-films', 'films');
  return opened;
};

/** Stores a film on this device. A device without room, or without a store, goes on without. */
export const storeSnapshot = (snapshot: Snapshot): Promise<void> =>
  set(snapshot.filmId, { ...snapshot, model: MODEL_VERSION }, store()).catch(() => undefined);

/** What an earlier version of this page stored, in today's fields. Its log is left: undo starts afresh. */
const ofToday = (snapshot: Snapshot): Snapshot =>
  snapshot.model === MODEL_VERSION
    ? snapshot
    : {
        ...snapshot,
        changes: [],
        rows: snapshot.rows.map((r) => ({ ...r, value: rowOfToday(r.kind, r.value) }) as AnyRow),
      };

/** A film as it was last stored on this device. */
export const snapshotOf = async (filmId: string): Promise<Snapshot | undefined> => {
  const snapshot = await get<Snapshot>(filmId, store()).catch(() => undefined);
  return snapshot && ofToday(snapshot);
};

/** A film that was deleted leaves this device too. */
export const forgetSnapshot = (filmId: string): Promise<void> => del(filmId, store()).catch(() => undefined);

/** Films stored on this device, the one stored last first. */
export const snapshots = async (): Promise<readonly Snapshot[]> =>
  (await entries<string, Snapshot>(store()).catch(() => []))
    .map(([, snapshot]) => snapshot)
    .sort((a, b) => b.atMs - a.atMs);
