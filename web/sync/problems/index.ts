import type { Problem } from '@contract';
import { language, type Language } from '../../language';

/** Sentences by kind, for each language but the one the application itself speaks. */
const SPOKEN: Partial<Record<Language, () => Promise<{ default: Readonly<Record<string, string>> }>>> = {
  de: () => import('./de'),
};

export const kindOf = (problem: Problem): string => problem.type.replace('urn:dusk-slate:', '');

/**
 * A problem of the application in the language of the interface. English names the very thing; another language says what kind
 * of trouble it is. Faults of single fields stay as they are.
 */
export const inLanguageOf = async (problem: Problem): Promise<Problem> => {
  const spoken = await SPOKEN[language.value]?.().catch(() => null);
  const detail = spoken?.default[kindOf(problem)];
  return detail ? { ...problem, detail } : problem;
};
