import { buffer } from 'node:stream/consumers';
import { crc32 } from 'node:zlib';
import { EXCHANGE_LIMIT } from '@core/model';
import { fromBufferPromise, openPromise, type Entry } from 'yauzl';
import { HttpProblem } from '../http/problem';
import { FILM } from './film-folder';

const ENTRY = /^(film\.json|files\/[0-9a-f]{64}\.[a-z.]+)$/;
/** More files than a film may refer to. */
const MOST_ENTRIES = 1001;
/** Names are held against letters of ASCII only, so that no name has to be decoded or trusted. */
const OPTIONS = { autoClose: false, lazyEntries: true, decodeStrings: false };

const damaged = (): HttpProblem => new HttpProblem(400, 'malformed', 'The ZIP file is damaged.');
const tooLarge = (): HttpProblem =>
  new HttpProblem(413, 'too-large', `What is in the folder is larger than ${EXCHANGE_LIMIT / 1e6} MB.`);

/** A film's folder that lies on the disk: nothing of it is in memory but its directory. */
export interface OpenFolder {
  /** Bytes it says an entry grows to; undefined for one that is not there. */
  readonly sizeOf: (name: string) => number | undefined;
  /** One entry, unpacked. @throws HttpProblem 400 where it is missing or damaged, 413 where it grows to more than `limit` */
  readonly read: (name: string, limit?: number) => Promise<Buffer>;
  readonly close: () => void;
}

/** Judged before anything is unpacked: what a small file says it grows to is not taken. */
const judged = (entries: readonly Entry[]): ReadonlyMap<string, Entry> => {
  const known = entries
    .map((entry) => [entry.fileNameRaw.toString('latin1'), entry] as const)
    .filter(([name]) => ENTRY.test(name));
  const size = known.reduce((sum, [, entry]) => sum + entry.uncompressedSize, 0);
  if (known.length > MOST_ENTRIES || size > EXCHANGE_LIMIT) throw tooLarge();
  return new Map(known);
};

/**
 * Opens a film's folder.
 * @param source path of the ZIP file, or the file itself
 * @throws HttpProblem 400 where it is none or damaged, 413 where it unpacks to too much
 */
export const openFolder = async (source: string | Buffer): Promise<OpenFolder> => {
  const zip = await (
    typeof source === 'string' ? openPromise(source, OPTIONS) : fromBufferPromise(source, OPTIONS)
  ).catch(() => {
    throw damaged();
  });
  const known = await (async () => {
    const all: Entry[] = [];
    for await (const entry of zip.eachEntry()) {
      all.push(entry);
      if (all.length > 20 * MOST_ENTRIES) throw tooLarge();
    }
    return judged(all);
  })().catch((error: unknown) => {
    zip.close();
    throw error instanceof HttpProblem ? error : damaged();
  });
  return {
    sizeOf: (name) => known.get(name)?.uncompressedSize,
    read: async (name, limit = EXCHANGE_LIMIT) => {
      const entry = known.get(name);
      if (!entry) throw new HttpProblem(400, 'malformed', `${name} is missing in the ZIP file.`);
      if (entry.uncompressedSize > limit)
        throw new HttpProblem(413, 'asset-size', `${name} is larger than ${limit / 1e6} MB.`);
      const bytes = await zip
        .openReadStreamPromise(entry)
        .then(buffer)
        .catch(() => {
          throw damaged();
        });
      if (crc32(bytes) !== entry.crc32) throw damaged();
      return bytes;
    },
    close: () => {
      zip.close();
    },
  };
};

const isRow = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Stands in the film for bytes that lie beside it, so that its shape can be checked without them. */
const BESIDE = 'AA==';

/** A film as its folder holds it. */
export interface FolderFilm {
  /** The film file, not checked yet. */
  readonly film: unknown;
  /** Where in the folder its files lie, in the order the film names them; undefined for one it has inside itself. */
  readonly files: readonly (string | undefined)[];
}

/**
 * The film of a folder, its files left where they lie.
 * @throws HttpProblem 400 where it holds no film or misses a file
 */
export const filmOf = async (folder: OpenFolder): Promise<FolderFilm> => {
  if (folder.sizeOf(FILM) === undefined)
    throw new HttpProblem(400, 'malformed', `There is no ${FILM} in the ZIP file.`);
  const text = await folder.read(FILM);
  let film: unknown;
  try {
    film = JSON.parse(text.toString('utf8'));
  } catch {
    throw new HttpProblem(400, 'malformed', `${FILM} in the ZIP file is not readable JSON.`);
  }
  if (!isRow(film) || !Array.isArray(film['assets'])) return { film, files: [] };
  const files: (string | undefined)[] = [];
  const assets = film['assets'].map((asset: unknown, i) => {
    if (!isRow(asset)) return asset;
    const { file, ...rest } = asset;
    if (typeof file !== 'string') return asset;
    if (folder.sizeOf(file) === undefined)
      throw new HttpProblem(400, 'malformed', `${file} is missing in the ZIP file.`);
    files[i] = file;
    return { ...rest, data: BESIDE };
  });
  return { film: { ...film, assets }, files };
};
