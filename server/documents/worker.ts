import { parentPort, workerData } from 'node:worker_threads';
import type { FilmFile } from '@contract';
import { makeDocument } from './make';
import type { DocumentOptions } from './registry';

/** Runs beside the server: a long document keeps no request waiting. */
const { file, name, options } = workerData as {
  readonly file: FilmFile;
  readonly name: string;
  readonly options: DocumentOptions;
};
parentPort?.postMessage(await makeDocument(file, name, options));
