import type { ErrorObject } from 'ajv';
import { SCHEMAS } from '../core/model';
import { MOVES } from '../core/moves';

interface Node {
  readonly title?: string;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node;
  readonly anyOf?: readonly Node[];
}

const titles = new Map<string, string>();
const collect = (node: Node): void => {
  for (const [field, part] of Object.entries(node.properties ?? {})) {
    if (part.title !== undefined && !titles.has(field)) titles.set(field, part.title);
    collect(part);
  }
  if (node.items) collect(node.items);
  for (const part of node.anyOf ?? []) collect(part);
};
for (const schema of Object.values(SCHEMAS)) collect(schema as Node);
for (const { parameters } of MOVES)
  for (const p of parameters) if (!titles.has(p.id)) titles.set(p.id, p.label);

/** A field's name as a person reads it: its title in the schemas, or its identifier taken apart. */
const plain = (field: string): string =>
  titles.get(field) ??
  (field.charAt(0).toUpperCase() + field.slice(1))
    .replace(/(Ms2|DegS|Deg|Ms|M|S)$/, '')
    .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

const limitText = (params: Record<string, unknown>): string => String(params['limit']);

const SAY: Readonly<Record<string, (label: string, params: Record<string, unknown>) => string>> = {
  minimum: (l, p) => `${l} must be ${limitText(p)} or more.`,
  maximum: (l, p) => `${l} must be ${limitText(p)} or less.`,
  exclusiveMinimum: (l, p) => `${l} must be more than ${limitText(p)}.`,
  exclusiveMaximum: (l, p) => `${l} must be less than ${limitText(p)}.`,
  minLength: (l) => `${l} must not be empty.`,
  maxLength: (l, p) => `${l} is too long: at most ${limitText(p)} characters.`,
  minItems: (l, p) => `${l} needs at least ${limitText(p)}.`,
  maxItems: (l, p) => `${l} may have at most ${limitText(p)}.`,
  type: (l, p) => `${l} must be a ${String(p['type'])}.`,
  enum: (l) => `${l} is none of the choices.`,
  const: (l, p) => `${l} must be ${String(p['allowedValue'])}.`,
  pattern: (l) => `${l} is not written as expected.`,
  required: (_, p) => `${plain(String(p['missingProperty']))} is missing.`,
  additionalProperties: (_, p) => `“${String(p['additionalProperty'])}” is not a field known here.`,
};

/** Keywords that only repeat what a deeper error says. */
const NOISE = new Set(['if', 'allOf', 'anyOf']);

/** Turns validation errors into sentences with the field they are about. */
export const sayFaults = (
  errors: readonly ErrorObject[] | null | undefined,
): { path: string; say: string }[] => {
  const list = errors ?? [];
  const kept = list.filter((e) => !NOISE.has(e.keyword));
  return (kept.length > 0 ? kept : list).map((error) => {
    const field =
      error.instancePath
        .split('/')
        .filter((part) => part !== '' && !/^\d+$/.test(part))
        .at(-1) ?? '';
    const label = field === '' ? 'This' : plain(field);
    return {
      path: error.instancePath,
      say: SAY[error.keyword]?.(label, error.params) ?? `${label} ${error.message ?? 'is not valid'}.`,
    };
  });
};
