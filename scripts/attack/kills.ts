import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import type { AnyRow } from '@contract';
import { QueryTypes, Sequelize } from 'sequelize';
import { v4 as uuid } from 'uuid';
import { seeded, type Outcome } from './outcome';

type Shot = Extract<AnyRow, { kind: 'shot' }>;

/**
 * Starts the built application on a folder of its own.
 * @param more settings of its surroundings
 * @returns its address, once it listens
 */
export const startProcess = (
  program: string,
  dataDir: string,
  more: Readonly<Record<string, string>> = {},
): Promise<{ child: ChildProcess; address: string }> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [program, '--demo'], {
      env: {
        ...process.env,
        DUSK_DATA: dataDir,
        DUSK_PORT: '0',
        DUSK_LOG: 'silent',
        DUSK_BACKUPS: 'off',
        ...more,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let text = '';
    const hear = (part: Buffer): void => {
      text += part.toString();
      const address = /is at (http:\S+)/.exec(text)?.[1];
      if (address) resolve({ child, address });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('close', () => reject(new Error(`It ended before it listened: ${text}`)));
  });

export const ended = (child: ChildProcess, signal: NodeJS.Signals): Promise<number | null> =>
  new Promise((resolve) => {
    child.on('close', resolve);
    child.kill(signal);
  });

/** Shots of the first film. */
export const shotsOf = async (address: string): Promise<Shot[]> => {
  const { films } = (await (await fetch(`${address}/api/films`)).json()) as { films: { id: string }[] };
  const { rows } = (await (await fetch(`${address}/api/films/${films[0]?.id ?? ''}`)).json()) as {
    rows: AnyRow[];
  };
  return rows.filter((r): r is Shot => r.kind === 'shot');
};

/** Ends the process without warning in the middle of saves, again and again; what was acknowledged is there afterwards. */
export const kills = async (program: string, dataDir: string, tries: number, seed = 1): Promise<Outcome> => {
  const random = seeded(seed);
  const faults: string[] = [];
  const acknowledged = new Map<string, number>();
  let saves = 0;
  for (let round = 0; round <= tries; round += 1) {
    const { child, address } = await startProcess(program, dataDir);
    const shots = await shotsOf(address);
    for (const { version, value } of shots) {
      const least = acknowledged.get(value.id) ?? 0;
      if (version < least)
        faults.push(`round ${round}: “${value.title}” is at version ${version}, ${least} was acknowledged`);
      if (version > 1 && value.notes !== `save ${version}`)
        faults.push(`round ${round}: “${value.title}” at version ${version} holds “${value.notes}”`);
    }
    if (round === tries) {
      await ended(child, 'SIGTERM');
      break;
    }
    let stopping = false;
    // Somewhere in the burst: after so many saves, which no clock decides.
    const until = saves + 3 + Math.floor(random() * 120);
    let reach = (): void => undefined;
    const reached = new Promise<void>((done) => {
      reach = done;
    });
    const hammers = shots.map(async (shot) => {
      for (let version = shot.version; !stopping; version += 1) {
        const value = { ...shot.value, notes: `save ${version + 1}` };
        const change = { kind: 'shot', id: value.id, version, value };
        const answer = await fetch(`${address}/api/changes`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ batch: uuid(), device: 'attack', changes: [change] }),
        }).catch(() => null);
        if (answer?.status !== 200) return;
        acknowledged.set(value.id, version + 1);
        saves += 1;
        if (saves >= until) reach();
      }
    });
    await Promise.race([reached, Promise.all(hammers)]);
    await ended(child, 'SIGKILL');
    stopping = true;
    await Promise.all(hammers);
  }
  const database = new Sequelize({
    dialect: 'sqlite',
    storage: join(dataDir, 'dusk-slate.db'),
    logging: false,
  });
  const [check] = await database.query<{ integrity_check: string }>('PRAGMA integrity_check', {
    type: QueryTypes.SELECT,
  });
  if (check?.integrity_check !== 'ok')
    faults.push(`the database: ${check?.integrity_check ?? 'cannot be checked'}`);
  await database.close();
  return { name: 'kills', tries, faults, figures: { 'saves acknowledged': String(saves) } };
};
