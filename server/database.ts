import { access, constants, mkdir, readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { backupsIn } from './services/backup-names';

/** Why the application cannot start, in words for the person at the terminal. */
export class StartError extends Error {}

export const DATABASE_FILE = 'dusk-slate.db';
export const BACKUP_DIR = 'backups';

/** Sequelize turns the driver's tracing on, which takes a stack trace for every statement; this leaves it off. */
const quietDriver = { ...sqlite3, verbose: () => sqlite3 };

const backupsText = async (dataDir: string): Promise<string> => {
  const dir = join(dataDir, BACKUP_DIR);
  const newest = backupsIn(await readdir(dir).catch(() => [])).at(-1);
  return newest
    ? `Backups are in ${dir}; the newest is ${newest.file}. To go back to it: stop, copy it over ${DATABASE_FILE}, remove ${DATABASE_FILE}-wal and ${DATABASE_FILE}-shm, start again.`
    : `No backup was found in ${dir}.`;
};

const reason = (error: unknown): string => (error instanceof Error ? error.message : String(error));

const checkWritable = async (dataDir: string, file: string): Promise<void> => {
  const exists = await stat(file).then(
    () => true,
    () => false,
  );
  const failed = await access(exists ? file : dataDir, constants.R_OK | constants.W_OK).then(
    () => null,
    reason,
  );
  if (failed)
    throw new StartError(
      `The database ${file} cannot be written to (${failed}). Check who owns it and its permissions. ${await backupsText(dataDir)}`,
    );
};

/** An empty start beside backups is a loss that nobody noticed: the person chooses. */
const checkThere = async (dataDir: string, file: string): Promise<void> => {
  const size = (await stat(file).catch(() => null))?.size ?? 0;
  const backups = backupsIn(await readdir(join(dataDir, BACKUP_DIR)).catch(() => []));
  if (size > 0 || backups.length === 0) return;
  throw new StartError(
    `The database ${file} is missing or empty, but there are ${backups.length} backups of it. ${await backupsText(dataDir)} To begin anew instead, move the folder ${join(dataDir, BACKUP_DIR)} elsewhere.`,
  );
};

/** A connection of its own to a database file. */
export const connectFile = (storage: string): Sequelize =>
  new Sequelize({ dialect: 'sqlite', storage, logging: false, dialectModule: quietDriver });

/** A connection of its own to the database in a folder. */
export const connect = (dataDir: string): Sequelize => connectFile(join(dataDir, DATABASE_FILE));

/**
 * Runs work in one transaction on a connection that nobody else uses meanwhile. Sequelize's own transactions open a new
 * connection each time, which costs as much as the whole write.
 */
export const inTransaction = async <T>(writer: Sequelize, work: () => Promise<T>): Promise<T> => {
  await writer.query('BEGIN IMMEDIATE');
  try {
    const result = await work();
    await writer.query('COMMIT');
    return result;
  } catch (error) {
    await writer.query('ROLLBACK').catch(() => undefined);
    throw error;
  }
};

/**
 * Opens the database in a folder: WAL, foreign keys on, checked for damage first.
 * @throws StartError when it is damaged or cannot be written
 */
export const openDatabase = async (dataDir: string): Promise<Sequelize> => {
  await mkdir(join(dataDir, BACKUP_DIR), { recursive: true }).catch((error: unknown) => {
    throw new StartError(`The data folder ${dataDir} cannot be made: ${reason(error)}`);
  });
  const file = join(dataDir, DATABASE_FILE);
  await checkWritable(dataDir, file);
  await checkThere(dataDir, file);
  const sequelize = connect(dataDir);
  try {
    const rows = await sequelize.query<{ quick_check: string }>('PRAGMA quick_check', {
      type: QueryTypes.SELECT,
    });
    if (rows[0]?.quick_check !== 'ok') throw new Error(rows[0]?.quick_check ?? 'no answer');
    await sequelize.query('PRAGMA journal_mode = WAL');
    await sequelize.query('PRAGMA user_version');
  } catch (error) {
    await sequelize.close().catch(() => undefined);
    throw new StartError(
      `The database ${file} is damaged or no database (${reason(error)}). Nothing was changed. ${await backupsText(dataDir)}`,
    );
  }
  return sequelize;
};

/** Rows of a raw read. */
export const read = <T extends object>(
  sequelize: Sequelize,
  sql: string,
  replacements: Record<string, unknown> = {},
): Promise<T[]> => sequelize.query<T>(sql, { type: QueryTypes.SELECT, replacements });
