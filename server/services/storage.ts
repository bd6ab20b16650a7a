import { open, unlink } from 'node:fs/promises';
import { join } from 'node:path';
import { storageProblem, type HttpProblem } from '../http/problem';
import type { Store } from './store';

/** As much as a batch of changes takes at the most. */
const PROBE_BYTES = 256 * 1024;

/** Writes a file as large as a batch, forces it onto the disk and removes it. */
const probeFolder = async (dataDir: string): Promise<void> => {
  const path = join(dataDir, `.probe-${process.pid}`);
  const file = await open(path, 'w');
  try {
    await file.writeFile(Buffer.alloc(PROBE_BYTES));
    await file.sync();
  } finally {
    await file.close();
    await unlink(path).catch(() => undefined);
  }
};

/** Whether a change could be stored now: tried, not assumed. @returns what keeps it from being stored; null where nothing does */
export const storageTrouble = async (store: Store, dataDir: string): Promise<HttpProblem | null> => {
  try {
    await store.alone(async (writer) => {
      await writer.query('BEGIN IMMEDIATE');
      try {
        // A page more than there is: what a full database refuses.
        await writer.query('CREATE TABLE probe (x)');
      } finally {
        await writer.query('ROLLBACK').catch(() => undefined);
      }
    });
    await probeFolder(dataDir);
    return null;
  } catch (error) {
    const fault = storageProblem(error);
    if (!fault) throw error;
    return fault;
  }
};
