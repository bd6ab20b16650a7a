import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

/** What practice written before has in the field that came with this version. */
const FIELDS_0012 = [['drillId', '']] as const;

/** Which drill a practice in the cockpit was, where it was no shot. */
export const drills = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await rewriteBodies(sequelize, 'practice', (body) => filledWith(FIELDS_0012, body));
    await rewriteLog(sequelize, ['practice'], (_, row) => filledWith(FIELDS_0012, row));
  });
