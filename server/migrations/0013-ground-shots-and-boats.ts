import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

/** What launch points drawn before have in the fields that came with this version. */
const FIELDS_0013 = [
  ['footing', 'ground'],
  ['movesMs', 0],
  ['movesDeg', 0],
] as const;

/** Shots from the ground, what was said about a take, launch points that move, acts that take several batches. */
export const groundShotsAndBoats = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    for (const table of ['ground_shots', 'voice_notes']) {
      await sequelize.query(
        `CREATE TABLE ${table} (id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL,
         updated_at TEXT NOT NULL, body JSON NOT NULL,
         location_id TEXT NOT NULL REFERENCES locations(id) DEFERRABLE INITIALLY DEFERRED)`,
      );
      await sequelize.query(`CREATE INDEX ${table}_location ON ${table}(location_id)`);
    }
    await sequelize.query('ALTER TABLE change_log ADD COLUMN step TEXT');
    await rewriteBodies(sequelize, 'features', (body) => filledWith(FIELDS_0013, body));
    await rewriteLog(sequelize, ['feature'], (_, row) => filledWith(FIELDS_0013, row));
  });
