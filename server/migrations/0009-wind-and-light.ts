import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

type Row = Record<string, unknown>;

/** Fields that came with this version, and what rows written before have in them. */
const FIELDS_0009: Readonly<Record<string, readonly (readonly [path: string, value: unknown])[]>> = {
  film: [
    ['preferences.topSpeedShare', 0.8],
    ['preferences.homeGustShare', 0.5],
  ],
};

const TABLES_0009: Readonly<Record<string, string>> = { film: 'films' };

/** Legs that are flown for the wind they meet. */
export const windAndLight = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    const grown = (kind: string, row: Row): Row => filledWith(FIELDS_0009[kind] ?? [], row);
    for (const [kind, table] of Object.entries(TABLES_0009))
      await rewriteBodies(sequelize, table, (body) => grown(kind, body));
    await rewriteLog(sequelize, Object.keys(TABLES_0009), grown);
  });
