import { del, entries, set, type UseStore } from 'idb-keyval';
import { tabLock } from './device';
import { durableStore } from './device-store';
import type { PendingChange } from './outbox';

let opened: UseStore | undefined;
const store = (): UseStore => {
  opened ??= durableStore('dusk-slate', 'outbox');
  return opened;
};

interface StoredPending {
  readonly filmId: string;
  readonly pending: PendingChange[];
}

/** What is still to be written, by key, and the writing under way: a newer state of a film takes the place of an older one. */
const unwritten = new Map<string, StoredPending>();
let writing: Promise<void> | null = null;

const writeAll = async (): Promise<void> => {
  for (let next = unwritten.entries().next().value; next; next = unwritten.entries().next().value) {
    const [key, value] = next;
    unwritten.delete(key);
    await (value.pending.length === 0 ? del(key, store()) : set(key, value, store())).catch(() => undefined);
  }
  writing = null;
};

/** Stores what waits to be saved beyond the life of this tab, at once. */
export const storePending = (device: string, filmId: string, pending: PendingChange[]): Promise<void> => {
  unwritten.set(`${device}|${filmId}`, { filmId, pending });
  writing ??= writeAll();
  return writing;
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
