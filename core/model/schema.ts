import {
  Array as List,
  Boolean as Flag,
  Integer,
  Null,
  Number as Num,
  Object as Shape,
  String as Str,
  Union,
  Unsafe,
  type Static,
  type TObject,
  type TProperties,
  type TSchema,
} from '@sinclair/typebox';

/** What a schema says about a field besides its limits. */
export interface About {
  /** The field's name as a person reads it. */
  readonly title?: string;
  /** One sentence: what it is, where to find the figure, what happens where it is left as it is. */
  readonly description?: string;
  /** Unit of the stored number: m, m/s, Wh, s, min, deg, share … */
  readonly unit?: string;
  /** Heading of its column in a table; a field without one is not in tables. */
  readonly column?: string;
  /** What a new thing starts with, and what a row written before the field existed gets for it. */
  readonly default?: unknown;
  /** What a new thing starts with where a row must say it itself. */
  readonly initial?: unknown;
}

/** Keywords of the schemas that only describe: a validator has to be told that it may pass them over. */
export const DESCRIBING_KEYWORDS = ['unit', 'initial', 'column'] as const;

/** Object that refuses fields it does not know. */
export const strict = <T extends TProperties>(properties: T, about: About = {}): TObject<T> =>
  Shape(properties, { additionalProperties: false, ...about });
export const listOf = <T extends TSchema>(
  items: T,
  maxItems: number,
  about: About & { minItems?: number; uniqueItems?: boolean } = {},
) => List(items, { maxItems, ...about });
export const flag = (about: About = {}) => Flag({ ...about });
export const between = (minimum: number, maximum: number, about: About = {}) =>
  Num({ minimum, maximum, ...about });
export const above = (exclusiveMinimum: number, maximum: number, about: About = {}) =>
  Num({ exclusiveMinimum, maximum, ...about });
export const whole = (minimum: number, maximum: number, about: About = {}) =>
  Integer({ minimum, maximum, ...about });
export const text = (maxLength: number, about: About & { pattern?: string; minLength?: number } = {}) =>
  Str({ maxLength, ...about });
export const oneOf = <const T extends readonly string[]>(words: T, about: About = {}) =>
  Unsafe<T[number]>(Str({ enum: [...words], ...about }));
export const oneNumberOf = <const T extends readonly number[]>(numbers: T, about: About = {}) =>
  Unsafe<T[number]>(Num({ enum: [...numbers], ...about }));
export const nullable = <T extends TSchema>(schema: T, about: About = {}) =>
  Union([schema, Null()], { ...about });

const UUID = '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$';
export const uuid = (about: About = {}) => Str({ pattern: UUID, ...about });
export const nullableId = (about: About = {}) => nullable(uuid(), { default: null, ...about });
export const name = (about: About = {}) =>
  Str({ minLength: 1, maxLength: 200, title: 'Name', column: 'name', ...about });
export const shortText = (about: About = {}) => Str({ maxLength: 500, ...about });
export const clipName = (about: About = {}) => Str({ maxLength: 120, ...about });
export const longText = (about: About = {}) => Str({ maxLength: 10_000, ...about });
/** Fields of a piece of kit that still hold a class's usual figure instead of its owner's. */
export const typicalFields = () =>
  listOf(text(40, { minLength: 1 }), 60, {
    title: 'Typical figures',
    default: [],
    description: 'Names of fields that hold the usual figure of a class; replace them with your own.',
  });
export const notes = () => shortText({ title: 'Notes', column: 'notes', initial: '' });
/** Key that orders rows; a reorder changes one row. */
export const position = () =>
  Str({ minLength: 1, maxLength: 200, pattern: '^[0-9A-Za-z]+$', title: 'Order' });
export const localDate = (about: About = {}) =>
  Str({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$', ...about });
export const clockTime = (about: About = {}) => Str({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$', ...about });
/** Instant, UTC milliseconds. */
export const instant = (about: About = {}) =>
  Integer({ minimum: 0, maximum: 4_102_444_800_000, unit: 'ms UTC', ...about });

type DeepReadonly<T> = T extends readonly (infer U)[]
  ? readonly DeepReadonly<U>[]
  : T extends object
    ? { readonly [K in keyof T]: DeepReadonly<T[K]> }
    : T;

/** A stored thing as the program reads it: nothing that is read is changed in place. */
export type Stored<S extends TSchema> = DeepReadonly<Static<S>>;
