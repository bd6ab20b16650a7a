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
const made = answer();
/** Given over, not copied: what has a buffer to itself. */
const given = made.ok
  ? made.prepared.assets.flatMap(({ bytes: b }) =>
      b.byteLength > 0 && b.byteLength === b.buffer.byteLength ? [b.buffer as ArrayBuffer] : [],
    )
  : [];
parentPort?.postMessage(made, [...new Set(given)]);
