import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { DEFAULTS_0007 } from './defaults-0007';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

/** Tables as they stood when this migration was written. */
const TABLES_0007: Readonly<Record<string, string>> = {
  film: 'films',
  location: 'locations',
  subject: 'subjects',
  shot: 'shots',
  picture: 'pictures',
  aircraft: 'aircraft',
  pack: 'packs',
  filter: 'filters',
  charger: 'chargers',
  device: 'devices',
  answer: 'answers',
};

/** Fields that stood in a column of their own, which a body must not repeat. */
const COLUMNS_0007: Readonly<Record<string, readonly string[]>> = {
  film: ['pilotId'],
  shot: ['subjectId', 'aircraftId'],
};

/**
 * Gives every row, and the log, the fields that came since it was written. Until version 6 the migrations took them from the
 * schema of the day; from here on each migration says itself what it changes.
 */
export const frozenDefaults = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    for (const [kind, table] of Object.entries(TABLES_0007)) {
      const columns = COLUMNS_0007[kind] ?? [];
      const own = (DEFAULTS_0007[kind] ?? []).filter(([path]) => !columns.includes(path));
      await rewriteBodies(sequelize, table, (body) => filledWith(own, body));
    }
    await rewriteLog(sequelize, Object.keys(DEFAULTS_0007), (kind, value) =>
      filledWith(DEFAULTS_0007[kind] ?? [], value),
    );
  });
