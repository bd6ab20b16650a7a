import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { FilmFile } from '@contract';
import pLimit from 'p-limit';
import { runBeside } from '../http/beside';
import type * as Make from './make';
import { DOCUMENT_NAMES, type DocumentName } from './names';
import type { DocumentOptions } from './registry';

export { PAPERS } from './names';
export { LANGUAGES } from './voice';

/** A document by its file name. */
export const documentOf = (name: string): DocumentName | undefined =>
  DOCUMENT_NAMES.find((d) => d.file === name);

/** Each thread wants a core: more at once only make all of them wait. */
const twoAtATime = pLimit(2);

/** The thread's program, where the server has been built. */
const PROGRAM = fileURLToPath(new URL('./documents.mjs', import.meta.url));

/** Makes it in the server's own thread where nothing is built, as in tests. Named by address, so that it stays out of the server's bundle. */
const unbuilt = (): Promise<typeof Make> =>
  import(new URL('./make.ts', import.meta.url).href) as Promise<typeof Make>;

/**
 * Makes a document in a thread of its own.
 * @param given up when nobody waits for it any more
 */
export const makeBeside = async (
  file: FilmFile,
  name: string,
  options: DocumentOptions,
  given: AbortSignal,
): Promise<Uint8Array> => {
  if (!existsSync(PROGRAM)) return (await unbuilt()).makeDocument(file, name, options);
  return twoAtATime(() => runBeside<Uint8Array>(PROGRAM, { file, name, options }, given));
};
