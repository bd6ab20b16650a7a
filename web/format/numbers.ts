import {
  unitOf as unitIn,
  write as writeIn,
  writeFixed,
  writeShutter,
  writeText as writeTextIn,
  type Quantity,
  type UnitSystem,
} from '@core/units';
import { dayText } from '@core/time';
import { language } from '../language';
import { phrase } from './phrases';

/** What stands before decimals in the language of the interface. */
const point = (): string => (language.value === 'en' ? '.' : ',');

/** Writes a quantity at the one precision it always has, in the person's units and language. */
export const write = (value: number, quantity: Quantity, system: UnitSystem = 'metric') => {
  const { number, unit } = writeIn(value, quantity, system, point());
  return { number, unit: phrase(unit) };
};

/** Number and unit in one string. */
export const writeText = (value: number, quantity: Quantity, system: UnitSystem = 'metric'): string =>
  writeTextIn(value, quantity, system, point()).replace(/stops$/, phrase('stops'));

/** The same for a scale, whose steps are round: “40 m”, not “40.0 m”. */
export const roundText = (value: number, quantity: Quantity, system: UnitSystem = 'metric'): string =>
  writeText(value, quantity, system).replace(/[.,]0(?=\D)/, '');

/** The unit a quantity is written in. */
export const unitOf = (quantity: Quantity, system: UnitSystem): string => phrase(unitIn(quantity, system));

/** A bare number with so many decimals. Not for drawings, whose points are always points. */
export const fixed = (value: number | null | undefined, digits = 0): string =>
  Number.isFinite(value) ? writeFixed(Number(value), digits, point()) : '–';

/** A share as a difference with its sign, for a column: “+6 %”; nothing is neither more nor less. */
export const signedPercent = (share: number | null | undefined): string => {
  if (!Number.isFinite(share)) return '–';
  const percent = Math.round(Math.abs(Number(share)) * 100);
  const sign = percent === 0 ? '' : Number(share) < 0 ? '−' : '+';
  return `${sign}${fixed(percent)} %`;
};

/** A number for a field: in the person's units, without trailing noughts and without drift. */
export const fieldText = (shown: number): string =>
  Number.isFinite(shown) ? String(Number(shown.toPrecision(7))).replace('.', point()) : '';

/** Reads what a person typed, comma or point. */
export const readNumber = (text: string): number => {
  const clean = text.trim().replace(',', '.');
  return clean === '' ? NaN : Number(clean);
};

export const shutterText = (seconds: number): string => writeShutter(seconds).replace('.', point());

export const apertureText = (n: number): string => `f/${String(n).replace('.', point())}`;

/** A date (YYYY-MM-DD) as it is written everywhere: Fri 14 May 2027. */
export const dateText = (date: string): string => dayText(date, language.value);

const instants = new Map<string, Intl.DateTimeFormat>();

/** An instant on this machine's clock. */
export const whenText = (utcMs: number): string => {
  const locale = language.value === 'en' ? 'en-GB' : language.value;
  const known = instants.get(locale);
  const format = known ?? new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
  instants.set(locale, format);
  return Number.isFinite(utcMs) ? format.format(utcMs) : '';
};

/** A whole number with its thousands set apart. */
export const grouped = (n: number): string => n.toLocaleString(language.value);

/** A name as it stands within a sentence: some languages write nouns small there, others keep them. */
export const inSentence = (name: string | null | undefined): string =>
  language.value === 'en' ? (name ?? '').toLowerCase() : (name ?? '');

/** Things in a row, as the language joins them: “a, b and c”. */
export const listText = (items: readonly string[], joined: 'and' | 'or' = 'and'): string =>
  new Intl.ListFormat(language.value, {
    type: joined === 'and' ? 'conjunction' : 'disjunction',
  }).format(items);
