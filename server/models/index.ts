import type { AnyRow, LoggedChange } from '@contract';
import type { EntityKind } from '@core/model';
import { QueryTypes, type Sequelize } from 'sequelize';
import { read } from '../database';
import { TABLES } from './tables';

/** A row as the database gives it. */
type RawRow = Readonly<Record<string, unknown>> & {
  readonly id: string;
  readonly version: number;
  readonly created_at: string;
  readonly updated_at: string;
  readonly body: string;
};

const BOOLEANS = new Set(['retired']);

/** Name of a field's column. */
export const columnOf = (field: string): string => field.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

const toRow = (kind: EntityKind, raw: RawRow): AnyRow => {
  const columns = Object.fromEntries(
    TABLES[kind].columns.map((c) => {
      const value = raw[columnOf(c)];
      return [c, BOOLEANS.has(c) ? Boolean(value) : value];
    }),
  );
  return {
    kind,
    version: raw.version,
    createdAt: raw.created_at,
    updatedAt: raw.updated_at,
    value: { id: raw.id, ...columns, ...(JSON.parse(raw.body) as object) },
  } as AnyRow;
};

/** Columns and body of a row, as they are written. */
const toColumns = ({ kind, version, createdAt, updatedAt, value }: AnyRow): [string, unknown][] => {
  const fields = value as Readonly<Record<string, unknown>>;
  const { columns } = TABLES[kind];
  const body = Object.fromEntries(
    Object.entries(fields).filter(([key]) => key !== 'id' && !columns.includes(key)),
  );
  const own = columns.map((c): [string, unknown] => [
    columnOf(c),
    BOOLEANS.has(c) ? Number(fields[c]) : (fields[c] ?? null),
  ]);
  return [
    ['id', fields['id']],
    ['version', version],
    ['created_at', createdAt],
    ['updated_at', updatedAt],
    ['body', JSON.stringify(body)],
    ...own,
  ];
};

/**
 * Rows of a kind where a column has one of some values; all of them for null.
 * Plain SQL with bound values throughout: on one small row, building model instances took longer than the database did.
 */
export const readRows = async (
  sequelize: Sequelize,
  kind: EntityKind,
  field: string,
  values: readonly string[] | null,
): Promise<AnyRow[]> => {
  if (values?.length === 0) return [];
  const where = values === null ? '' : ` WHERE ${columnOf(field)} IN (:values)`;
  const raw = await read<RawRow>(
    sequelize,
    `SELECT * FROM ${TABLES[kind].table}${where}`,
    values === null ? {} : { values },
  );
  return raw.map((r) => toRow(kind, r));
};

/** Values of one statement: more of them cost Sequelize more to number than the database saves. */
const MOST_VALUES = 300;

/** Inserts rows of a table, as many at once as go into a statement. @returns row id of the last one */
const insert = async (
  sequelize: Sequelize,
  table: string,
  rows: readonly (readonly [string, unknown][])[],
): Promise<number> => {
  const [first] = rows;
  if (!first) return 0;
  const names = first.map(([c]) => c).join(', ');
  const atOnce = Math.max(1, Math.floor(MOST_VALUES / first.length));
  let last = 0;
  for (let from = 0; from < rows.length; from += atOnce) {
    const some = rows.slice(from, from + atOnce);
    const values = some.map((row, r) => `(${row.map((_, i) => `$${r * first.length + i + 1}`).join(', ')})`);
    const [id] = await sequelize.query(`INSERT INTO ${table} (${names}) VALUES ${values.join(', ')}`, {
      bind: some.flatMap((row) => row.map(([, value]) => value)),
      type: QueryTypes.INSERT,
    });
    last = id;
  }
  return last;
};

/** Inserts rows of one kind. */
export const insertRows = async (sequelize: Sequelize, rows: readonly AnyRow[]): Promise<void> => {
  const [first] = rows;
  if (first) await insert(sequelize, TABLES[first.kind].table, rows.map(toColumns));
};

export const updateRow = async (sequelize: Sequelize, row: AnyRow): Promise<void> => {
  const columns = toColumns(row).slice(1);
  await sequelize.query(
    `UPDATE ${TABLES[row.kind].table} SET ${columns.map(([c], i) => `${c} = $${i + 2}`).join(', ')} WHERE id = $1`,
    { bind: [row.value.id, ...columns.map(([, value]) => value)], type: QueryTypes.UPDATE },
  );
};

export const deleteRow = async (sequelize: Sequelize, kind: EntityKind, id: string): Promise<void> => {
  await sequelize.query(`DELETE FROM ${TABLES[kind].table} WHERE id = $1`, {
    bind: [id],
    type: QueryTypes.DELETE,
  });
};

const json = (value: unknown): string | null => (value === null ? null : JSON.stringify(value));

/** Appends to the change log, inside a transaction: nothing else takes a sequence meanwhile. @returns the changes with theirs */
export const appendChanges = async (
  sequelize: Sequelize,
  changes: readonly Omit<LoggedChange, 'sequence'>[],
): Promise<LoggedChange[]> => {
  const rows = changes.map(
    ({ id, before, after, ...rest }) =>
      [
        ...Object.entries({ ...rest, entityId: id }).map(([f, v]): [string, unknown] => [columnOf(f), v]),
        ['before', json(before)],
        ['after', json(after)],
      ] as [string, unknown][],
  );
  const last = await insert(sequelize, 'change_log', rows);
  return changes.map((change, i) => ({ sequence: last - (changes.length - 1 - i), ...change }));
};

type RawChange = Readonly<Record<string, unknown>> & {
  readonly before: string | null;
  readonly after: string | null;
};
const parsed = (text: string | null): unknown => (text === null ? null : JSON.parse(text));

const LOGGED =
  'sequence, batch, undoes, step, device, film_id AS filmId, kind, entity_id AS id, at, version, before, after';

/** Logged changes that meet a condition, oldest first; with a limit, the newest of them. */
export const readChanges = async (
  sequelize: Sequelize,
  condition: string,
  values: Record<string, unknown>,
  limit = 5000,
): Promise<LoggedChange[]> => {
  const raw = await read<RawChange>(
    sequelize,
    `SELECT * FROM (SELECT ${LOGGED} FROM change_log WHERE ${condition} ORDER BY sequence DESC LIMIT ${limit}) ORDER BY sequence`,
    values,
  );
  return raw.map(
    (r) => ({ ...r, before: parsed(r.before), after: parsed(r.after) }) as unknown as LoggedChange,
  );
};
