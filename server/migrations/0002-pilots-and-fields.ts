import { ENTITY_KINDS, type EntityKind } from '@contract';
import type { Sequelize } from 'sequelize';
import { inTransaction, read } from '../database';
import { readRows, updateRow } from '../models';
import { faultsOf } from '../services/checks';

const common = 'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';

/** The checks fill in what a row lacks; a row they still refuse is left as it was, to be read as before. */
const fillLog = async (sequelize: Sequelize, column: 'before' | 'after'): Promise<void> => {
  const rows = await read<{ sequence: number; kind: EntityKind; text: string }>(sequelize, `SELECT sequence, kind, ${column} AS text FROM change_log WHERE ${column} IS NOT NULL`);
  for (const { sequence, kind, text } of rows) {
    const value = JSON.parse(text) as Record<string, unknown>;
    faultsOf(kind, value);
    await sequelize.query(`UPDATE change_log SET ${column} = $1 WHERE sequence = $2`, { bind: [JSON.stringify(value), sequence] });
  }
};

/** Pilots with their practice; and every stored row gets the fields that came since, so that nothing is read half. All or nothing. */
export const pilotsAndFields = (sequelize: Sequelize): Promise<void> => inTransaction(sequelize, async () => {
  const statements = [
    `CREATE TABLE pilots (${common}, name TEXT NOT NULL, retired BOOLEAN NOT NULL DEFAULT 0)`,
    `CREATE TABLE practice (${common}, pilot_id TEXT NOT NULL REFERENCES pilots(id) DEFERRABLE INITIALLY DEFERRED)`,
    'CREATE INDEX practice_pilot ON practice(pilot_id)',
    'ALTER TABLE films ADD COLUMN pilot_id TEXT REFERENCES pilots(id) DEFERRABLE INITIALLY DEFERRED',
  ];
  for (const sql of statements) await sequelize.query(sql);
  for (const kind of ENTITY_KINDS) for (const row of await readRows(sequelize, kind, 'id', null)) {
    faultsOf(kind, row.value);
    await updateRow(sequelize, row);
  }
  await fillLog(sequelize, 'before');
  await fillLog(sequelize, 'after');
});
