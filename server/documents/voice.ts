import { writeFixed, writeShutter, type Quantity, type UnitSystem } from '@core/units';
import { roundBar, type DrawingWords } from '@core/drawing';
import {
  createFormatter,
  EN,
  measured,
  message,
  wordIn,
  type Message,
  type MessageValue,
  type QuantityValue,
} from '@core/messages';
import { CHOICES } from '@core/choices';
import { CHOICES_DE } from '@core/choices/de';
import { DE, PHRASES } from '@core/messages/de';
import { clockText, dayText } from '@core/time';
import { PAPER } from './messages/en';
import { PAPER_DE } from './messages/de';

export const LANGUAGES = ['en', 'de'] as const;
/** A language documents are written in. */
export type Language = (typeof LANGUAGES)[number];

/** Every text of the documents; what is measured by it is filled with units and language. */
export type PaperText = keyof typeof PAPER;
type Kind = keyof typeof CHOICES extends infer K
  ? K extends `${infer Idea}.${string}`
    ? Idea
    : never
  : never;

/** Writes what stands in documents, in one language and one system of units. */
export interface Voice {
  readonly language: Language;
  /** A text of the documents. */
  readonly say: (key: PaperText, values?: Readonly<Record<string, MessageValue>>) => string;
  /** A sentence of the core. */
  readonly text: (sentence: Message) => string;
  /** A word of the core. */
  readonly phrase: (english: string) => string;
  /** What a choice of the model is called. */
  readonly choice: (idea: Kind, choice: string) => string;
  /** A measured number with its unit; “–” where it is not known. @param digits decimals in metric units */
  readonly write: (value: number, quantity: Quantity, digits?: number) => string;
  readonly fixed: (value: number, digits?: number) => string;
  readonly percent: (share: number) => string;
  readonly aperture: (n: number) => string;
  readonly shutter: (seconds: number) => string;
  /** A date, YYYY-MM-DD. */
  readonly date: (date: string) => string;
  readonly clock: (utcMs: number, zone: string) => string;
  readonly drawing: DrawingWords;
}

const TEXTS = { en: { ...PAPER, ...CHOICES }, de: { ...PAPER_DE, ...CHOICES_DE } } as const;

/** The voice of a language. */
export const voiceOf = (language: Language, units: UnitSystem): Voice => {
  const point = language === 'en' ? '.' : ',';
  const phrase = (english: string): string => (language === 'de' ? PHRASES[english] : undefined) ?? english;
  const word = language === 'en' ? undefined : wordIn(phrase);
  const paper = createFormatter(TEXTS[language], language, units, word);
  const core = createFormatter(language === 'de' ? DE : EN, language, units, word);
  const fixed = (value: number, digits = 0): string =>
    Number.isFinite(value) ? writeFixed(value, digits, point) : '–';
  const say: Voice['say'] = (key, values = {}) => paper.text(message(key, values));
  const quantity = (value: QuantityValue): string => paper.quantity(value);
  return {
    language,
    say,
    phrase,
    fixed,
    text: core.text,
    choice: (idea, choice) => paper.text(message(`${idea}.${choice}`)),
    write: (value, kind, digits) => quantity(measured(value, kind, digits)),
    percent: (share) => quantity(measured(100 * share, 'percent')),
    aperture: (n) => `f/${String(Math.round(n * 10) / 10).replace('.', point)}`,
    shutter: (seconds) => writeShutter(seconds).replace('.', point),
    date: (date) => dayText(date, language),
    clock: clockText,
    drawing: {
      launch: say('launch'),
      bar: (spanM) => {
        const { lengthM, shown, unit } = roundBar(spanM, units);
        return { lengthM, text: `${fixed(shown, shown < 1 ? 1 : 0)} ${unit}` };
      },
    },
  };
};
