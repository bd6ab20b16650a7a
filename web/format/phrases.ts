import { shallowReactive } from 'vue';
import { language, onLanguage, type Language } from '../language';

type Phrases = Readonly<Record<string, string>>;
const LOADERS: Readonly<Record<Exclude<Language, 'en'>, () => Promise<Phrases>>> = {
  de: async () => (await import('@core/messages/de')).PHRASES,
};
const known = shallowReactive(new Map<Language, Phrases>());
onLanguage(async (code) => {
  if (code !== 'en' && !known.has(code)) known.set(code, await LOADERS[code]());
});

/**
 * A word or sentence the core has in English – the name of a move, what an aid does – in the language of the interface.
 * What has no translation stays English: a new move is whole before anybody has translated it.
 */
export const phrase = (english: string | null | undefined): string =>
  known.get(language.value)?.[english ?? ''] ?? english ?? '';
