import { createServer, type Server } from 'node:http';
import { mkdir } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import type { Express } from 'express';
import pino, { type Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { createApp } from './app';
import type { Config } from './config';
import { connect, openDatabase, StartError } from './database';
import { tidyIncoming } from './http/incoming';
import { isBehind, migrate, unknownMigrations } from './migrations';
import { Backups, backUp, keepBackingUp, restoreStaged, tidyBackups } from './services/backup';
import { takeFolder } from './services/lock';
import { Assets } from './services/assets';
import { warmChecks } from './services/checks';
import { Feed } from './services/feed';
import { openLan, ownNames, type Lan } from './pairing/lan';
import { Films } from './services/films';
import { Store } from './services/store';

/** After the first pages have been answered. */
const WARM_AFTER_MS = 700;

export const VERSION = '0.1.0';

export interface Running {
  readonly address: string;
  /** The local network, where it is served. */
  readonly lan: Lan | null;
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

/** The local network one port above the own; on any free one where that is taken. */
const lanFor = async (app: Express, server: Server, config: Config, log: Logger): Promise<Lan> => {
  const { port } = server.address() as AddressInfo;
  const at = { dataDir: config.dataDir, host: config.lanHost ?? '0.0.0.0' };
  try {
    return await openLan(app, { ...at, port: port + 1 }, log);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
    return openLan(app, { ...at, port: 0 }, log);
  }
};

/** Checks that the database is of this version or an earlier one, and brings it up to date, backed up first. */
const prepare = async (sequelize: Sequelize, config: Config, log: Logger): Promise<void> => {
  const unknown = await unknownMigrations(sequelize);
  if (unknown.length > 0)
    throw new StartError(
      `The database in ${config.dataDir} was written by a newer version (it has ${unknown.join(', ')}). Nothing was changed. Start that version, or set DUSK_DATA to another folder.`,
    );
  if (await isBehind(sequelize))
    log.info({ file: await backUp(sequelize, config.dataDir) }, 'backup written');
  const ran = await migrate(sequelize);
  if (ran.length > 0) log.info({ ran }, 'schema brought up to date');
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
  await mkdir(config.dataDir, { recursive: true }).catch(() => undefined);
  const giveBack = await takeFolder(config.dataDir).catch((error: unknown) => {
    throw error instanceof StartError
      ? error
      : new StartError(`The data folder ${config.dataDir} cannot be written to: ${String(error)}`);
  });
  try {
    return await run(config, log, giveBack, seed);
  } catch (error) {
    await giveBack();
    throw error;
  }
};

const run = async (
  config: Config,
  log: Logger,
  giveBack: () => Promise<void>,
  seed?: (films: Films) => Promise<void>,
): Promise<Running> => {
  const restored = await restoreStaged(config.dataDir);
  if (restored) log.info({ backup: restored }, 'backup restored');
  const sequelize = await openDatabase(config.dataDir);
  await tidyBackups(config.dataDir);
  await tidyIncoming(config.dataDir).catch(() => undefined);
  await prepare(sequelize, config, log).catch(async (error: unknown) => {
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
  // On a connection of its own: a copy of a large database would keep every reader waiting.
  const copier = connect(config.dataDir);
  const backups = new Backups(copier, config.dataDir);
  if (seed) await seed(films);
  let lan: Lan | null = null;
  const app = createApp({
    store,
    films,
    assets,
    feed,
    backups,
    log,
    names: config.lan ? [...config.names, ...ownNames()] : config.names,
    tiles: config.tiles ?? '',
    webDir: config.webDir,
    dataDir: config.dataDir,
    version: VERSION,
    lan: () => lan,
  });
  const server = createServer(app);
  const address = await listen(server, config);
  if (config.lan) lan = await lanFor(app, server, config, log);
  const warming = setTimeout(() => void warmChecks(), WARM_AFTER_MS);
  warming.unref();
  // In the background: a large database takes seconds to look through and to copy.
  assets.tidy().catch((error: unknown) => log.warn({ error }, 'files without a row were not looked for'));
  const stopBackups = config.backups === false ? null : keepBackingUp(copier, config.dataDir, log);
  const stop = async (): Promise<void> => {
    clearTimeout(warming);
    await stopBackups?.();
    await lan?.stop();
    await new Promise<void>((resolve) => {
      server.close(() => resolve());
      server.closeAllConnections();
    });
    await store.idle();
    await writer.close();
    await copier.close();
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
    await sequelize.close();
    await giveBack();
  };
  return { address, lan, films, assets, store, backUp: (at) => backUp(copier, config.dataDir, at), stop };
};
