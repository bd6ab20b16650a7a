import { promisifyRequest, type UseStore } from 'idb-keyval';

/**
 * A store on this device whose writes are on the disk when they are said to be: what a phone has taken survives a flat
 * battery a moment later.
 * @param cleared called when the browser clears the store under an open page
 */
export const durableStore = (database: string, store: string, cleared?: () => void): UseStore => {
  let opened: Promise<IDBDatabase> | undefined;
  const open = (): Promise<IDBDatabase> => {
    const opening = (opened ??= (async () => {
      const request = indexedDB.open(database);
      request.onupgradeneeded = () => request.result.createObjectStore(store);
      const db = await promisifyRequest(request);
      db.onclose = () => {
        opened = undefined;
        cleared?.();
      };
      return db;
    })());
    // A store that could not be opened once may be another time.
    opening.catch(() => {
      if (opened === opening) opened = undefined;
    });
    return opening;
  };
  return async (mode, act) => {
    const db = await open();
    return act(db.transaction(store, mode, { durability: 'strict' }).objectStore(store));
  };
};
