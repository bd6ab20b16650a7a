import type { Sequelize } from 'sequelize';

const common =
  'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';
const refers = (column: string, table: string, required: boolean): string =>
  `${column} TEXT ${required ? 'NOT NULL ' : ''}REFERENCES ${table}(id) DEFERRABLE INITIALLY DEFERRED`;
const named = 'name TEXT NOT NULL';
const kept = 'retired BOOLEAN NOT NULL DEFAULT 0';

/** The first schema. References are checked at the end of a transaction, so a batch may come in any order. */
export const first = async (sequelize: Sequelize): Promise<void> => {
  const statements = [
    `CREATE TABLE films (${common}, ${named})`,
    `CREATE TABLE locations (${common}, ${refers('film_id', 'films', true)}, position TEXT NOT NULL, ${named})`,
    `CREATE TABLE subjects (${common}, ${refers('location_id', 'locations', true)}, ${named})`,
    `CREATE TABLE aircraft (${common}, ${named}, ${kept})`,
    `CREATE TABLE packs (${common}, ${named}, ${kept})`,
    `CREATE TABLE cards (${common}, ${named}, ${kept})`,
    `CREATE TABLE filters (${common}, ${named}, ${kept})`,
    `CREATE TABLE shots (${common}, ${refers('location_id', 'locations', true)}, ${refers('subject_id', 'subjects', false)}, ${refers('aircraft_id', 'aircraft', false)}, position TEXT NOT NULL, title TEXT NOT NULL)`,
    `CREATE TABLE readings (${common}, ${refers('location_id', 'locations', true)})`,
    `CREATE TABLE change_log (sequence INTEGER PRIMARY KEY AUTOINCREMENT, batch TEXT NOT NULL, undoes TEXT, device TEXT NOT NULL, film_id TEXT,
      kind TEXT NOT NULL, entity_id TEXT NOT NULL, at TEXT NOT NULL, version INTEGER NOT NULL, before JSON, after JSON)`,
    'CREATE INDEX locations_film ON locations(film_id)',
    'CREATE INDEX subjects_location ON subjects(location_id)',
    'CREATE INDEX shots_location ON shots(location_id)',
    'CREATE INDEX shots_subject ON shots(subject_id)',
    'CREATE INDEX shots_aircraft ON shots(aircraft_id)',
    'CREATE INDEX readings_location ON readings(location_id)',
    'CREATE INDEX change_log_film ON change_log(film_id, sequence)',
    'CREATE INDEX change_log_entity ON change_log(entity_id, sequence)',
    'CREATE INDEX change_log_batch ON change_log(batch)',
  ];
  for (const sql of statements) await sequelize.query(sql);
};
