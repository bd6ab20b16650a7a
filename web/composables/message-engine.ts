import { createFormatter, EN, wordIn, type Catalogue, type Formatter } from '@core/messages';
import { phrase } from '../format';
import type { UnitSystem } from '@core/units';
import { shallowReactive } from 'vue';
import { language, onLanguage, type Language } from '../language';

const LOADERS: Readonly<Record<Exclude<Language, 'en'>, () => Promise<Catalogue>>> = {
  de: async () => (await import('@core/messages/de')).DE,
};
const catalogues = shallowReactive(new Map<Language, Catalogue>([['en', EN]]));
onLanguage(async (code) => {
  if (code !== 'en' && !catalogues.has(code)) catalogues.set(code, await LOADERS[code]());
});

const formatters = new Map<string, Formatter>();

/** The formatter for a system of units in the language of the interface, made once. */
export const formatterFor = (units: UnitSystem): Formatter => {
  const spoken = catalogues.has(language.value) ? language.value : 'en';
  const key = `${spoken} ${units}`;
  const known = formatters.get(key);
  if (known) return known;
  const made = createFormatter(
    catalogues.get(spoken) ?? EN,
    spoken,
    units,
    spoken === 'en' ? undefined : wordIn(phrase),
  );
  formatters.set(key, made);
  return made;
};
