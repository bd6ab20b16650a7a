import { v4 as uuid } from 'uuid';

const KEY = 'dusk-device';

export const tabLock = (device: string): string => `tab:${device}`;

/** Holds a tab's name for as long as the tab lives. @returns false when a living tab has it */
const hold = (device: string): Promise<boolean> =>
  new Promise((resolve) => {
    void navigator.locks.request(tabLock(device), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
  });

let mine: Promise<string> | undefined;

const claim = async (): Promise<string> => {
  const known = sessionStorage.getItem(KEY);
  // A duplicated tab brings its original's name along; the name is the original's while that lives.
  if (known && (!('locks' in navigator) || (await hold(known)))) return known;
  const made = `tab-${uuid()}`;
  sessionStorage.setItem(KEY, made);
  if ('locks' in navigator) await hold(made);
  return made;
};

/** Name of this tab: kept over a reload, its own in every tab. */
export const claimDevice = (): Promise<string> => {
  mine ??= claim();
  return mine;
};
