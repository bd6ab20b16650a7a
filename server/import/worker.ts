import { parentPort, workerData } from 'node:worker_threads';
import { HttpProblem } from '../http/problem';
import { readImport, type PreparedImport } from './prepare';

/** Runs beside the server: a large file keeps no request waiting. */
const { path, here } = workerData as { readonly path: string; readonly here: readonly string[] };

/** What the thread found: the film, or what is wrong with its file. */
export type ImportAnswer =
  | { readonly ok: true; readonly prepared: PreparedImport }
  | { readonly ok: false; readonly problem: ConstructorParameters<typeof HttpProblem> };

const answer = async (): Promise<ImportAnswer> => {
  try {
    return { ok: true, prepared: await readImport(path, here) };
  } catch (error) {
    if (!(error instanceof HttpProblem)) throw error;
    return { ok: false, problem: [error.status, error.kind, error.message, error.more] };
  }
};
const made = await answer();
/** Given over, not copied: what has a buffer to itself. */
const given = made.ok
  ? made.prepared.assets.flatMap((asset) =>
      'bytes' in asset &&
      asset.bytes.byteLength > 0 &&
      asset.bytes.byteLength === asset.bytes.buffer.byteLength
        ? [asset.bytes.buffer as ArrayBuffer]
        : [],
    )
  : [];
parentPort?.postMessage(made, [...new Set(given)]);
