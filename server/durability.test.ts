import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { chmod, chown, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { AnyRow } from '@contract';
import { QueryTypes, Sequelize } from 'sequelize';
import { migrate, MIGRATION_NAMES } from './migrations';
import { openDatabase, DATABASE_FILE } from './database';
import { batchOf, change, openFirst, post, testServer } from './testing';

let dataDir: string;
beforeEach(async () => {
  dataDir = await mkdtemp(join(tmpdir(), 'dusk-kill-'));
});
afterEach(() => rm(dataDir, { recursive: true, force: true }));

/** The application as it is shipped, bundled once for all its starts here. */
const BUNDLE = '.cache/durability/main.mjs';
beforeAll(async () => {
  for (const [entry, file] of [
    ['server/main.ts', BUNDLE],
    ['server/import/worker.ts', '.cache/durability/import.mjs'],
    ['server/documents/worker.ts', '.cache/durability/documents.mjs'],
  ])
    await promisify(execFile)(process.execPath, [
      'scripts/bundle.mjs',
      ...(file === BUNDLE ? ['--whole'] : []),
      entry!,
      file!,
    ]);
});

interface Started {
  child: ChildProcess;
  address: string;
}

const spawnServer = (user?: number): ChildProcess =>
  spawn(process.execPath, [BUNDLE, '--demo'], {
    env: { ...process.env, DUSK_DATA: dataDir, DUSK_PORT: '0', DUSK_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'pipe'],
    ...(user === undefined ? {} : { uid: user, gid: user }),
  });

const output = (child: ChildProcess): Promise<{ code: number | null; text: string }> =>
  new Promise((resolve) => {
    let text = '';
    child.stdout?.on('data', (d: Buffer) => {
      text += d.toString();
    });
    child.stderr?.on('data', (d: Buffer) => {
      text += d.toString();
    });
    child.on('close', (code) => resolve({ code, text }));
  });

const startProcess = (): Promise<Started> =>
  new Promise((resolve, reject) => {
    const child = spawnServer();
    let text = '';
    child.stdout?.on('data', (d: Buffer) => {
      text += d.toString();
      const address = /is at (http:\S+)/.exec(text)?.[1];
      if (address) resolve({ child, address });
    });
    child.on('close', () => reject(new Error(`ended before it listened: ${text}`)));
  });

const killed = (child: ChildProcess, signal: NodeJS.Signals): Promise<number | null> =>
  new Promise((resolve) => {
    child.on('close', resolve);
    child.kill(signal);
  });

describe('a process killed in a burst of saves', () => {
  it('has every acknowledged save afterwards, in a sound database', async () => {
    const { child, address } = await startProcess();
    const { rows } = await openFirst(address);
    const shots = rows.filter((r): r is Extract<AnyRow, { kind: 'shot' }> => r.kind === 'shot');
    const acknowledged = new Map<string, number>();
    let stopping = false;
    let enough = (): void => undefined;
    const burst = new Promise<void>((resolve) => {
      enough = resolve;
    });
    let saves = 0;
    const hammer = async (shot: (typeof shots)[number]): Promise<void> => {
      for (let version = shot.version; !stopping; version += 1) {
        const answer = await post(
          address,
          '/api/changes',
          batchOf(change('shot', version, { ...shot.value, notes: `n${version + 1}` })),
        ).catch(() => null);
        if (answer?.status !== 200) return;
        acknowledged.set(shot.value.id, version + 1);
        saves += 1;
        if (saves === 150) enough();
      }
    };
    const hammers = Promise.all(shots.map(hammer));
    await Promise.race([burst, hammers]);
    await killed(child, 'SIGKILL');
    stopping = true;
    await hammers;
    expect(saves).toBeGreaterThanOrEqual(150);
    const again = await startProcess();
    const after = await openFirst(again.address);
    for (const [id, version] of acknowledged) {
      const row = after.rows.find((r) => r.value.id === id);
      expect(row?.version).toBeGreaterThanOrEqual(version);
      expect((row?.value as { notes: string }).notes).toBe(`n${row?.version}`);
    }
    expect(await killed(again.child, 'SIGTERM')).toBe(0);
    const db = new Sequelize({ dialect: 'sqlite', storage: join(dataDir, DATABASE_FILE), logging: false });
    expect(await db.query('PRAGMA integrity_check', { type: QueryTypes.SELECT })).toEqual([
      { integrity_check: 'ok' },
    ]);
    expect(await db.query('PRAGMA foreign_key_check', { type: QueryTypes.SELECT })).toEqual([]);
    await db.close();
  });
});

describe('a database that cannot be used', () => {
  it('is left as it is, with a message that names the backups', async () => {
    const { child } = await startProcess();
    await killed(child, 'SIGTERM');
    const file = join(dataDir, DATABASE_FILE);
    const bytes = await readFile(file);
    bytes.fill(0x5a, 1000, 30_000);
    await writeFile(file, bytes);
    const { code, text } = await output(spawnServer());
    expect(code).toBe(1);
    expect(text).toMatch(/damaged/);
    expect(text).toMatch(/newest is dusk-slate-\d{6}-\d{8}-\d{6}\.db/);
    expect(Buffer.compare(await readFile(file), bytes)).toBe(0);
  });

  it.runIf(process.getuid?.() === 0)('says so when it may not be written', async () => {
    const { child } = await startProcess();
    await killed(child, 'SIGTERM');
    await chmod(join(dataDir, DATABASE_FILE), 0o444);
    await chown(dataDir, 65534, 65534);
    const { code, text } = await output(spawnServer(65534));
    expect(code).toBe(1);
    expect(text).toMatch(/cannot be written/);
  });

  it('says that the port is taken', async () => {
    const server = await testServer(false);
    const child = spawn(process.execPath, [BUNDLE], {
      env: {
        ...process.env,
        DUSK_DATA: dataDir,
        DUSK_PORT: new URL(server.address).port,
        DUSK_LOG: 'silent',
      },
    });
    const { code, text } = await output(child);
    expect(code).toBe(1);
    expect(text).toMatch(/Port \d+ is taken/);
    await server.end();
  });
});

describe('migrations', () => {
  it('build the schema once and do nothing the second time', async () => {
    const sequelize = await openDatabase(dataDir);
    expect(await migrate(sequelize)).toEqual(MIGRATION_NAMES);
    expect(await migrate(sequelize)).toEqual([]);
    const mode = await sequelize.query<{ journal_mode: string }>('PRAGMA journal_mode', {
      type: QueryTypes.SELECT,
    });
    expect(mode[0]?.journal_mode).toBe('wal');
    await sequelize.close();
  });
});

describe('settings', () => {
  const ran = (args: string[], env: NodeJS.ProcessEnv = {}): Promise<{ code: number | null; text: string }> =>
    output(spawn(process.execPath, [BUNDLE, ...args], { env: { ...process.env, ...env } }));
  it.each([
    [['--port', 'ninety'], {}, '--port must be a port number, not “ninety”'],
    [[], { DUSK_PORT: '99999' }, 'DUSK_PORT must be a port number'],
    [['--prot', '5000'], {}, '--prot'],
  ] as const)('that make no sense end with one clear line: %s', async (args, env, said) => {
    const { code, text } = await ran([...args], { ...env, DUSK_DATA: dataDir });
    expect(code).toBe(1);
    expect(text).toContain(said);
    expect(text).not.toMatch(/\n\s+at /);
  });
  it('that name a folder count it from where the person stands', async () => {
    const child = spawn(process.execPath, [BUNDLE, '--data', 'films', '--port', '0'], {
      env: { ...process.env, INIT_CWD: dataDir, DUSK_LOG: 'silent' },
    });
    const text = output(child);
    await new Promise((resolve) => child.stdout.once('data', resolve));
    // Twice, as a key in a terminal reaches it: the second does not cut the first off.
    child.kill('SIGINT');
    child.kill('SIGINT');
    const { code, text: said } = await text;
    expect(code).toBe(0);
    expect(said).toContain(`Data: ${join(dataDir, 'films')}`);
  });
  it('are listed by --help, and nothing is started', async () => {
    const { code, text } = await ran(['--help']);
    expect(code).toBe(0);
    expect(text).toContain('--data <folder>');
    expect(text).not.toContain('http://');
  });
});

describe('threads beside the server', () => {
  it('read film files and make documents, and say what is wrong as the server does', async () => {
    const { child, address } = await startProcess();
    const film = await (await fetch(`${address}/api/films/${(await openFirst(address)).id}/file`)).text();
    const taken = await post(address, '/api/films/import', film);
    expect(taken.status).toBe(201);
    const { id } = (await taken.json()) as { id: string };
    const list = await fetch(`${address}/api/films/${id}/documents/shot-list.pdf`);
    expect((await list.text()).slice(0, 5)).toBe('%PDF-');
    const wrong = await post(address, '/api/films/import', film.replace('"takes": 2', '"takes": -2'));
    expect([wrong.status, ((await wrong.json()) as { detail: string }).detail]).toEqual([
      400,
      'Takes must be 1 or more.',
    ]);
    child.kill('SIGTERM');
    expect((await output(child)).code).toBe(0);
  });
});
