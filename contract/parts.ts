import { Type, type TProperties, type TSchema } from '@sinclair/typebox';

/** Object that refuses fields it does not know. */
export const strict = <T extends TProperties>(properties: T) =>
  Type.Object(properties, { additionalProperties: false });

export const Uuid = Type.String({
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$',
});
export const Name = Type.String({ minLength: 1, maxLength: 200 });
export const Text = Type.String({ maxLength: 10_000 });
export const ShortText = Type.String({ maxLength: 500 });
/** Key that orders rows; a reorder changes one row. */
export const Position = Type.String({ minLength: 1, maxLength: 200, pattern: '^[0-9A-Za-z]+$' });
export const LocalDate = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });
export const ClockTime = Type.String({ pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' });
export const Between = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
export const Above = (exclusiveMinimum: number, maximum: number) =>
  Type.Number({ exclusiveMinimum, maximum });
export const Whole = (minimum: number, maximum: number) => Type.Integer({ minimum, maximum });
export const OneOf = <const T extends readonly string[]>(...words: T) =>
  Type.Unsafe<T[number]>(Type.String({ enum: [...words] }));
export const Nullable = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()]);

/** What a row written before a field existed gets for it: the checks fill it in, on the way in and when a database is brought up to date. */
export const filled = <T extends TSchema>(schema: T, value: unknown): T => ({ ...schema, default: value });
