import type { Change, FilmFile } from '@contract';
import { checkFilmFile } from '../services/checks';
import { HttpProblem } from '../http/problem';
import { importChanges } from './changes';
import { isFolder, readFilmFolder } from './film-folder';

/** A film file, read and checked, as it goes into the database. */
export interface PreparedImport {
  /** Id the film will have. */
  readonly film: string;
  readonly changes: readonly Change[];
  readonly assets: readonly { readonly id: string; readonly mime: string; readonly bytes: Uint8Array }[];
}

/**
 * Everything a film file comes to.
 * @param here ids of kit that is there already
 * @param contents bytes of its files that lay beside it, by their number
 */
export const preparedImport = (
  file: FilmFile,
  here: readonly string[],
  contents: readonly (Uint8Array | undefined)[] = [],
): PreparedImport => ({
  ...importChanges(file, new Set(here)),
  assets: file.assets.map(({ id, mime, data }, i) => ({
    id,
    mime,
    bytes: contents[i] ?? Buffer.from(data, 'base64'),
  })),
});

/**
 * Reads, checks and prepares the bytes of a film file: JSON, or a folder as ZIP.
 * @throws HttpProblem 400 naming what is wrong with it
 */
export const readImport = (bytes: Uint8Array, here: readonly string[]): PreparedImport => {
  if (isFolder(bytes)) {
    const { film, contents } = readFilmFolder(bytes);
    return preparedImport(checkFilmFile(film), here, contents);
  }
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    throw new HttpProblem(400, 'malformed', 'What was sent is not readable JSON.');
  }
  return preparedImport(checkFilmFile(body), here);
};
