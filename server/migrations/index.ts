import { QueryTypes, type Sequelize } from 'sequelize';
import { first } from './0001-first';
import { pilotsAndFields } from './0002-pilots-and-fields';
import { site } from './0003-site';
import { light } from './0004-light';
import { flights } from './0005-flights';
import { cardsAndChecks } from './0006-cards-and-checks';
import { frozenDefaults } from './0007-frozen-defaults';
import { flightLogAndFlightIds } from './0008-flight-log-and-flight-ids';
import { windAndLight } from './0009-wind-and-light';
import { takesAndDelivery } from './0010-takes-and-delivery';
import { rehearsalsAndPlansFlown } from './0011-rehearsals-and-plans-flown';
import { drills } from './0012-drills';
import { groundShotsAndBoats } from './0013-ground-shots-and-boats';
import { simulated } from './0014-simulated';
import { contacts } from './0015-contacts';

/** Every schema change, in order, forward only. */
const MIGRATIONS: readonly { readonly name: string; readonly up: (sequelize: Sequelize) => Promise<void> }[] =
  [
    { name: '0001-first', up: first },
    { name: '0002-pilots-and-fields', up: pilotsAndFields },
    { name: '0003-site', up: site },
    { name: '0004-light', up: light },
    { name: '0005-flights', up: flights },
    { name: '0006-cards-and-checks', up: cardsAndChecks },
    { name: '0007-frozen-defaults', up: frozenDefaults },
    { name: '0008-flight-log-and-flight-ids', up: flightLogAndFlightIds },
    { name: '0009-wind-and-light', up: windAndLight },
    { name: '0010-takes-and-delivery', up: takesAndDelivery },
    { name: '0011-rehearsals-and-plans-flown', up: rehearsalsAndPlansFlown },
    { name: '0012-drills', up: drills },
    { name: '0013-ground-shots-and-boats', up: groundShotsAndBoats },
    { name: '0014-simulated', up: simulated },
    { name: '0015-contacts', up: contacts },
  ];

/** Names of the schema changes, oldest first. */
export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map((m) => m.name);

/** Changes a database has behind it that this version does not know: a newer version wrote it. */
export const unknownMigrations = async (sequelize: Sequelize): Promise<string[]> =>
  (await ran(sequelize)).filter((name) => !MIGRATION_NAMES.includes(name));

/** Whether a database has data of an earlier schema, so that a migration is about to change it. */
export const isBehind = async (sequelize: Sequelize): Promise<boolean> => {
  const done = await ran(sequelize);
  return done.length > 0 && done.length < MIGRATION_NAMES.length;
};

const ran = async (sequelize: Sequelize): Promise<string[]> => {
  const rows = await sequelize
    .query<{ name: string }>('SELECT name FROM migrations', { type: QueryTypes.SELECT })
    .catch(() => []);
  return rows.map((r) => r.name);
};

/** Brings a database to the newest schema, or to the one named. @returns names of the migrations that ran */
export const migrate = async (sequelize: Sequelize, to?: string): Promise<string[]> => {
  if (to === undefined && (await ran(sequelize)).length === MIGRATION_NAMES.length) return [];
  // Fetched where there is something to do: it takes longer to load than most starts have left.
  const { SequelizeStorage, Umzug } = await import('umzug');
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(sequelize) })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  return (await umzug.up(to === undefined ? {} : { to })).map((m) => m.name);
};
