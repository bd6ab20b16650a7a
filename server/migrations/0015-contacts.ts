import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

const FILM_0015 = [['contacts', []]] as const;
const LOCATION_0015 = [['wayIn', '']] as const;

/** Who is reached on the day, and how one gets to a location. */
export const contacts = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await rewriteBodies(sequelize, 'films', (body) => filledWith(FILM_0015, body));
    await rewriteBodies(sequelize, 'locations', (body) => filledWith(LOCATION_0015, body));
    await rewriteLog(sequelize, ['film', 'location'], (kind, row) =>
      filledWith(kind === 'film' ? FILM_0015 : LOCATION_0015, row),
    );
  });
