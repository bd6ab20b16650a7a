import type { Usage } from '../model';

export type Use = 'commercial' | 'editorial' | 'after-release';

/**
 * What a shot can be sold for, as far as its marks tell: close single property without a release is editorial, wide is
 * commercial, recognisable people need a release. A reminder, no legal advice; laws and buyers differ.
 */
export const useOf = ({ people, property }: Usage): Use => {
  if (people === 'release-wanted') return 'after-release';
  return property === 'single' ? 'editorial' : 'commercial';
};

export const USE_WORDS: Readonly<Record<Use, string>> = {
  commercial: 'commercial',
  editorial: 'editorial only',
  'after-release': 'waits for a release',
};

/** The one kind of use a subject's shots all have, when there are several of them; null when mixed or too few to say. */
export const onlyUse = (uses: readonly Use[]): Use | null => {
  const [first] = uses;
  return uses.length >= 2 && first && uses.every((u) => u === first) ? first : null;
};
