import { readFileSync } from 'node:fs';
import { open, readFile, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { StartError } from '../database';

const LOCK = 'in-use';

interface Owner {
  readonly pid: number;
  /** When the process began, in ticks since the machine did: a number another process of that id does not have. */
  readonly began: string;
}

const beganOf = (pid: number): string => {
  try {
    // Behind the name in brackets, which may hold anything: the 20th field is the start.
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ')[19] ?? '';
  } catch {
    return '';
  }
};

const alive = ({ pid, began }: Owner): boolean => {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false;
  }
  return began === '' || beganOf(pid) === began;
};

const ownerIn = async (file: string): Promise<Owner | null> => {
  try {
    return JSON.parse(await readFile(file, 'utf8')) as Owner;
  } catch {
    return null;
  }
};

/**
 * Takes a data folder for this process.
 * @returns a function that gives it back
 * @throws StartError when another living process has it
 */
export const takeFolder = async (dataDir: string): Promise<() => Promise<void>> => {
  const file = join(dataDir, LOCK);
  for (let tries = 0; tries < 3; tries += 1) {
    try {
      const handle = await open(file, 'wx');
      await handle.writeFile(
        JSON.stringify({ pid: process.pid, began: beganOf(process.pid) } satisfies Owner),
      );
      await handle.close();
      return () => rm(file, { force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
      const owner = await ownerIn(file);
      if (owner && alive(owner))
        throw new StartError(
          `The data folder ${dataDir} is in use by another Dusk Slate (process ${owner.pid}). Stop that one, or start this one with DUSK_DATA set to another folder.`,
        );
      // Its owner is gone without a word.
      await rm(file, { force: true });
    }
  }
  throw new StartError(
    `The data folder ${dataDir} cannot be taken: ${file} comes back each time it is removed.`,
  );
};
