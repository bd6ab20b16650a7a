import { promisifyRequest, type UseStore } from 'idb-keyval';

/**
 * A store on this device whose writes are on the disk when they are said to be: what a phone has taken survives a flat
 * battery a moment later.
 */
export const durableStore = (database: string, store: string): UseStore => {
  let opened: Promise<IDBDatabase> | undefined;
  const open = (): Promise<IDBDatabase> => {
    opened ??= (() => {
      const request = indexedDB.open(database);
      request.onupgradeneeded = () => request.result.createObjectStore(store);
      return promisifyRequest(request);
    })();
    return opened;
  };
  return async (mode, act) => {
    const db = await open();
    return act(db.transaction(store, mode, { durability: 'strict' }).objectStore(store));
  };
};
