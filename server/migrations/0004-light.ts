import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { fillRows } from './fill';

/** What light and exposure ask of films, slates, cameras and filters. */
export const light = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, () => fillRows(sequelize, ['film', 'shot', 'aircraft', 'filter']));
