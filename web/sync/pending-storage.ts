import { createStore, del, entries, set } from 'idb-keyval';
import { tabLock } from './device';
import type { PendingChange } from './outbox';

let opened: ReturnType<typeof createStore> | undefined;
const store = (): ReturnType<typeof createStore> => {
  opened ??= createStore('dusk-slate', 'outbox');
  return opened;
};

interface StoredPending {
  readonly filmId: string;
  readonly pending: PendingChange[];
}

/** Stores what waits to be saved beyond the life of this tab. */
export const storePending = async (
  device: string,
  filmId: string,
  pending: PendingChange[],
): Promise<void> => {
  const key = `${device}|${filmId}`;
  await (
    pending.length === 0 ? del(key, store()) : set(key, { filmId, pending } satisfies StoredPending, store())
  ).catch(() => undefined);
};

/** Runs something if the tab of that name is gone; a living tab holds a lock under its name. */
const ifGone = async (device: string, then: () => Promise<void>): Promise<void> => {
  if (!('locks' in navigator)) {
    await then();
    return;
  }
  await navigator.locks.request(tabLock(device), { ifAvailable: true }, async (lock) => {
    if (lock) await then();
  });
};

/** What earlier, closed tabs (and this one before a reload) could not save of a film. */
export const pendingOfClosedTabs = async (device: string, filmId: string): Promise<PendingChange[]> => {
  const found: PendingChange[] = [];
  const all = await entries<string, StoredPending>(store()).catch(() => []);
  for (const [key, stored] of all) {
    if (stored.filmId !== filmId) continue;
    const owner = key.split('|')[0] ?? '';
    const adopt = async (): Promise<void> => {
      found.push(...stored.pending);
      await del(key, store());
    };
    if (owner === device) await adopt();
    else await ifGone(owner, adopt);
  }
  return found;
};
