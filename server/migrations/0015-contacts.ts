import type { Sequelize } from 'sequelize';
import { inTransaction } from '../database';
import { filledWith } from './fill';
import { rewriteBodies, rewriteLog } from './rewrite';

const FILM_0015 = [
  ['contacts', []],
  ['preferences.countRehearsed', true],
] as const;
const LOG_0015 = [['plannedSetUpMin', null]] as const;
const LOCATION_0015 = [['wayIn', '']] as const;

/** Who is reached on the day, how one gets to a location, and what of a flight's plan was set-up. */
export const contacts = (sequelize: Sequelize): Promise<void> =>
  inTransaction(sequelize, async () => {
    await rewriteBodies(sequelize, 'films', (body) => filledWith(FILM_0015, body));
    await rewriteBodies(sequelize, 'locations', (body) => filledWith(LOCATION_0015, body));
    await rewriteBodies(sequelize, 'flight_log', (body) => filledWith(LOG_0015, body));
    await rewriteLog(sequelize, ['film', 'location', 'flightLogEntry'], (kind, row) =>
      filledWith(kind === 'film' ? FILM_0015 : kind === 'location' ? LOCATION_0015 : LOG_0015, row),
    );
  });
