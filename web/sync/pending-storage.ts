import { createStore, del, entries, set } from 'idb-keyval';
import { tabLock } from './device';
import type { Pending } from './outbox';

let opened: ReturnType<typeof createStore> | undefined;
const store = (): ReturnType<typeof createStore> => {
  opened ??= createStore('dusk-slate', 'outbox');
  return opened;
};

interface Kept {
  readonly filmId: string;
  readonly pending: Pending[];
}

/** Keeps what waits to be saved beyond the life of this tab. */
export const keepPending = async (device: string, filmId: string, pending: Pending[]): Promise<void> => {
  const key = `${device}|${filmId}`;
  await (
    pending.length === 0 ? del(key, store()) : set(key, { filmId, pending } satisfies Kept, store())
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
export const leftBehind = async (device: string, filmId: string): Promise<Pending[]> => {
  const found: Pending[] = [];
  const all = await entries<string, Kept>(store()).catch(() => []);
  for (const [key, kept] of all) {
    if (kept.filmId !== filmId) continue;
    const owner = key.split('|')[0] ?? '';
    const adopt = async (): Promise<void> => {
      found.push(...kept.pending);
      await del(key, store());
    };
    if (owner === device) await adopt();
    else await ifGone(owner, adopt);
  }
  return found;
};
