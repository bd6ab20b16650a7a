import { IntlMessageFormat } from 'intl-messageformat';
import { dayText } from '../time';
import { digitsOf, toShown, unitOf, type UnitSystem } from '../units';
import type { ListValue, Message, MessageValue, QuantityValue } from './message';

/** Sentences of a language as they are written. */
export type Sentences = Readonly<Record<string, string>>;

type Parsed = Exclude<ConstructorParameters<typeof IntlMessageFormat>[0], string>;

/** Sentences of a language by code, in ICU message syntax; what is parsed already is taken as it is. */
export type Catalogue = Readonly<Record<string, string | Parsed>>;

/** Writes messages in one language and one system of units. */
export interface Formatter {
  readonly text: (message: Message) => string;
  readonly quantity: (value: QuantityValue) => string;
}

/** Units that stand at their number without a space. */
const CLOSE = /^[°×]/;

/** What makes a sentence more than its own text. */
const SYNTAX = /[{}']/;

const numbers = (locale: string) => {
  const formats = new Map<number, Intl.NumberFormat>();
  return (value: number, digits: number): string => {
    let format = formats.get(digits);
    if (!format) {
      format = new Intl.NumberFormat(locale, {
        minimumFractionDigits: digits,
        maximumFractionDigits: digits,
        useGrouping: false,
      });
      formats.set(digits, format);
    }
    const text = format.format(value);
    return /^[-−]0([.,]0*)?$/.test(text) ? text.slice(1) : text;
  };
};

/** Decimals of a measured number: those its sentence wants in metric units, its quantity's own in others. */
const digitsFor = ({ quantity, digits }: QuantityValue, units: UnitSystem): number => {
  const same = units === 'metric' || unitOf(quantity, units) === unitOf(quantity, 'metric');
  return same && digits !== undefined ? digits : digitsOf(quantity, units);
};

const unitText = (unit: string): string => (unit === '' || CLOSE.test(unit) ? unit : ` ${unit}`);

/**
 * A formatter for a catalogue.
 * @param locale BCP 47 tag of the language, for plurals and numbers
 * @param word what a text that fills a sentence is in this language, by the name it is filled in under
 * @throws RangeError where the catalogue lacks a sentence
 */
export const createFormatter = (
  catalogue: Catalogue,
  locale: string,
  units: UnitSystem,
  word: (name: string, text: string) => string = (_, text) => text,
): Formatter => {
  const parsed = new Map<string, IntlMessageFormat>();
  const number = numbers(locale);
  const quantity = (value: QuantityValue): string =>
    Number.isFinite(value.value)
      ? number(toShown(value.value, value.quantity, units), digitsFor(value, units)) +
        unitText(word('unit', unitOf(value.quantity, units)))
      : '–';
  const sentence = (code: string): IntlMessageFormat | string => {
    const known = parsed.get(code);
    if (known) return known;
    const template = catalogue[code];
    if (template === undefined) throw new RangeError(`There is no sentence “${code}” in ${locale}.`);
    if (typeof template === 'string' && !SYNTAX.test(template)) return template;
    const format = new IntlMessageFormat(template, locale, undefined, { ignoreTag: true });
    parsed.set(code, format);
    return format;
  };
  const listText = ({ list, more }: ListValue): string => {
    const texts = list.map((v) => String(valueOf(v)));
    const rest = more > 0 ? [text({ code: 'list.more', values: { more } })] : [];
    return more > 0 ? `${texts.join(', ')} ${rest.join('')}` : texts.join(', ');
  };
  const valueOf = (value: MessageValue): string | number => {
    if (typeof value !== 'object') return value;
    if ('quantity' in value) return quantity(value);
    if ('date' in value) return dayText(value.date, locale);
    return 'list' in value ? listText(value) : text(value);
  };
  const text = ({ code, values }: Message): string => {
    const known = sentence(code);
    if (typeof known === 'string') return known;
    const filled = Object.entries(values).map(
      ([name, value]) => [name, typeof value === 'string' ? word(name, value) : valueOf(value)] as const,
    );
    return String(known.format(Object.fromEntries(filled)));
  };
  return { text, quantity };
};
