import type { ErrorObject } from 'ajv';
import { createFormatter, EN, measured, message, type Message, type MessageValue } from '../core/messages';
import { SCHEMAS } from '../core/model';
import { MOVES } from '../core/moves';
import type { Quantity } from '../core/units';

interface Node {
  readonly title?: string;
  readonly unit?: string;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node;
  readonly anyOf?: readonly Node[];
}

/** A field as it is said: its name, and what its limits measure. */
interface Field {
  readonly label: string;
  readonly quantity?: Quantity;
  /** How many of what is said are one of what is stored. */
  readonly scale: number;
}

const QUANTITIES: Readonly<Record<string, Quantity>> = {
  m: 'metres',
  'm/s': 'speed',
  'm/s²': 'accel',
  s: 'seconds',
  min: 'minutes',
  deg: 'degrees',
  'deg/s': 'degreesPerSecond',
  Wh: 'wattHours',
  W: 'watts',
  GB: 'gigabytes',
  'MB/s': 'megabytesPerSecond',
  'Mbit/s': 'megabits',
  g: 'grams',
  kg: 'kilograms',
  '°C': 'celsius',
  mm: 'millimetres',
  px: 'pixels',
  stops: 'stops',
  share: 'percent',
};

const fields = new Map<string, Field>();
const measuring = (unit: string | undefined): Omit<Field, 'label'> => {
  const quantity = unit === undefined ? undefined : QUANTITIES[unit];
  return { ...(quantity ? { quantity } : {}), scale: unit === 'share' ? 100 : 1 };
};
const collect = (node: Node): void => {
  for (const [name, part] of Object.entries(node.properties ?? {})) {
    if (part.title !== undefined && !fields.has(name))
      fields.set(name, { label: part.title, ...measuring(part.unit) });
    collect(part);
  }
  if (node.items) collect(node.items);
  for (const part of node.anyOf ?? []) collect(part);
};
for (const schema of Object.values(SCHEMAS)) collect(schema as Node);
for (const { parameters } of MOVES)
  for (const p of parameters)
    if (!fields.has(p.id)) fields.set(p.id, { label: p.label, quantity: p.quantity, scale: 1 });

/** A field's name as a person reads it: its title in the schemas, or its identifier taken apart. */
const plain = (field: string): string =>
  fields.get(field)?.label ??
  (field.charAt(0).toUpperCase() + field.slice(1))
    .replace(/(Ms2|DegS|Deg|Ms|M|S)$/, '')
    .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

/** A limit in what the field measures, with as many decimals as it needs. */
const limitOf = (field: string, params: Readonly<Record<string, unknown>>): MessageValue => {
  const { quantity, scale } = fields.get(field) ?? { scale: 1 };
  const limit = Number(params['limit']) * scale;
  if (!quantity || !Number.isFinite(limit)) return String(params['limit']);
  return measured(limit, quantity, Number.isInteger(limit) ? 0 : 2);
};

const LIMITED = new Set(['minimum', 'maximum', 'exclusiveMinimum', 'exclusiveMaximum']);
const COUNTED = new Set(['maxLength', 'minItems', 'maxItems']);

/** What is wrong with a value, with the field it is about. */
const faultOf = ({ keyword, params, instancePath, message: said }: ErrorObject): Message => {
  const field =
    instancePath
      .split('/')
      .filter((part) => part !== '' && !/^\d+$/.test(part))
      .at(-1) ?? '';
  const label = field === '' ? 'This' : plain(field);
  const given = params as Readonly<Record<string, unknown>>;
  if (LIMITED.has(keyword)) return message(`fault.${keyword}`, { label, limit: limitOf(field, given) });
  if (COUNTED.has(keyword)) return message(`fault.${keyword}`, { label, limit: String(given['limit']) });
  if (keyword === 'type') return message('fault.type', { label, type: String(given['type']) });
  if (keyword === 'const') return message('fault.const', { label, wanted: String(given['allowedValue']) });
  if (keyword === 'required')
    return message('fault.required', { label: plain(String(given['missingProperty'])) });
  if (keyword === 'additionalProperties')
    return message('fault.unknown', { field: String(given['additionalProperty']) });
  if (keyword === 'minLength' || keyword === 'enum' || keyword === 'pattern')
    return message(`fault.${keyword}`, { label });
  return message('fault.other', { label, said: said ?? '' });
};

const english = createFormatter(EN, 'en', 'metric').text;

/** Keywords that only repeat what a deeper error says. */
const NOISE = new Set(['if', 'allOf', 'anyOf']);

/**
 * Turns validation errors into sentences with the field they are about.
 * @param write writes them in another language or in other units
 */
export const sayFaults = (
  errors: readonly ErrorObject[] | null | undefined,
  write: (fault: Message) => string = english,
): { path: string; say: string }[] => {
  const list = errors ?? [];
  const kept = list.filter((e) => !NOISE.has(e.keyword));
  return (kept.length > 0 ? kept : list).map((error) => ({
    path: error.instancePath,
    say: write(faultOf(error)),
  }));
};
