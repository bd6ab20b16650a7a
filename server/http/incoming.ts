import { mkdir, open, rm } from 'node:fs/promises';
import type { IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { v4 as uuid } from 'uuid';
import { HttpProblem } from './problem';

/** Folder of the data folder where files lie while they come in. */
const folderOf = (dataDir: string): string => join(dataDir, 'incoming');

/** Forgets what was coming in when the application stopped. */
export const tidyIncoming = (dataDir: string): Promise<void> =>
  rm(folderOf(dataDir), { recursive: true, force: true });

const write = async (request: IncomingMessage, path: string, limit: number): Promise<void> => {
  const file = await open(path, 'wx', 0o600);
  try {
    let size = 0;
    // Not destroyed where it is refused in the middle: whoever sends it is to read why.
    for await (const piece of request.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      size += piece.length;
      if (size > limit) throw tooLarge(limit);
      await file.appendFile(piece);
    }
  } finally {
    await file.close();
  }
};

const tooLarge = (limit: number): HttpProblem =>
  new HttpProblem(413, 'too-large', `The file is larger than ${limit / 1e6} MB.`);

/**
 * Writes what is sent to a file, piece by piece, for as long as it is used: nothing of it is held in memory.
 * @param limit bytes it may have at most
 * @param use given the file's path
 * @throws HttpProblem 400 where it broke off, 413 where it is too large, 415 where it is packed on the way
 */
export const withBody = async <T>(
  request: IncomingMessage,
  dataDir: string,
  limit: number,
  use: (path: string) => Promise<T>,
): Promise<T> => {
  const { 'content-length': length, 'content-encoding': encoding = 'identity' } = request.headers;
  if (encoding !== 'identity')
    throw new HttpProblem(415, 'encoding', `Send the file as it is, not packed as ${encoding}.`);
  if (Number(length) > limit) throw tooLarge(limit);
  await mkdir(folderOf(dataDir), { recursive: true });
  const path = join(folderOf(dataDir), uuid());
  try {
    await write(request, path, limit).catch((error: unknown) => {
      throw request.destroyed && !(error instanceof HttpProblem)
        ? new HttpProblem(400, 'malformed', 'The file broke off before its end.')
        : error;
    });
    return await use(path);
  } finally {
    // The rest of what was refused is let go by, or the connection would wait for it.
    request.resume();
    await rm(path, { force: true });
  }
};
