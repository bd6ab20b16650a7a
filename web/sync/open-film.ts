import type { AnyRow, LoggedChange } from '@contract';
import { api } from './api';
import { storePending, pendingOfClosedTabs } from './pending-storage';
import type { PendingChange } from './outbox';

/** A film as it is read when it is opened. */
export interface OpenedFilm {
  readonly rows: readonly AnyRow[];
  readonly changes: readonly LoggedChange[];
  readonly sequence: number;
  /** What an earlier page could not save of it. */
  readonly left: readonly PendingChange[];
}

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
  const [film, kit, log] = await Promise.all([api.film(id), api.kit(), api.changes(id)]);
  if (!wanted()) return null;
  const left = await pendingOfClosedTabs(device, id);
  if (wanted())
    return { rows: [...film.rows, ...kit.rows], changes: log.changes, sequence: film.sequence, left };
  if (left.length > 0) await storePending(device, id, left);
  return null;
};
