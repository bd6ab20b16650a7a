import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

type Row = Record<string, unknown>;
type Fields = readonly (readonly [path: string, value: unknown])[];

const TYPICAL: Fields = [['typical', []]];

/** Fields that came with this version, and what rows written before have in them. */
const FIELDS_0010: Readonly<Record<string, Fields>> = {
  film: [
    ['deadline', null],
    ['signedOffBy', ''],
    ['stillsCount', 0],
    ['versions', []],
  ],
  shot: [['chance', false]],
  location: [['placed', true]],
  aircraft: TYPICAL,
  pack: TYPICAL,
  card: TYPICAL,
  filter: TYPICAL,
};

const TABLES_0010: Readonly<Record<string, string>> = {
  film: 'films',
  shot: 'shots',
  location: 'locations',
  aircraft: 'aircraft',
  pack: 'packs',
  card: 'cards',
  filter: 'filters',
};

/** Takes as they were flown, what a film delivers and when, and which figures of the kit are only typical. */
export const takesAndDelivery = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await sequelize.query(
      `CREATE TABLE takes (id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL,
       updated_at TEXT NOT NULL, body JSON NOT NULL,
       location_id TEXT NOT NULL REFERENCES locations(id) DEFERRABLE INITIALLY DEFERRED)`,
    );
    await sequelize.query('CREATE INDEX takes_location ON takes(location_id)');
    const grown = (kind: string, row: Row): Row => filledWith(FIELDS_0010[kind] ?? [], row);
    for (const [kind, table] of Object.entries(TABLES_0010))
      await rewriteBodies(sequelize, table, (body) => grown(kind, body));
    await rewriteLog(sequelize, Object.keys(TABLES_0010), grown);
  });
