type Row = Record<string, unknown>;
type Defaults = readonly (readonly [path: string, value: unknown])[];

const isRow = (value: unknown): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const setAt = (target: unknown, path: readonly string[], value: unknown): void => {
  const [key, ...rest] = path;
  if (key === undefined) return;
  if (key === '*') {
    if (Array.isArray(target)) for (const entry of target) setAt(entry, rest, value);
    return;
  }
  if (!isRow(target)) return;
  if (rest.length > 0) setAt(target[key], rest, value);
  else if (target[key] === undefined) target[key] = structuredClone(value);
};

/** A row with values for fields that came after it was written; the row given stays as it is. */
export const filledWith = (defaults: Defaults, row: Readonly<Row>): Row => {
  const filled = structuredClone(row) as Row;
  for (const [path, value] of defaults) setAt(filled, path.split('.'), value);
  return filled;
};
