import { QueryTypes, type Sequelize } from 'sequelize';
import { read } from '../database';

type Row = Record<string, unknown>;

/** Rewrites the JSON bodies of a table's rows. The columns of the table are not touched. */
export const rewriteBodies = async (
  sequelize: Sequelize,
  table: string,
  change: (body: Row, id: string) => Row,
): Promise<void> => {
  const rows = await read<{ id: string; body: string }>(sequelize, `SELECT id, body FROM ${table}`, {});
  for (const { id, body } of rows) {
    const next = JSON.stringify(change(JSON.parse(body) as Row, id));
    if (next === body) continue;
    await sequelize.query(`UPDATE ${table} SET body = $1 WHERE id = $2`, {
      bind: [next, id],
      type: QueryTypes.UPDATE,
    });
  }
};

/** Rewrites what the change log says of some kinds of rows, before and after each change. */
export const rewriteLog = async (
  sequelize: Sequelize,
  kinds: readonly string[],
  change: (kind: string, value: Row) => Row,
): Promise<void> => {
  for (const column of ['before', 'after'] as const) {
    const rows = await read<{ sequence: number; kind: string; text: string }>(
      sequelize,
      `SELECT sequence, kind, ${column} AS text FROM change_log WHERE ${column} IS NOT NULL AND kind IN (:kinds)`,
      { kinds },
    );
    for (const { sequence, kind, text } of rows) {
      const next = JSON.stringify(change(kind, JSON.parse(text) as Row));
      if (next === text) continue;
      await sequelize.query(`UPDATE change_log SET ${column} = $1 WHERE sequence = $2`, {
        bind: [next, sequence],
      });
    }
  }
};
