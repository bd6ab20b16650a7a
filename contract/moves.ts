import type { TSchema } from '@sinclair/typebox';
import { MOVES } from '../core/moves';

const valuesOf = (parameters: (typeof MOVES)[number]['parameters']) => ({
  type: 'object',
  properties: Object.fromEntries(
    parameters.map((p) => [p.id, { type: 'number', minimum: p.min, maximum: p.max }]),
  ),
  additionalProperties: false,
});

/** The schema of a shot with the kinds of move there are and the limits of their numbers, taken from the moves' own list. */
export const withMoveLimits = <S extends TSchema & { readonly properties: { readonly move: TSchema } }>(
  shot: S,
): S => {
  const { move } = shot.properties;
  const properties = (move as unknown as { readonly properties: Record<string, object> }).properties;
  const limited = {
    ...move,
    properties: { ...properties, kind: { ...properties['kind'], enum: MOVES.map((m) => m.kind) } },
    allOf: MOVES.map((m) => ({
      if: { properties: { kind: { const: m.kind } }, required: ['kind'] },
      then: { properties: { values: valuesOf(m.parameters) } },
    })),
  };
  return { ...shot, properties: { ...shot.properties, move: limited } };
};
