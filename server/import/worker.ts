import { parentPort, workerData } from 'node:worker_threads';
import { HttpProblem } from '../http/problem';
import { readImport, type PreparedImport } from './prepare';

/** Runs beside the server: a large file keeps no request waiting. */
const { bytes, here } = workerData as { readonly bytes: Uint8Array; readonly here: readonly string[] };

/** What the thread found: the film, or what is wrong with its file. */
export type ImportAnswer =
  | { readonly ok: true; readonly prepared: PreparedImport }
  | { readonly ok: false; readonly problem: ConstructorParameters<typeof HttpProblem> };

const answer = (): ImportAnswer => {
  try {
    return { ok: true, prepared: readImport(bytes, here) };
  } catch (error) {
    if (!(error instanceof HttpProblem)) throw error;
    return { ok: false, problem: [error.status, error.kind, error.message, error.more] };
  }
};
parentPort?.postMessage(answer());
