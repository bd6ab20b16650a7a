import type { Quantity } from './figure';

export const UNIT_SYSTEMS = ['metric', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** A number and its unit as they are written, kept apart so that units can be set smaller. */
export interface Written {
  readonly number: string;
  readonly unit: string;
}

interface Style {
  readonly unit: string;
  readonly scale: number;
  readonly digits: number;
}

const METRIC: Record<Quantity, Style> = {
  seconds: { unit: 's', scale: 1, digits: 0 },
  minutes: { unit: 'min', scale: 1, digits: 1 },
  metres: { unit: 'm', scale: 1, digits: 1 },
  speed: { unit: 'm/s', scale: 1, digits: 1 },
  degrees: { unit: '°', scale: 1, digits: 0 },
  degreesPerSecond: { unit: '°/s', scale: 1, digits: 1 },
  wattHours: { unit: 'Wh', scale: 1, digits: 2 },
  watts: { unit: 'W', scale: 1, digits: 0 },
  gigabytes: { unit: 'GB', scale: 1, digits: 2 },
  megabits: { unit: 'Mbit/s', scale: 1, digits: 0 },
  megabytesPerSecond: { unit: 'MB/s', scale: 1, digits: 1 },
  grams: { unit: 'g', scale: 1, digits: 0 },
  kilograms: { unit: 'kg', scale: 1, digits: 2 },
  percent: { unit: '%', scale: 1, digits: 0 },
  count: { unit: '', scale: 1, digits: 0 },
  ev: { unit: 'EV', scale: 1, digits: 1 },
  stops: { unit: 'stops', scale: 1, digits: 1 },
  factor: { unit: '×', scale: 1, digits: 2 },
  millimetres: { unit: 'mm', scale: 1, digits: 0 },
  celsius: { unit: '°C', scale: 1, digits: 0 },
  area: { unit: 'm²', scale: 1, digits: 3 },
  density: { unit: 'kg/m³', scale: 1, digits: 3 },
  accel: { unit: 'm/s²', scale: 1, digits: 1 },
  lux: { unit: 'lx', scale: 1, digits: 0 },
  pixels: { unit: 'px', scale: 1, digits: 0 },
};

const FEET = 1 / 0.3048;
const MPH = 1 / 0.44704;
const IMPERIAL: Partial<Record<Quantity, Style>> = {
  metres: { unit: 'ft', scale: FEET, digits: 0 },
  speed: { unit: 'mph', scale: MPH, digits: 1 },
  accel: { unit: 'ft/s²', scale: FEET, digits: 1 },
  area: { unit: 'ft²', scale: FEET * FEET, digits: 2 },
  celsius: { unit: '°F', scale: 1.8, digits: 0 },
  grams: { unit: 'oz', scale: 1 / 28.349523125, digits: 1 },
  kilograms: { unit: 'lb', scale: 1 / 0.45359237, digits: 2 },
};

const styleOf = (quantity: Quantity, system: UnitSystem): Style =>
  (system === 'imperial' ? IMPERIAL[quantity] : undefined) ?? METRIC[quantity];

const shift = (quantity: Quantity, system: UnitSystem): number =>
  quantity === 'celsius' && system === 'imperial' ? 32 : 0;

/** An SI value in the person's own units, without rounding. */
export const toShown = (value: number, quantity: Quantity, system: UnitSystem): number =>
  value * styleOf(quantity, system).scale + shift(quantity, system);

/** A value in the person's units back to SI; exact inverse of `toShown`. */
export const fromShown = (value: number, quantity: Quantity, system: UnitSystem): number =>
  (value - shift(quantity, system)) / styleOf(quantity, system).scale;

export const unitOf = (quantity: Quantity, system: UnitSystem): string => styleOf(quantity, system).unit;

export const digitsOf = (quantity: Quantity, system: UnitSystem): number => styleOf(quantity, system).digits;

/** A number with so many decimals. @param point what stands before the decimals in the language of the reader */
export const writeFixed = (value: number, digits = 0, point = '.'): string => {
  const fixed = value.toFixed(digits);
  const unsigned = /^-0(\.0*)?$/.test(fixed) ? fixed.slice(1) : fixed;
  return point === '.' ? unsigned : unsigned.replace('.', point);
};

/** Writes a quantity at the one precision it always has. Not-a-number and infinity are written as a dash. */
export const write = (
  value: number,
  quantity: Quantity,
  system: UnitSystem = 'metric',
  point = '.',
): Written => {
  const style = styleOf(quantity, system);
  if (!Number.isFinite(value)) return { number: '–', unit: style.unit };
  return { number: writeFixed(toShown(value, quantity, system), style.digits, point), unit: style.unit };
};

/** Number and unit in one string, with a thin space where a unit wants one. */
export const writeText = (
  value: number,
  quantity: Quantity,
  system: UnitSystem = 'metric',
  point = '.',
): string => {
  const written = write(value, quantity, system, point);
  if (written.unit === '') return written.number;
  return /^[°×]$/.test(written.unit)
    ? `${written.number}${written.unit}`
    : `${written.number} ${written.unit}`;
};

/** Seconds as m:ss, for spans a person reads as a clock. */
export const writeClock = (seconds: number): string => {
  if (!Number.isFinite(seconds)) return '–';
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
};

/** A shutter time in seconds as photographers write it: 1/50, 1/8, 0.4 s. */
export const writeShutter = (seconds: number): string =>
  seconds < 0.3 ? `1/${Math.round(1 / seconds)}` : `${seconds.toFixed(1)} s`;

/** So many of a thing: “1 shot”, “3 shots”. */
export const counted = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`;
