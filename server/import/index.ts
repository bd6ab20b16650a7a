import { existsSync } from 'node:fs';
import { stat } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import pLimit from 'p-limit';
import { runBeside } from '../http/beside';
import { HttpProblem } from '../http/problem';
import { readImport, type PreparedImport } from './prepare';
import type { ImportAnswer } from './worker';

/** The thread's program, where the server has been built. */
const PROGRAM = fileURLToPath(new URL('./import.mjs', import.meta.url));

/** A file no larger than this is read in milliseconds, while a thread takes half a second to begin. */
const SMALL_BYTES = 400_000;
/** One large file at a time: many at once would take the whole machine. */
const oneAtATime = pLimit(1);

/**
 * Reads a film file, a large one in a thread of its own.
 * @param path where it lies; the files of a folder are left there
 * @param here ids of kit that is there already
 * @param given up when nobody waits for it any more
 * @throws HttpProblem naming what is wrong with it
 */
export const readImportBeside = async (
  path: string,
  here: readonly string[],
  given: AbortSignal,
): Promise<PreparedImport> => {
  if ((await stat(path)).size <= SMALL_BYTES || !existsSync(PROGRAM)) return readImport(path, here);
  const answer = await oneAtATime(() => runBeside<ImportAnswer>(PROGRAM, { path, here }, given));
  if (!answer.ok) throw new HttpProblem(...answer.problem);
  return answer.prepared;
};
