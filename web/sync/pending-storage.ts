import { MODEL_VERSION, rowOfToday } from '@core/model';
import { del, entries, keys, set, type UseStore } from 'idb-keyval';
import { tabLock } from './device';
import { deviceHealth } from './device-health';
import { durableStore } from './device-store';
import { keptSinceMs, noteKept } from './kept-mark';
import type { PendingChange } from './outbox';

let opened: UseStore | undefined;
const store = (): UseStore => {
  opened ??= durableStore('dusk-slate', 'outbox', () => {
    for (const [key, value] of latest) if (!unwritten.has(key)) unwritten.set(key, value);
    void write();
  });
  return opened;
};

interface StoredPending {
  readonly filmId: string;
  readonly pending: PendingChange[];
  /** Version of the model it is written in; before there was one, nothing. */
  readonly model?: number;
}

/** How long after a failure storing is tried again. */
const RETRY_MS = 5000;

/** What is still to be written, by key, and the writing under way: a newer state of a film takes the place of an older one. */
const unwritten = new Map<string, StoredPending>();
/** What this page wants to be stored, for a store that is cleared under it. */
const latest = new Map<string, StoredPending>();
let writing: Promise<void> | null = null;
let retry: ReturnType<typeof setTimeout> | undefined;

const writeOne = async (key: string, value: StoredPending): Promise<void> => {
  if (value.pending.length > 0) {
    await set(key, value, store());
    noteKept(true);
    return;
  }
  // The mark goes first: one that stayed would tell of changes that are lost.
  const others = (await keys<string>(store())).filter((k) => k !== key);
  if (others.length === 0) noteKept(false);
  await del(key, store());
};

const writeAll = async (): Promise<void> => {
  clearTimeout(retry);
  for (let next = unwritten.entries().next().value; next; next = unwritten.entries().next().value) {
    const [key, value] = next;
    unwritten.delete(key);
    try {
      await writeOne(key, value);
      deviceHealth.storage = null;
    } catch (error) {
      if (!unwritten.has(key)) unwritten.set(key, value);
      deviceHealth.storage =
        error instanceof Error && error.name === 'QuotaExceededError' ? 'full' : 'refused';
      retry = setTimeout(() => void write(), RETRY_MS);
      break;
    }
  }
  writing = null;
};
const write = (): Promise<void> => (writing ??= writeAll());

/** Stores what waits to be saved beyond the life of this tab, at once; tried again for as long as the device refuses. */
export const storePending = (device: string, filmId: string, pending: PendingChange[]): Promise<void> => {
  const key = `${device}|${filmId}`;
  const value = { filmId, pending, model: MODEL_VERSION };
  unwritten.set(key, value);
  if (pending.length > 0) latest.set(key, value);
  else latest.delete(key);
  return write();
};

/** Changes that stand in this page alone: closing it would lose them. */
export const onlyInThisPage = (): boolean => [...unwritten.values()].some((v) => v.pending.length > 0);

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

/** A change an earlier version of this page kept, in today's fields. */
const ofToday = (change: PendingChange, model: number | undefined): PendingChange =>
  model === MODEL_VERSION
    ? change
    : {
        ...change,
        base: change.base && rowOfToday(change.kind, change.base),
        value: change.value && rowOfToday(change.kind, change.value),
      };

/**
 * What earlier, closed tabs (and this one before a reload) could not save of a film. It stays stored under this tab's name until
 * it is stored anew. What a later version kept is left for that version.
 */
export const pendingOfClosedTabs = async (device: string, filmId: string): Promise<PendingChange[]> => {
  const found: PendingChange[] = [];
  const ownerOf = (key: string): string => key.split('|')[0] ?? '';
  // Its own first: what it adopts is stored together with it.
  const all = (await entries<string, StoredPending>(store()).catch(() => [])).sort(
    ([a], [b]) => Number(ownerOf(b) === device) - Number(ownerOf(a) === device),
  );
  const sinceMs = keptSinceMs();
  if (all.length === 0 && sinceMs !== null) {
    deviceHealth.clearedSinceMs = sinceMs;
    noteKept(false);
  }
  for (const [key, stored] of all) {
    if (stored.filmId !== filmId || (stored.model ?? 0) > MODEL_VERSION) continue;
    const owner = ownerOf(key);
    const adopt = async (): Promise<void> => {
      found.push(...stored.pending.map((change) => ofToday(change, stored.model)));
      if (owner === device) return;
      await set(`${device}|${filmId}`, { filmId, pending: found, model: MODEL_VERSION }, store());
      await del(key, store());
    };
    if (owner === device) await adopt();
    else await ifGone(owner, adopt);
  }
  return found;
};
