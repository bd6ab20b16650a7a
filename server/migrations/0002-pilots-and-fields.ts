import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';

const common =
  'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';

/** Pilots with their practice, and fields that came since. All or nothing. */
export const pilotsAndFields = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    const statements = [
      `CREATE TABLE pilots (${common}, name TEXT NOT NULL, retired BOOLEAN NOT NULL DEFAULT 0)`,
      `CREATE TABLE practice (${common}, pilot_id TEXT NOT NULL REFERENCES pilots(id) DEFERRABLE INITIALLY DEFERRED)`,
      'CREATE INDEX practice_pilot ON practice(pilot_id)',
      'ALTER TABLE films ADD COLUMN pilot_id TEXT REFERENCES pilots(id) DEFERRABLE INITIALLY DEFERRED',
    ];
    for (const sql of statements) await sequelize.query(sql);
  });
