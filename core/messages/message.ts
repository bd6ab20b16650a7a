import type { Quantity } from '../units';

/** A measured number, written in the person's units and language. SI, as its quantity is stored. */
export interface QuantityValue {
  readonly quantity: Quantity;
  readonly value: number;
  /** Decimals in metric units where the sentence wants others than the quantity usually has. */
  readonly digits?: number | undefined;
}

/** A day, written as the language writes days. */
export interface DateValue {
  /** YYYY-MM-DD. */
  readonly date: string;
}

/** Several values in a row, the first few of many. */
export interface ListValue {
  readonly list: readonly MessageValue[];
  /** How many are not listed. */
  readonly more: number;
}

/** What a message is filled with: a name, a bare number, a measured number, a day, a list, or another message. */
export type MessageValue = string | number | QuantityValue | DateValue | ListValue | Message;

/** What something is called: what a person wrote, or a word of the application where nothing is written. */
export type Name = string | Message;

/** Something to be said, as data: which sentence, and what goes into it. The formatter writes it with units and language. */
export interface Message {
  readonly code: string;
  readonly values: Readonly<Record<string, MessageValue>>;
}

/** A message by the code of its sentence in the catalogues. */
export const message = (code: string, values: Readonly<Record<string, MessageValue>> = {}): Message => ({
  code,
  values,
});

/** A measured number for a message. @param digits decimals in metric units; its quantity's own where left out */
export const measured = (value: number, quantity: Quantity, digits?: number): QuantityValue => ({
  quantity,
  value,
  digits,
});

/** A list for a message. @param most how many are named */
export const listed = (values: readonly MessageValue[], most = Infinity): ListValue => ({
  list: values.slice(0, most),
  more: Math.max(0, values.length - most),
});

/** Words of which one is chosen: which branch of a sentence is said. */
export const yesNo = (condition: boolean): string => (condition ? 'yes' : 'no');

/** A day for a message. @param date YYYY-MM-DD */
export const onDay = (date: string): DateValue => ({ date });

const isMessage = (value: object): value is Message => 'code' in value;
const isList = (value: object): value is ListValue => 'list' in value;

const keyOfValue = (value: MessageValue): string => {
  if (typeof value === 'string') return JSON.stringify(value);
  // What is told apart is what a person would read, not the last bit of a figure.
  if (typeof value === 'number') return value.toPrecision(4);
  if (isMessage(value)) return messageKey(value);
  if ('date' in value) return value.date;
  if (isList(value)) return `[${value.list.map(keyOfValue).join()}+${value.more}]`;
  return `${value.quantity}:${value.value.toPrecision(3)}`;
};

/** What a message says apart from any wording: two messages with one key tell the same. */
export const messageKey = ({ code, values }: Message): string =>
  `${code}{${Object.keys(values)
    .sort()
    .map((name) => `${name}=${keyOfValue(values[name] ?? '')}`)
    .join()}}`;

/** Text a person wrote, as a message: it is the same in every language. */
export const plainText = (text: string): Message => message('plain', { text });

/** A name as something that can be said. */
export const nameText = (name: Name): Message => (typeof name === 'string' ? plainText(name) : name);
