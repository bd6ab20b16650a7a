import { Worker, type Transferable } from 'node:worker_threads';

/** Memory a thread may take, MB: one that wants more ends by itself, not with the server. */
const MOST_MB = 2048;

/**
 * Runs a program in a thread of its own and waits for its one answer.
 * @param given up when nobody waits for it any more
 * @throws Error when the thread fails, or ends without an answer
 */
export const runBeside = <T>(
  program: string,
  workerData: unknown,
  given: AbortSignal,
  transferList: Transferable[] = [],
): Promise<T> =>
  new Promise((resolve, reject) => {
    given.throwIfAborted();
    const worker = new Worker(program, {
      workerData,
      transferList,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
    });
    given.addEventListener('abort', () => {
      void worker.terminate();
      reject(new Error('Nobody waits for it any more.'));
    });
    worker.once('message', (answer: T) => {
      resolve(answer);
      void worker.terminate();
    });
    worker.once('error', reject);
    // One that ends without a word ran out of memory.
    worker.once('exit', (code) => {
      reject(new Error(`The thread ended without an answer (${code}).`));
    });
  });
