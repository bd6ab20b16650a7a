import type { TSchema } from '@sinclair/typebox';
import { SCHEMAS, type Entity } from './entities';
import { initialOf, type Node } from './initial';
import type { EntityKind } from './kinds';

/** A new row of a kind: what its schema starts it with, and what is given. Fields without a start must be given. */
export const newRow = <K extends EntityKind>(
  kind: K,
  given: Partial<Entity<K>> & { readonly id: string },
): Entity<K> => ({ ...(initialOf(SCHEMAS[kind]) as object), ...given }) as Entity<K>;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A value with the defaults of its schema for what it lacks; the value itself stays as it is. */
export const withDefaults = (schema: TSchema | Node, value: unknown): unknown => {
  const node = schema as Node;
  if (Array.isArray(value)) return node.items ? value.map((v) => withDefaults(node.items as Node, v)) : value;
  if (node.anyOf) {
    const parts = node.anyOf.filter((part) => part.properties !== undefined);
    return parts.length === 1 && isObject(value) ? withDefaults(parts[0] as Node, value) : value;
  }
  if (!isObject(value) || !node.properties) return value;
  const filled: Record<string, unknown> = { ...value };
  for (const [key, part] of Object.entries(node.properties)) {
    if (filled[key] !== undefined) filled[key] = withDefaults(part, filled[key]);
    else if ('default' in part) filled[key] = structuredClone(part['default']);
  }
  return filled;
};

/** A value without what its schema does not know. */
const onlyKnown = (node: Node, value: unknown): unknown => {
  if (Array.isArray(value)) return node.items ? value.map((v) => onlyKnown(node.items as Node, v)) : value;
  const parts = node.anyOf?.filter((part) => part.properties !== undefined) ?? [];
  if (parts.length === 1) return onlyKnown(parts[0] as Node, value);
  const { properties } = node;
  if (!isObject(value) || !properties) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, v]) => {
      const part = properties[key];
      return part ? [[key, onlyKnown(part, v)]] : [];
    }),
  );
};

/** A row another version wrote, in today's fields: what it lacks at its default, what is not known left out. */
export const rowOfToday = <V>(kind: EntityKind, value: V): V =>
  onlyKnown(SCHEMAS[kind] as Node, withDefaults(SCHEMAS[kind], value)) as V;
