import { language } from '../../language';
import type { EN } from './en';

/** A field by what it belongs to and its name there. */
export type HelpKey = keyof typeof EN;

/** What a field asks for, in the language of the interface. */
export const helpFor = async (key: HelpKey): Promise<string> =>
  language.value === 'de' ? (await import('./de')).DE[key] : (await import('./en')).EN[key];
