import { parse, serialize } from 'cookie';

/**
 * A mark that changes are kept on this device. Browsers that clear what a site stores, for lack of room or because it was not
 * visited, leave cookies: so it can be said that something was lost.
 */
const NAME = 'dusk-kept';
const YEAR_S = 31_536_000;

/** Since when changes are kept here, UTC ms; null where none are. */
export const keptSinceMs = (): number | null => {
  const ms = Number(parse(document.cookie)[NAME]);
  return Number.isFinite(ms) && ms > 0 ? ms : null;
};

/** Notes whether changes are kept here; the moment of the first stays. */
export const noteKept = (kept: boolean): void => {
  if (kept === (keptSinceMs() !== null)) return;
  document.cookie = serialize(NAME, kept ? String(Date.now()) : '', {
    path: '/',
    sameSite: 'strict',
    maxAge: kept ? YEAR_S : 0,
  });
};
