import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';

const common =
  'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';
const ofPlace =
  'location_id TEXT NOT NULL REFERENCES locations(id) DEFERRABLE INITIALLY DEFERRED, name TEXT NOT NULL';

/** What is drawn on the plan of a place, its ground and pictures, and the files they refer to. All or nothing. */
export const site = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    for (const table of ['features', 'grounds', 'pictures']) {
      await sequelize.query(`CREATE TABLE ${table} (${common}, ${ofPlace})`);
      await sequelize.query(`CREATE INDEX ${table}_location ON ${table}(location_id)`);
    }
    await sequelize.query(
      'CREATE TABLE assets (id TEXT PRIMARY KEY, mime TEXT NOT NULL, created_at TEXT NOT NULL, bytes BLOB NOT NULL)',
    );
  });
