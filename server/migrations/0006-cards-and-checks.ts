import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';

const common =
  'id TEXT PRIMARY KEY, version INTEGER NOT NULL, created_at TEXT NOT NULL, updated_at TEXT NOT NULL, body JSON NOT NULL';
const refers = (column: string, table: string): string =>
  `${column} TEXT NOT NULL REFERENCES ${table}(id) DEFERRABLE INITIALLY DEFERRED`;
const gear = 'name TEXT NOT NULL, retired BOOLEAN NOT NULL DEFAULT 0';

/** Where cards have been, what else is in the bag, checks and their answers. */
export const cardsAndChecks = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    for (const table of ['gear', 'own_checks'])
      await sequelize.query(`CREATE TABLE ${table} (${common}, ${gear})`);
    await sequelize.query(`CREATE TABLE card_moves (${common}, ${refers('card_id', 'cards')})`);
    await sequelize.query('CREATE INDEX card_moves_card ON card_moves(card_id)');
    await sequelize.query(`CREATE TABLE answers (${common}, ${refers('location_id', 'locations')})`);
    await sequelize.query('CREATE INDEX answers_location ON answers(location_id)');
  });
