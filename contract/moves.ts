import { Type } from '@sinclair/typebox';
import { MOVES } from '../core/moves';
import { Between, filled, strict } from './parts';

const valuesOf = (parameters: (typeof MOVES)[number]['parameters']) =>
  Type.Object(
    Object.fromEntries(
      parameters.map((p) => [p.id, Type.Optional(Type.Number({ minimum: p.min, maximum: p.max }))]),
    ),
    { additionalProperties: false },
  );

/** Inputs flown on top of a move: what makes a combined move. */
const AddedSchema = strict({
  riseM: Between(-300, 300),
  awayM: Between(-1000, 1000),
  aroundDeg: Between(-1080, 1080),
  yawDeg: Between(-720, 720),
  tiltDeg: Between(-120, 120),
});

/** A point of a free route, local metres from the launch point. */
const PointSchema = strict({
  xM: Between(-5000, 5000),
  yM: Between(-5000, 5000),
  zM: Between(-500, 1000),
  speedMs: Between(0.1, 40),
});

interface Move {
  kind: string;
  values: Record<string, number>;
  reversed: boolean;
  added: { riseM: number; awayM: number; aroundDeg: number; yawDeg: number; tiltDeg: number };
  points: { xM: number; yM: number; zM: number; speedMs: number }[];
  /** Numbers that stay as given when another is solved for. */
  locked: string[];
}

/** A move and its numbers; the numbers allowed follow from the kind, taken from the moves' own list. */
export const MoveSchema = Type.Unsafe<Move>({
  ...strict({
    kind: Type.String({ enum: MOVES.map((m) => m.kind) }),
    values: Type.Record(Type.String(), Type.Number()),
    reversed: filled(Type.Boolean(), false),
    added: filled(AddedSchema, { riseM: 0, awayM: 0, aroundDeg: 0, yawDeg: 0, tiltDeg: 0 }),
    points: filled(Type.Array(PointSchema, { maxItems: 100 }), []),
    locked: filled(Type.Array(Type.String({ maxLength: 60 }), { maxItems: 20 }), []),
  }),
  allOf: MOVES.map((m) => ({
    if: { properties: { kind: { const: m.kind } }, required: ['kind'] },
    then: { properties: { values: valuesOf(m.parameters) } },
  })),
});
