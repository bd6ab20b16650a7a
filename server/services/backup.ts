import { DAY_MS } from '@core/time';
import { copyFile, mkdtemp, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { FilmFile } from '@contract';
import pLimit from 'p-limit';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { BACKUP_DIR, connectFile, DATABASE_FILE, read, StartError } from '../database';
import { HttpProblem } from '../http/problem';
import { migrate } from '../migrations';
import { Assets } from './assets';
import { backupsIn, nextName, outdated } from './backup-names';
import { Feed } from './feed';
import { Films } from './films';
import { Store } from './store';

const PARTIAL = '.partial-';
/** Names the backup that takes the place of the database at the next start. */
const STAGED = 'restore-at-next-start';

/** A backup as a person chooses among them. */
export interface BackupInfo {
  readonly name: string;
  /** When it was written, ISO. */
  readonly at: string;
  readonly bytes: number;
  /** It opens, and its pages hold together. */
  readonly sound: boolean;
  readonly films: readonly { readonly id: string; readonly name: string; readonly shots: number }[];
}

const toDisk = async (path: string): Promise<void> => {
  const handle = await open(path, 'r');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
};

const rowsOf = async (sequelize: Sequelize): Promise<string> =>
  JSON.stringify(
    await read(
      sequelize,
      'SELECT (SELECT COUNT(*) FROM films) AS films, (SELECT COUNT(*) FROM shots) AS shots, (SELECT MAX(sequence) FROM change_log) AS last',
    ).catch(() => null),
  );

/** @throws Error when a copy is not whole */
const checkWhole = async (file: string, source: string): Promise<void> => {
  const copy = connectFile(file);
  try {
    const [answer] = await read<{ integrity_check: string }>(copy, 'PRAGMA integrity_check');
    if (answer?.integrity_check !== 'ok') throw new Error(`the copy is damaged: ${answer?.integrity_check}`);
    // More may have been written since the copy began; less than before it would be a loss.
    const own = await rowsOf(copy);
    if (own === 'null' && source !== 'null') throw new Error('the copy has no films in it');
  } finally {
    await copy.close();
  }
};

/**
 * Writes a whole copy of the database while it is in use: under another name first, checked, on the disk, then named; then lets
 * go of what is outdated. A copy that fails leaves nothing behind and pushes nothing out.
 * @returns its name
 */
export const backUp = (sequelize: Sequelize, dataDir: string, at = new Date()): Promise<string> =>
  // In turn: two at once would take the same number.
  oneAtATime(() => write(sequelize, dataDir, at));

const oneAtATime = pLimit(1);
const write = async (sequelize: Sequelize, dataDir: string, at: Date): Promise<string> => {
  const dir = join(dataDir, BACKUP_DIR);
  const partial = join(dir, `${PARTIAL}${process.pid}-${Date.now()}.db`);
  try {
    const source = await rowsOf(sequelize);
    await sequelize.query('VACUUM INTO :partial', { replacements: { partial } });
    await checkWhole(partial, source);
    await toDisk(partial);
    const name = nextName(await readdir(dir), at);
    await rename(partial, join(dir, name));
    await toDisk(dir);
    for (const old of outdated(await readdir(dir)))
      if (old !== name) await rm(join(dir, old), { force: true });
    return name;
  } finally {
    await rm(partial, { force: true });
  }
};

/** Removes what was left half written by a process that is gone. */
export const tidyBackups = async (dataDir: string): Promise<void> => {
  const dir = join(dataDir, BACKUP_DIR);
  for (const file of await readdir(dir).catch(() => []))
    if (file.startsWith(PARTIAL)) await rm(join(dir, file), { force: true });
};

/** Backs up once a day, the first time at once. @returns a function that stops it */
export const keepBackingUp = (sequelize: Sequelize, dataDir: string, log: Logger): (() => Promise<void>) => {
  let running = Promise.resolve();
  const once = (): void => {
    running = backUp(sequelize, dataDir).then(
      (file) => {
        log.info({ file }, 'backup written');
      },
      (error: unknown) => {
        log.error({ err: error }, 'backup failed');
      },
    );
  };
  once();
  const timer = setInterval(once, DAY_MS);
  timer.unref();
  return async () => {
    clearInterval(timer);
    await running;
  };
};

const isoOf = (stamp: string): string =>
  `${stamp.slice(0, 4)}-${stamp.slice(4, 6)}-${stamp.slice(6, 8)}T${stamp.slice(9, 11)}:${stamp.slice(11, 13)}:${stamp.slice(13, 15)}Z`;

/** The backups of a data folder, as they can be restored. */
export class Backups {
  /** What is known of a file: backups never change once they are named. */
  private readonly known = new Map<string, BackupInfo>();

  constructor(
    private readonly sequelize: Sequelize,
    private readonly dataDir: string,
  ) {}

  private path(name: string): string {
    return join(this.dataDir, BACKUP_DIR, name);
  }

  /** @throws HttpProblem 404 for a name that is none of the backups */
  private async named(name: string): Promise<string> {
    const files = backupsIn(await readdir(join(this.dataDir, BACKUP_DIR)));
    if (!files.some((b) => b.file === name))
      throw new HttpProblem(404, 'no-backup', 'There is no such backup; it may have been outdated.');
    return this.path(name);
  }

  private async look(name: string, stamp: string): Promise<BackupInfo> {
    const known = this.known.get(name);
    if (known) return known;
    const file = this.path(name);
    const about = { name, at: isoOf(stamp), bytes: (await stat(file)).size };
    const db = connectFile(file);
    const info = await (async (): Promise<BackupInfo> => {
      const [check] = await read<{ quick_check: string }>(db, 'PRAGMA quick_check');
      const films = await read<BackupInfo['films'][number]>(
        db,
        `SELECT f.id, f.name, (SELECT COUNT(*) FROM shots s JOIN locations l ON l.id = s.location_id
          WHERE l.film_id = f.id) AS shots FROM films f ORDER BY f.name`,
      );
      return { ...about, sound: check?.quick_check === 'ok', films };
    })()
      .catch((): BackupInfo => ({ ...about, sound: false, films: [] }))
      .finally(() => db.close().catch(() => undefined));
    this.known.set(name, info);
    return info;
  }

  /** Every backup, the newest first, opened and checked. */
  async list(): Promise<readonly BackupInfo[]> {
    const files = [...backupsIn(await readdir(join(this.dataDir, BACKUP_DIR)))].reverse();
    const infos: BackupInfo[] = [];
    for (const { file, stamp } of files) infos.push(await this.look(file, stamp));
    return infos;
  }

  /** Writes one now. @returns its name */
  make(): Promise<string> {
    return backUp(this.sequelize, this.dataDir);
  }

  /** A film as it was in a backup, brought to the schema of today. The backup itself is not touched. */
  async film(name: string, filmId: string): Promise<FilmFile> {
    const source = await this.named(name);
    const dir = await mkdtemp(join(this.dataDir, BACKUP_DIR, PARTIAL));
    const db = connectFile(join(dir, 'copy.db'));
    try {
      await copyFile(source, join(dir, 'copy.db'));
      await migrate(db);
      const store = new Store(db, new Feed());
      return await new Films(db, store, new Assets(db, store)).exportFile(filmId);
    } finally {
      await db.close();
      await rm(dir, { recursive: true, force: true });
    }
  }

  /** Has a backup take the place of everything at the next start; the state now is backed up first. @returns that backup */
  async stage(name: string): Promise<string> {
    await this.named(name);
    const before = await this.make();
    await writeFile(join(this.dataDir, STAGED), name);
    return before;
  }
}

/**
 * Puts a staged backup in the place of the database, before it is opened. What was there stays beside it under another name.
 * @returns the backup that was put in place; null where none was staged
 */
export const restoreStaged = async (dataDir: string): Promise<string | null> => {
  const staged = join(dataDir, STAGED);
  const name = await readFile(staged, 'utf8').catch(() => null);
  if (name === null) return null;
  const [known] = backupsIn([name.trim()]);
  const source = join(dataDir, BACKUP_DIR, known?.file ?? '');
  if (!known || !(await stat(source).catch(() => null)))
    throw new StartError(
      `The backup ${name.trim()} that was to be restored is not there. Remove ${staged} to go on.`,
    );
  await checkWhole(source, 'null');
  const file = join(dataDir, DATABASE_FILE);
  const fresh = `${file}.restored`;
  await copyFile(source, fresh);
  await toDisk(fresh);
  for (const end of ['', '-wal', '-shm'])
    await rename(`${file}${end}`, `${file}.before-restore${end}`).catch(() => undefined);
  await rename(fresh, file);
  await rm(staged);
  await toDisk(dataDir);
  return known.file;
};
