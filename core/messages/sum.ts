import type { Quantity } from '../units';
import type { Message } from './message';

/** One line of a sum: what it is, how much, and how it came about. */
export interface Term {
  readonly label: Message;
  readonly value: number;
  readonly quantity: Quantity;
  readonly note?: Message;
}

/** A figure that can be opened: its parts with the plan's own values, the formula, the source. */
export interface Sum {
  readonly label: Message;
  readonly value: number;
  readonly quantity: Quantity;
  readonly terms: readonly Term[];
  readonly formula: Message;
  readonly source: Message;
}

export const term = (label: Message, value: number, quantity: Quantity, note?: Message | undefined): Term =>
  note === undefined ? { label, value, quantity } : { label, value, quantity, note };
