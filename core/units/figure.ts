/** What a bare number measures; the formatting room decides how it is written. */
export type Quantity =
  | 'seconds'
  | 'minutes'
  | 'metres'
  | 'speed'
  | 'degrees'
  | 'degreesPerSecond'
  | 'wattHours'
  | 'watts'
  | 'gigabytes'
  | 'megabits'
  | 'megabytesPerSecond'
  | 'grams'
  | 'kilograms'
  | 'percent'
  | 'count'
  | 'ev'
  | 'stops'
  | 'factor'
  | 'millimetres'
  | 'celsius'
  | 'density'
  | 'accel'
  | 'lux'
  | 'pixels';

/** One line of a sum: what it is, how much, and how it came about. */
export interface Term {
  readonly label: string;
  readonly value: number;
  readonly quantity: Quantity;
  readonly note?: string;
}

/** A figure that can be opened: its parts with the plan's own values, the formula, the source. */
export interface Sum {
  readonly label: string;
  readonly value: number;
  readonly quantity: Quantity;
  readonly terms: readonly Term[];
  readonly formula: string;
  readonly source: string;
}

export const term = (label: string, value: number, quantity: Quantity, note?: string | undefined): Term =>
  note === undefined ? { label, value, quantity } : { label, value, quantity, note };
