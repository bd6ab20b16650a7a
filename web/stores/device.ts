import { v4 as uuid } from 'uuid';

const KEY = 'dusk-device';

/** Name of this tab: kept over a reload, new in a new tab. */
export const deviceId = (): string => {
  const known = sessionStorage.getItem(KEY);
  if (known) return known;
  const made = `tab-${uuid()}`;
  sessionStorage.setItem(KEY, made);
  return made;
};
