import type { AnyRow, LoggedChange } from '@contract';
import { api, ApiProblem, Unreachable } from './api';
import { noteStoredTime } from './device-health';
import { storePending, pendingOfClosedTabs } from './pending-storage';
import type { PendingChange } from './outbox';
import { forgetSnapshot, snapshotOf, storeSnapshot, type Snapshot } from './snapshots';

/** A film as it is read when it is opened. */
export interface OpenedFilm {
  readonly rows: readonly AnyRow[];
  readonly changes: readonly LoggedChange[];
  readonly sequence: number;
  /** What an earlier page could not save of it. */
  readonly left: readonly PendingChange[];
  /** It is what this device had stored, since the server does not answer. */
  readonly offline: boolean;
}

/** How long the server may take to answer while the device has the film itself. */
const PATIENCE_MS = 2500;

type Read = Omit<OpenedFilm, 'left'>;

const fromServer = async (id: string): Promise<Read> => {
  const [film, kit, log] = await Promise.all([api.film(id), api.kit(), api.changes(id)]);
  return { rows: [...film.rows, ...kit.rows], changes: log.changes, sequence: film.sequence, offline: false };
};

const fromDevice = ({ rows, changes, sequence, atMs }: Snapshot): Read => {
  noteStoredTime(atMs, Date.now());
  return { rows, changes, sequence, offline: true };
};

/** The film from the server; what the device has of it where the server does not answer, or not soon. */
const read = async (id: string): Promise<Read> => {
  const asked = fromServer(id);
  const known = snapshotOf(id);
  const soon = new Promise<null>((resolve) => {
    setTimeout(() => {
      resolve(null);
    }, PATIENCE_MS);
  });
  const first = await Promise.race([
    asked.catch(async (error: unknown) => {
      if (error instanceof Unreachable) return null;
      // Deleted elsewhere: this device has no use for it either.
      if (error instanceof ApiProblem && error.problem.status === 404) await forgetSnapshot(id);
      throw error;
    }),
    known.then((snapshot) => (snapshot ? soon : new Promise<never>(() => undefined))),
  ]);
  const snapshot = first ? undefined : await known;
  return snapshot ? fromDevice(snapshot) : (first ?? asked);
};

/**
 * Reads a film with the kit, its log and what was left behind.
 * @param wanted whether it is still this film that is asked for
 * @returns null when another one was asked for meanwhile; what was left behind of this one waits on
 */
export const openFilm = async (
  id: string,
  device: string,
  wanted: () => boolean,
): Promise<OpenedFilm | null> => {
  const found = await read(id);
  if (!wanted()) return null;
  const left = await pendingOfClosedTabs(device, id);
  if (wanted()) {
    const { rows, changes, sequence, offline } = found;
    if (!offline) void storeSnapshot({ filmId: id, rows, changes, sequence, atMs: Date.now() });
    return { ...found, left };
  }
  if (left.length > 0) await storePending(device, id, left);
  return null;
};
