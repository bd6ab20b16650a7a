import { cp, mkdtemp, readdir, readFile, rm, stat, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import pino from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { DATABASE_FILE, openDatabase } from './database';
import { backUp, type BackupInfo } from './services/backup';
import { backupsIn, nextName, outdated } from './services/backup-names';
import { takeFolder } from './services/lock';
import { start } from './start';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

const at = (ms: number): Date => new Date(ms);
/** Backups written one after another at some instants, pruned each time as the server does. */
const written = (instants: readonly number[]): string[] => {
  let files: string[] = [];
  for (const ms of instants) {
    const name = nextName(files, at(ms));
    files.push(name);
    const gone = new Set(outdated(files));
    expect(gone.has(name)).toBe(false);
    files = files.filter((f) => !gone.has(f));
  }
  return files;
};
const DAY = 86_400_000;
const T0 = Date.UTC(2027, 0, 4, 3);

describe('which backups are kept', () => {
  it('the newest three, one a day for fourteen days, one a week for eight weeks', () => {
    const files = written(Array.from({ length: 120 }, (_, i) => T0 + i * DAY));
    const days = backupsIn(files).map((b) => b.day);
    expect(days.slice(-14)).toEqual(
      Array.from({ length: 14 }, (_, i) =>
        at(T0 + (106 + i) * DAY)
          .toISOString()
          .slice(0, 10)
          .replaceAll('-', ''),
      ),
    );
    expect(files.length).toBeGreaterThanOrEqual(19);
    expect(files.length).toBeLessThanOrEqual(14 + 8);
  });
  it('many starts in a row, or a clock set back, push no day out', () => {
    const week = Array.from({ length: 7 }, (_, i) => T0 + i * DAY);
    const days = (files: readonly string[]): Set<string> => new Set(backupsIn(files).map((b) => b.day));
    const before = days(written(week));
    const restarts = days(
      written([...week, ...Array.from({ length: 40 }, (_, i) => T0 + 7 * DAY + i * 1000)]),
    );
    const setBack = days(
      written([...week, ...Array.from({ length: 10 }, (_, i) => T0 - 400 * DAY + i * 1000)]),
    );
    for (const day of before) expect([restarts.has(day), setBack.has(day)]).toEqual([true, true]);
  });
  it('whatever the clock says, the three written last are there and the one just written never goes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: T0 - 300 * DAY, max: T0 + 300 * DAY }), { minLength: 4, maxLength: 60 }),
        (ms) => {
          const files = written(ms);
          expect(
            backupsIn(files)
              .slice(-3)
              .map((b) => b.sequence),
          ).toEqual([ms.length - 2, ms.length - 1, ms.length]);
          expect(files.length).toBeLessThanOrEqual(3 + 14 + 8);
        },
      ),
    );
  });
  it('files of earlier versions come before numbered ones; other files are none', () => {
    const files = [
      'dusk-slate-000001-20270101-030000.db',
      'dusk-slate-20280101-030000.db',
      '.partial-1-2.db',
      'x.db',
    ];
    expect(backupsIn(files).map((b) => b.sequence)).toEqual([0, 1]);
    expect(nextName(files, at(T0))).toBe('dusk-slate-000002-20270104-030000.db');
  });
});

