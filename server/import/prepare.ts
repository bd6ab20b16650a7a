import { open, readFile } from 'node:fs/promises';
import type { Change, FilmFile } from '@contract';
import { checkFilmFile } from '../services/checks';
import { HttpProblem } from '../http/problem';
import { importChanges } from './changes';
import { filmOf, openFolder } from './read-folder';

/** A file of a film: its bytes, or where they lie in the folder that came in. */
export type PreparedAsset = { readonly id: string; readonly mime: string } & (
  { readonly bytes: Uint8Array } | { readonly file: string }
);

/** A film file, read and checked, as it goes into the database. */
export interface PreparedImport {
  /** Id the film will have. */
  readonly film: string;
  readonly changes: readonly Change[];
  readonly assets: readonly PreparedAsset[];
}

/**
 * Everything a film file comes to.
 * @param here ids of kit that is there already
 * @param files where its files lie beside it, by their number
 */
export const preparedImport = (
  file: FilmFile,
  here: readonly string[],
  files: readonly (string | undefined)[] = [],
): PreparedImport => ({
  ...importChanges(file, new Set(here)),
  assets: file.assets.map(({ id, mime, data }, i) => {
    const beside = files[i];
    return beside === undefined
      ? { id, mime, bytes: Buffer.from(data, 'base64') }
      : { id, mime, file: beside };
  }),
});

/** Whether a file begins as a ZIP does. */
const isFolder = async (path: string): Promise<boolean> => {
  const file = await open(path);
  try {
    const { buffer } = await file.read({ buffer: Buffer.alloc(2), length: 2 });
    return buffer.toString('latin1') === 'PK';
  } finally {
    await file.close();
  }
};

/**
 * Reads, checks and prepares a film file: JSON, or a folder as ZIP, whose pictures and heights stay where they lie.
 * @throws HttpProblem 400 naming what is wrong with it
 */
export const readImport = async (path: string, here: readonly string[]): Promise<PreparedImport> => {
  if (await isFolder(path)) {
    const folder = await openFolder(path);
    try {
      const { film, files } = await filmOf(folder);
      return preparedImport(checkFilmFile(film), here, files);
    } finally {
      folder.close();
    }
  }
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(await readFile(path)));
  } catch {
    throw new HttpProblem(400, 'malformed', 'What was sent is not readable JSON.');
  }
  return preparedImport(checkFilmFile(body), here);
};
