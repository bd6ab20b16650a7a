import type { FilmFile } from '@contract';
import { EXCHANGE_LIMIT, type AssetMime } from '@core/model';
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { HttpProblem } from '../http/problem';

/** Ending of a file inside the folder, so that it can be looked at by itself. */
const ENDINGS: Readonly<Record<AssetMime, string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'application/x-heights': 'heights.gz',
};
const FILM = 'film.json';
const ENTRY = /^(film\.json|files\/[0-9a-f]{64}\.[a-z.]+)$/;
/** More files than a film may refer to. */
const MOST_ENTRIES = 1001;

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

/** Whether bytes begin as a ZIP does. */
export const isFolder = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

const isRow = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const entriesOf = (bytes: Uint8Array): ReadonlyMap<string, Uint8Array> => {
  let [count, size] = [0, 0];
  try {
    const entries = unzipSync(bytes, {
      // Judged before anything is unpacked: what a small file says it grows to is not taken.
      filter: ({ name, originalSize }) => {
        if (!ENTRY.test(name)) return false;
        [count, size] = [count + 1, size + originalSize];
        if (count > MOST_ENTRIES || size > EXCHANGE_LIMIT)
          throw new HttpProblem(
            413,
            'too-large',
            `What is in the folder is larger than ${EXCHANGE_LIMIT / 1e6} MB.`,
          );
        return true;
      },
    });
    return new Map(Object.entries(entries));
  } catch (error) {
    if (error instanceof HttpProblem) throw error;
    throw new HttpProblem(400, 'malformed', 'The ZIP file is damaged.');
  }
};

/** Stands in the film for bytes that lie beside it, so that its shape can be checked without them. */
const BESIDE = 'AA==';

/** A film as its folder holds it. */
export interface FilmFolder {
  /** The film file, not checked yet. */
  readonly film: unknown;
  /** Bytes of its files, in the order the film names them; what it has inside itself is left out. */
  readonly contents: readonly (Uint8Array | undefined)[];
}

/**
 * A film file from its folder, each file as it lies there: written out as text they would take three times the room.
 * @throws HttpProblem 400 where it holds no film or misses a file, 413 where it unpacks to too much
 */
export const readFilmFolder = (bytes: Uint8Array): FilmFolder => {
  const entries = entriesOf(bytes);
  const text = entries.get(FILM);
  if (!text) throw new HttpProblem(400, 'malformed', `There is no ${FILM} in the ZIP file.`);
  let film: unknown;
  try {
    film = JSON.parse(strFromU8(text));
  } catch {
    throw new HttpProblem(400, 'malformed', `${FILM} in the ZIP file is not readable JSON.`);
  }
  if (!isRow(film) || !Array.isArray(film['assets'])) return { film, contents: [] };
  const contents: (Uint8Array | undefined)[] = [];
  const assets = film['assets'].map((asset: unknown, i) => {
    if (!isRow(asset)) return asset;
    const { file, ...rest } = asset;
    if (typeof file !== 'string') return asset;
    const content = entries.get(file);
    if (!content) throw new HttpProblem(400, 'malformed', `${file} is missing in the ZIP file.`);
    contents[i] = content;
    return { ...rest, data: BESIDE };
  });
  return { film: { ...film, assets }, contents };
};
