import { DAY_MS } from '@core/time';
import { readdir, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { BACKUP_DIR } from '../database';

const KEPT = 7;

const stamp = (date: Date): string =>
  date.toISOString().replace(/[-:]/g, '').replace(/\..*/, '').replace('T', '-');

/** Writes a whole copy of the database while it is in use, and lets go of all but the last seven. @returns the file */
export const backUp = async (sequelize: Sequelize, dataDir: string, at = new Date()): Promise<string> => {
  const dir = join(dataDir, BACKUP_DIR);
  const file = join(dir, `dusk-slate-${stamp(at)}.db`);
  await rm(file, { force: true });
  await sequelize.query('VACUUM INTO :file', { replacements: { file } });
  const copies = (await readdir(dir)).filter((f) => /^dusk-slate-\d{8}-\d{6}\.db$/.test(f)).sort();
  for (const old of copies.slice(0, -KEPT)) await rm(join(dir, old), { force: true });
  return file;
};

/** Backs up now and once a day. @returns a function that stops it */
export const keepBackingUp = async (
  sequelize: Sequelize,
  dataDir: string,
  log: Logger,
): Promise<() => void> => {
  const once = async (): Promise<void> => {
    try {
      log.info({ file: await backUp(sequelize, dataDir) }, 'backup written');
    } catch (error) {
      log.error({ err: error }, 'backup failed');
    }
  };
  await once();
  const timer = setInterval(() => void once(), DAY_MS);
  timer.unref();
  return () => clearInterval(timer);
};
