import type { TSchema } from '@sinclair/typebox';

/** A schema as plain JSON. */
export type Node = Readonly<Record<string, unknown>> & {
  readonly properties?: Readonly<Record<string, Node>>;
  readonly items?: Node;
  readonly anyOf?: readonly Node[];
};

/** What a schema starts a new thing with: the initial value or default of each field, and of the fields of its parts. */
export const initialOf = (schema: TSchema | Node): unknown => {
  const node = schema as Node;
  if ('initial' in node) return structuredClone(node['initial']);
  if ('default' in node) return structuredClone(node['default']);
  if (!node.properties) return undefined;
  const fields = Object.entries(node.properties).flatMap(([key, part]) => {
    const value = initialOf(part);
    return value === undefined ? [] : [[key, value] as const];
  });
  return Object.fromEntries(fields);
};
