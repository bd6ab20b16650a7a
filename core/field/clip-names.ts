import type { Take } from '../model';

/** A clip name with its last number raised: cameras count on, with as many digits as before. */
const raised = (clip: string, by: number): string => {
  const [, name = '', ending = ''] = /^(.*?)(\.[A-Za-z]\w{0,3})?$/.exec(clip) ?? [];
  return (
    name.replace(/(\d+)(\D*)$/, (_, digits: string, rest: string) => {
      const next = String(Number(digits) + by);
      return `${next.padStart(digits.length, '0')}${rest}`;
    }) + ending
  );
};

/**
 * Name the next clip on a card will have, counted on from the last take on it whose clip somebody named; '' where none was.
 * A take that was not recorded left no clip.
 * @param takes takes of the film
 */
export const nextClip = (takes: readonly Take[], cardId: string | null): string => {
  const own = takes
    .filter((t) => t.cardId === cardId && t.reason !== 'not-recording')
    .sort((a, b) => a.utcMs - b.utcMs || (a.id < b.id ? -1 : 1));
  const at = own.map((t) => t.clip !== '').lastIndexOf(true);
  const named = own[at];
  return named && /\d/.test(named.clip) ? raised(named.clip, own.length - at) : '';
};
