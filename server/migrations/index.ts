import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { first } from './0001-first';

/** Every schema change, in order, forward only. */
const MIGRATIONS: readonly { readonly name: string; readonly up: (sequelize: Sequelize) => Promise<void> }[] = [
  { name: '0001-first', up: first },
];

/** Brings a database to the newest schema. @returns names of the migrations that ran */
export const migrate = async (sequelize: Sequelize): Promise<string[]> => {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(sequelize) })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  });
  return (await umzug.up()).map((m) => m.name);
};
