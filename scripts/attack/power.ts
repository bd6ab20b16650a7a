import { execFile } from 'node:child_process';
import { mkdir, mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { promisify } from 'node:util';
import { QueryTypes, Sequelize } from 'sequelize';
import { v4 as uuid } from 'uuid';
import { ended, shotsOf, startProcess } from './kills';
import { seeded, type Outcome } from './outcome';
import { PowerStates, readActs, type FileAct, type Loss } from './power-states';

const SOURCE = 'scripts/attack/record-writes.c';
const DATABASE = 'dusk-slate.db';
/** Starts over which the saves are spread, so that recovery and clean ends are among what is noted. */
const STARTS = 3;
const LOSSES: readonly Loss[] = ['all', 'some', 'none'];

/** A save that was acknowledged: how far the notes had come by then. */
interface Acknowledged {
  readonly id: string;
  readonly version: number;
  readonly noted: number;
}

/** Saves one after the other, its file acts noted. @returns what was acknowledged */
const savesNoted = async (
  program: string,
  dataDir: string,
  notes: string,
  library: string,
  saves: number,
): Promise<Acknowledged[]> => {
  const acknowledged: Acknowledged[] = [];
  for (let start = 0; start < STARTS; start += 1) {
    const { child, address } = await startProcess(program, dataDir, {
      LD_PRELOAD: library,
      RECORD_TO: notes,
      RECORD_FOLDER: `${dataDir}/${DATABASE}`,
    });
    const shots = await shotsOf(address);
    const versions = new Map(shots.map((s) => [s.value.id, s.version]));
    for (let n = 0; n < saves / STARTS; n += 1) {
      const shot = shots[n % shots.length];
      if (!shot) break;
      const { id } = shot.value;
      const version = versions.get(id) ?? 1;
      const value = { ...shot.value, notes: `save ${version + 1}` };
      const answer = await fetch(`${address}/api/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          batch: uuid(),
          device: 'attack',
          changes: [{ kind: 'shot', id, version, value }],
        }),
      });
      if (answer.status !== 200) throw new Error(`A save was answered ${answer.status}.`);
      versions.set(id, version + 1);
      acknowledged.push({ id, version: version + 1, noted: (await stat(notes)).size });
    }
    // The last start ends as a loss of power ends it.
    await ended(child, start + 1 < STARTS ? 'SIGTERM' : 'SIGKILL');
  }
  return acknowledged;
};

/** What is wrong with the database a loss of power left; '' where everything acknowledged is there. */
const faultOf = async (
  folder: string,
  files: ReadonlyMap<string, Buffer>,
  expected: ReadonlyMap<string, number>,
): Promise<string> => {
  await mkdir(folder, { recursive: true });
  for (const [path, content] of files) await writeFile(join(folder, basename(path)), content);
  const database = new Sequelize({ dialect: 'sqlite', storage: join(folder, DATABASE), logging: false });
  try {
    const [check] = await database.query<{ integrity_check: string }>('PRAGMA integrity_check', {
      type: QueryTypes.SELECT,
    });
    if (check?.integrity_check !== 'ok') return `integrity: ${check?.integrity_check ?? 'unknown'}`;
    if (expected.size === 0) return '';
    const rows = await database.query<{ id: string; version: number; body: string }>(
      'SELECT id, version, body FROM shots',
      { type: QueryTypes.SELECT },
    );
    for (const [id, version] of expected) {
      const row = rows.find((r) => r.id === id);
      if (!row || row.version < version)
        return `a save acknowledged as version ${version} is at ${row?.version ?? 'nothing'}`;
      if (!row.body.includes(`"save ${row.version}"`)) return `version ${row.version} holds another save`;
    }
    return '';
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    await database.close();
    await rm(folder, { recursive: true, force: true });
  }
};

/** Moments at which the power goes: after every sync, and among the writes between two of them. */
const momentsOf = (acts: readonly FileAct[], points: number, random: () => number): Set<number> => {
  const syncs = acts.flatMap((a, i) => (a.kind === 'S' ? [i] : []));
  const every = Math.max(1, Math.ceil(syncs.length / (points / 2)));
  const moments = new Set(syncs.filter((_, n) => n % every === 0));
  while (moments.size < Math.min(points, acts.length)) moments.add(Math.floor(random() * acts.length));
  return moments;
};

/**
 * Loss of power as far as it can be tried: every write and sync of the database is noted, and at many moments the states are made
 * in which nothing, some sectors, or all of what was not synced had reached the disk. Each is opened, checked, and compared with
 * what was acknowledged by then. Needs a C compiler, which SQLite was built with.
 */
export const power = async (program: string, folder: string, points: number, seed = 1): Promise<Outcome> => {
  await mkdir(folder, { recursive: true });
  const library = join(folder, 'record-writes.so');
  await promisify(execFile)('cc', ['-shared', '-fPIC', '-O1', '-o', library, SOURCE, '-ldl', '-lpthread']);
  const dataDir = join(await mkdtemp(join(folder, 'data-')), 'd');
  const notes = join(folder, 'notes');
  await rm(notes, { force: true });
  const acknowledged = await savesNoted(program, dataDir, notes, library, Math.max(60, points / 2));
  const acts = readActs(await readFile(notes));
  const random = seeded(seed);
  const moments = momentsOf(acts, points, random);
  const states = new PowerStates();
  const faults: string[] = [];
  const expected = new Map<string, number>();
  let [opened, next] = [0, 0];
  for (const [i, act] of acts.entries()) {
    states.apply(act);
    for (let a = acknowledged[next]; a && a.noted <= act.end; a = acknowledged[next]) {
      expected.set(a.id, a.version);
      next += 1;
    }
    if (!moments.has(i)) continue;
    for (const loss of LOSSES) {
      const fault = await faultOf(join(folder, 'state'), states.files(loss, random), expected);
      opened += 1;
      if (fault) faults.push(`after act ${i} of ${acts.length}, ${loss} lost: ${fault}`);
    }
  }
  return {
    name: 'power',
    tries: moments.size,
    faults,
    figures: {
      'states opened': String(opened),
      syncs: String(acts.filter((a) => a.kind === 'S').length),
      'saves acknowledged': String(acknowledged.length),
      expected: String(expected.size),
    },
  };
};
