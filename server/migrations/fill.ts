import type { EntityKind } from '@contract';
import type { Sequelize } from 'sequelize';
import { read } from '../database';
import { readRows, updateRow } from '../models';
import { faultsOf } from '../services/checks';

/** The checks fill in what a row lacks; a row they still refuse is left as it was, to be read as before. */
const fillLog = async (
  sequelize: Sequelize,
  column: 'before' | 'after',
  kinds: readonly EntityKind[],
): Promise<void> => {
  const rows = await read<{ sequence: number; kind: EntityKind; text: string }>(
    sequelize,
    `SELECT sequence, kind, ${column} AS text FROM change_log WHERE ${column} IS NOT NULL AND kind IN (:kinds)`,
    { kinds },
  );
  for (const { sequence, kind, text } of rows) {
    const value = JSON.parse(text) as Record<string, unknown>;
    faultsOf(kind, value);
    await sequelize.query(`UPDATE change_log SET ${column} = $1 WHERE sequence = $2`, {
      bind: [JSON.stringify(value), sequence],
    });
  }
};

/** Gives every stored row of some kinds the fields that came since it was written, and the log with them, so that nothing is read half. */
export const fillRows = async (sequelize: Sequelize, kinds: readonly EntityKind[]): Promise<void> => {
  for (const kind of kinds)
    for (const row of await readRows(sequelize, kind, 'id', null)) {
      faultsOf(kind, row.value);
      await updateRow(sequelize, row);
    }
  await fillLog(sequelize, 'before', kinds);
  await fillLog(sequelize, 'after', kinds);
};
