import type { FilmFile } from '@contract';
import type { AssetMime } from '@core/model';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';

/** Ending of a file inside the folder, so that it can be looked at by itself. */
const ENDINGS: Readonly<Record<AssetMime, string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'application/x-heights': 'heights.gz',
};
/** Name of the film itself in its folder. */
export const FILM = 'film.json';

/** What a folder is written from: a film whose files are fetched one by one. */
export interface FolderSource {
  readonly film: Omit<FilmFile, 'assets'>;
  readonly assets: readonly { readonly id: string; readonly mime: AssetMime }[];
  readonly bytesOf: (id: string) => Promise<Uint8Array>;
}

const pathOf = ({ id, mime }: { readonly id: string; readonly mime: AssetMime }): string =>
  `files/${id}.${ENDINGS[mime]}`;

/**
 * Writes a film as one ZIP: `film.json`, as the schema `film-file` says but with the path of each file instead of its bytes, and
 * the files beside it. One file is in memory at a time.
 * @param write takes a piece; resolves when it may have the next
 */
export const writeFilmFolder = async (
  { film, assets, bytesOf }: FolderSource,
  write: (piece: Uint8Array) => Promise<void>,
): Promise<void> => {
  let pieces: Uint8Array[] = [];
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    pieces.push(piece);
  });
  const pass = async (): Promise<void> => {
    const ready = pieces;
    pieces = [];
    for (const piece of ready) await write(piece);
  };
  const text = new ZipDeflate(FILM, { level: 6 });
  zip.add(text);
  text.push(
    strToU8(JSON.stringify({ ...film, assets: assets.map((a) => ({ ...a, file: pathOf(a) })) }, null, 1)),
    true,
  );
  await pass();
  for (const asset of assets) {
    // Pictures and heights are packed already.
    const entry = new ZipPassThrough(pathOf(asset));
    zip.add(entry);
    entry.push(await bytesOf(asset.id), true);
    await pass();
  }
  zip.end();
  await pass();
};
