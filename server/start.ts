import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import pino, { type Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { createApp } from './app';
import type { Config } from './config';
import { connect, openDatabase, StartError } from './database';
import { migrate } from './migrations';
import { backUp, keepBackingUp } from './services/backup';
import { Assets } from './services/assets';
import { Feed } from './services/feed';
import { Films } from './services/films';
import { Store } from './services/store';

export const VERSION = '0.1.0';

export interface Running {
  readonly address: string;
  readonly films: Films;
  readonly assets: Assets;
  readonly store: Store;
  readonly backUp: (at?: Date) => Promise<string>;
  readonly stop: () => Promise<void>;
}

const listen = (server: Server, config: Config): Promise<string> =>
  new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      reject(
        error.code === 'EADDRINUSE'
          ? new StartError(
              `Port ${config.port} is taken: another copy may be running. Stop it, or set DUSK_PORT.`,
            )
          : error,
      ),
    );
    server.listen(config.port, config.host, () => {
      const { port, address, family } = server.address() as AddressInfo;
      resolve(`http://${family === 'IPv6' ? `[${address}]` : address}:${port}`);
    });
  });

const prepare = async (sequelize: Sequelize, config: Config, log: Logger): Promise<() => void> => {
  const stopBackups = await keepBackingUp(sequelize, config.dataDir, log);
  const ran = await migrate(sequelize);
  if (ran.length > 0) log.info({ ran }, 'schema brought up to date');
  return stopBackups;
};

/**
 * Opens the data, brings the schema up to date, listens.
 * @param seed run once the store is ready, before listening
 * @throws StartError with words for the person who started it
 */
export const start = async (
  config: Config,
  log: Logger = pino({ level: 'info' }),
  seed?: (films: Films) => Promise<void>,
): Promise<Running> => {
  const sequelize = await openDatabase(config.dataDir);
  const stopBackups = await prepare(sequelize, config, log).catch(async (error: unknown) => {
    await sequelize.close();
    throw error instanceof Error && /readonly|READONLY/.test(error.message)
      ? new StartError(`The database in ${config.dataDir} cannot be written to: ${error.message}`)
      : error;
  });
  const feed = new Feed();
  const writer = connect(config.dataDir);
  const store = new Store(writer, feed);
  const assets = new Assets(sequelize, store);
  const films = new Films(sequelize, store, assets);
  await assets.tidy();
  if (seed) await seed(films);
  const server = createServer(
    createApp({
      store,
      films,
      assets,
      feed,
      log,
      names: config.names,
      tiles: config.tiles ?? '',
      webDir: config.webDir,
      version: VERSION,
    }),
  );
  const address = await listen(server, config);
  const stop = async (): Promise<void> => {
    stopBackups();
    await new Promise<void>((resolve) => {
      server.close(() => resolve());
      server.closeAllConnections();
    });
    await store.idle();
    await writer.close();
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
    await sequelize.close();
  };
  return { address, films, assets, store, backUp: (at) => backUp(sequelize, config.dataDir, at), stop };
};
