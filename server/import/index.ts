import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { runBeside } from '../http/beside';
import { HttpProblem } from '../http/problem';
import { readImport, type PreparedImport } from './prepare';
import type { ImportAnswer } from './worker';

/** The thread's program, where the server has been built. */
const PROGRAM = fileURLToPath(new URL('./import.mjs', import.meta.url));

/**
 * Reads a film file in a thread of its own.
 * @param bytes given away: they belong to the thread afterwards
 * @param here ids of kit that is there already
 * @param given up when nobody waits for it any more
 * @throws HttpProblem naming what is wrong with it
 */
export const readImportBeside = async (
  bytes: Uint8Array<ArrayBuffer>,
  here: readonly string[],
  given: AbortSignal,
): Promise<PreparedImport> => {
  if (!existsSync(PROGRAM)) return readImport(bytes, here);
  const answer = await runBeside<ImportAnswer>(PROGRAM, { bytes, here }, given, [bytes.buffer]);
  if (!answer.ok) throw new HttpProblem(...answer.problem);
  return answer.prepared;
};
