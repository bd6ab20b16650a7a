import { createFormatter, type Formatter } from '@core/messages';
import { shallowReactive } from 'vue';
import { language, onLanguage, type Language } from './language';

/** The same keys in another language. */
export type Texts<English> = Readonly<Record<keyof English, string>>;
type Value = string | number | null | undefined;
type Load<English> = () => Promise<{ readonly default: Texts<English> }>;

/**
 * Texts of a room in the language of the interface, in ICU message syntax.
 * @param english the texts everything is measured by, shown where another language could not be loaded
 * @param others a loader for each further language
 * @returns a function that writes the text of a key, filled with values
 */
export const roomMessages = <English extends Readonly<Record<string, string>>>(
  english: English,
  others: Readonly<Record<Exclude<Language, 'en'>, Load<English>>>,
): ((key: keyof English & string, values?: Readonly<Record<string, Value>>) => string) => {
  const formatters = shallowReactive(
    new Map<Language, Formatter>([['en', createFormatter(english, 'en', 'metric')]]),
  );
  onLanguage(async (code) => {
    if (code === 'en' || formatters.has(code)) return;
    formatters.set(code, createFormatter((await others[code]()).default, code, 'metric'));
  });
  return (key, values = {}) => {
    const formatter = formatters.get(language.value) ?? formatters.get('en');
    const given = Object.fromEntries(Object.entries(values).map(([name, value]) => [name, value ?? '']));
    return formatter?.text({ code: key, values: given }) ?? '';
  };
};
