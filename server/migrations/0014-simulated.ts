import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

/** Takes and flights written before were flown by somebody. */
const FIELDS_0014 = [['simulated', false]] as const;

/** Takes and flights of the simulated aircraft are told apart from real ones. */
export const simulated = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    for (const table of ['takes', 'flight_log'])
      await rewriteBodies(sequelize, table, (body) => filledWith(FIELDS_0014, body));
    await rewriteLog(sequelize, ['take', 'flightLogEntry'], (_, row) => filledWith(FIELDS_0014, row));
  });
