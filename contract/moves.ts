import { Type } from '@sinclair/typebox';
import { MOVES } from '../core/moves';
import { strict } from './parts';

const valuesOf = (parameters: (typeof MOVES)[number]['parameters']) => Type.Object(
  Object.fromEntries(parameters.map((p) => [p.id, Type.Optional(Type.Number({ minimum: p.min, maximum: p.max }))])),
  { additionalProperties: false },
);

/** A move and its numbers; the numbers allowed follow from the kind, taken from the moves' own list. */
export const MoveSchema = Type.Unsafe<{ kind: string; values: Record<string, number> }>({
  ...strict({ kind: Type.String({ enum: MOVES.map((m) => m.kind) }), values: Type.Record(Type.String(), Type.Number()) }),
  allOf: MOVES.map((m) => ({
    if: { properties: { kind: { const: m.kind } }, required: ['kind'] },
    then: { properties: { values: valuesOf(m.parameters) } },
  })),
});