describe('backups of a running application', () => {
  let server: Awaited<ReturnType<typeof testServer>>;
  beforeEach(async () => {
    server = await testServer();
  });
  afterEach(() => server.end());
  const list = async (): Promise<BackupInfo[]> =>
    (await getJson<{ backups: BackupInfo[] }>(server.address, '/api/backups')).backups;
  const folder = (): string => join(server.dataDir, 'backups');

  it('are listed with their films, checked; a fragment is named as damaged and none of the good ones goes for it', async () => {
    const name = await server.backUp();
    await cp(join(folder(), name), join(folder(), 'dusk-slate-000099-20990101-000000.db'));
    await truncate(join(folder(), 'dusk-slate-000099-20990101-000000.db'), 9000);
    const all = await list();
    expect(all[0]).toMatchObject({ name: 'dusk-slate-000099-20990101-000000.db', sound: false, films: [] });
    const own = all.find((b) => b.name === name)!;
    expect(own).toMatchObject({ sound: true });
    expect(own.films.map((f) => [f.name, f.shots])).toEqual([['The Valdegris line', 18]]);
    expect(own.bytes).toBe((await stat(join(folder(), name))).size);
  });
  it('a copy that fails leaves nothing behind', async () => {
    const broken = await openDatabase(await mkdtemp(join(tmpdir(), 'dusk-broken-')));
    await broken.close();
    await expect(backUp(broken, server.dataDir)).rejects.toThrow();
    expect((await readdir(folder())).filter((f) => backupsIn([f]).length === 0)).toEqual([]);
  });
  it('a film is restored beside today’s, as it was', async () => {
    const { id, rows } = await openFirst(server.address);
    const name = await server.backUp();
    const shot = rows.find((r) => r.kind === 'shot')!;
    await post(
      server.address,
      '/api/changes',
      batchOf(change('shot', shot.version, { ...shot.value, title: 'Changed since' } as never)),
    );
    const answer = await post(server.address, `/api/backups/${name}/films/${id}`, '{}');
    expect(answer.status).toBe(201);
    const { id: copy } = (await answer.json()) as { id: string };
    const restored = await server.films.exportFile(copy);
    const today = await server.films.exportFile(id);
    expect(restored.film.name).toBe('The Valdegris line (backup)');
    expect(restored.shots.map((s) => s.title)).not.toContain('Changed since');
    expect(today.shots.map((s) => s.title)).toContain('Changed since');
    expect(restored.shots).toHaveLength(today.shots.length);
    expect((await readdir(folder())).filter((f) => f.startsWith('.'))).toEqual([]);
  });
  it('a name that is none of them is refused, wherever it points', async () => {
    for (const name of ['nothing.db', '..%2Fdusk-slate.db', '%00'])
      expect(
        (await post(server.address, `/api/backups/${name}/restore`, '{}')).status,
      ).toBeGreaterThanOrEqual(400);
  });
});

describe('a data folder', () => {
  let dataDir: string;
  const config = () => ({
    host: '127.0.0.1',
    port: 0,
    dataDir,
    names: [],
    demo: false,
    webDir: join(dataDir, 'none'),
    backups: false,
  });
  const up = () => start(config(), pino({ level: 'silent' }));
  beforeEach(async () => {
    dataDir = await mkdtemp(join(tmpdir(), 'dusk-folder-'));
  });
  afterEach(() => rm(dataDir, { recursive: true, force: true }));

  it('is taken back as it was at the next start; what was there stays beside it', async () => {
    const first = await testServer();
    const { id } = await openFirst(first.address);
    const name = await first.backUp();
    await first.films.remove(id, 'test');
    const answer = await post(first.address, `/api/backups/${name}/restore`, '{}');
    expect(answer.status).toBe(202);
    await first.stop();
    dataDir = first.dataDir;
    const again = await up();
    expect((await again.films.list()).map((f) => f.name)).toEqual(['The Valdegris line']);
    await again.stop();
    expect(await readdir(dataDir)).toContain(`${DATABASE_FILE}.before-restore`);
  });
  it('with backups but without its database stops with the choice, and changes nothing', async () => {
    const first = await up();
    await first.backUp();
    await first.stop();
    await rm(join(dataDir, DATABASE_FILE));
    await expect(up()).rejects.toThrow(/missing or empty, but there are 1 backups/);
    expect(await readdir(dataDir)).not.toContain(DATABASE_FILE);
    await writeFile(join(dataDir, DATABASE_FILE), '');
    await expect(up()).rejects.toThrow(/missing or empty/);
  });
  it('of a newer version stops with its name, and changes nothing', async () => {
    const first = await up();
    await first.stop();
    const db = await openDatabase(dataDir);
    await db.query("INSERT INTO migrations (name) VALUES ('9999-from-the-future')");
    await db.query('PRAGMA wal_checkpoint(TRUNCATE)');
    await db.close();
    const before = await readFile(join(dataDir, DATABASE_FILE));
    await expect(up()).rejects.toThrow(/newer version \(it has 9999-from-the-future\)/);
    expect((await readFile(join(dataDir, DATABASE_FILE))).equals(before)).toBe(true);
  });
  it('serves one application at a time; the mark of one that is gone is taken over', async () => {
    const first = await up();
    await expect(up()).rejects.toThrow(/in use by another Dusk Slate \(process \d+\)/);
    await first.stop();
    await writeFile(join(dataDir, 'in-use'), JSON.stringify({ pid: 2 ** 22 - 3, began: '1' }));
    const second = await up();
    await second.stop();
    // The number of the process lives on, the process does not.
    await writeFile(join(dataDir, 'in-use'), JSON.stringify({ pid: process.pid, began: '1' }));
    const giveBack = await takeFolder(dataDir);
    await giveBack();
  });
});
