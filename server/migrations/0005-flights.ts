import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';

const common =
  'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';
const refers = (column: string, table: string, required = true): string =>
  `${column} TEXT ${required ? 'NOT NULL ' : ''}REFERENCES ${table}(id) DEFERRABLE INITIALLY DEFERRED`;
const gear = 'name TEXT NOT NULL, retired BOOLEAN NOT NULL DEFAULT 0';

/** Flights that are laid down, what charges the packs, and the log of what was flown. */
export const flights = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await sequelize.query(
      `CREATE TABLE flights (${common}, ${refers('location_id', 'locations')}, ${refers('aircraft_id', 'aircraft')}, ${refers('pack_id', 'packs', false)}, position TEXT NOT NULL)`,
    );
    await sequelize.query('CREATE INDEX flights_location ON flights(location_id)');
    for (const table of ['chargers', 'devices'])
      await sequelize.query(`CREATE TABLE ${table} (${common}, ${gear})`);
    // The log outlives the film it was flown for: no reference to it.
    await sequelize.query(
      `CREATE TABLE flown (${common}, ${refers('aircraft_id', 'aircraft')}, ${refers('pack_id', 'packs')}, film_id TEXT)`,
    );
    await sequelize.query('CREATE INDEX flown_film ON flown(film_id)');
  });
