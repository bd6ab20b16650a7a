import type { Message } from '@core/messages';
import { ASSET_LIMIT, type Entity } from '@core/model';
import type { Problem } from '@contract';
import { packHeights, type HeightGrid } from '@core/terrain';
import { found, none, type Result } from '@core/units';
import { transfer, wrap } from 'comlink';
import { imageSize } from 'image-size';
import { v4 as uuid } from 'uuid';
import type { useFilm } from '../stores/film';
import type { HeightsWorker } from '../workers/heights.worker';
import type { HeightReading } from './heights/read';
import { inLanguageOf } from '../sync/problems';
import { tr } from './messages';
import { fixed } from '../format';

type Place = Pick<Entity<'location'>, 'id' | 'latitude' | 'longitude'>;
type Act = ReturnType<typeof useFilm>['commit'];

/** Largest files taken in at all. */
const HEIGHTS_LIMIT = 250_000_000;
const PICTURE_LIMIT = 80_000_000;
/** More pixels than this are not decoded, and pictures are kept no larger than this on a side. */
const MOST_PIXELS = 64_000_000;
const SIDE_PX = 4096;

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(0)} MB`;

const keepAsset = async (blob: Blob, mime: string): Promise<Result<string>> => {
  if (blob.size > ASSET_LIMIT)
    return none(
      tr('itComesToMegabytesPacked', { megabytes: megabytes(blob.size), megabytes2: megabytes(ASSET_LIMIT) }),
    );
  const response = await fetch('/api/assets', {
    method: 'POST',
    body: blob,
    headers: { 'content-type': mime },
  }).catch(() => null);
  if (!response) return none(tr('noAnswerFromTheApplication'));
  if (response.ok) {
    const { id } = (await response.json()) as { id: string };
    return found(id);
  }
  const problem = (await response.json().catch(() => null)) as Problem | null;
  return none(problem ? (await inLanguageOf(problem)).detail : tr('theApplicationDidNotTake'));
};

const first = (faults: readonly { say: string }[]): Result<true> =>
  faults[0] ? none(faults[0].say) : found(true);

/**
 * Reads a file of heights beside the page; nothing is changed by it.
 * @param chosen EPSG number of its projection where a person says so
 */
export const readHeightsFile = async (
  file: File,
  place: Place,
  chosen: number | null,
): Promise<Result<HeightReading, Message | string>> => {
  if (file.size > HEIGHTS_LIMIT)
    return none(
      tr('nameHasMegabytesAtMost', {
        name: file.name,
        megabytes: megabytes(file.size),
        megabytes2: megabytes(HEIGHTS_LIMIT),
      }),
    );
  const worker = new Worker(new URL('../workers/heights.worker.ts', import.meta.url), {
    type: 'module',
    name: 'heights',
  });
  try {
    const buffer = await file.arrayBuffer();
    const where = { latitude: place.latitude, longitude: place.longitude };
    return await wrap<HeightsWorker>(worker).read(transfer(buffer, [buffer]), file.name, where, chosen);
  } finally {
    worker.terminate();
  }
};

/** Keeps heights that were read and makes them the ground of a place; nothing is changed unless all of it went well. */
export const keepHeights = async (
  grid: HeightGrid,
  name: string,
  place: Place,
  before: Entity<'ground'> | null,
  remember: (assetId: string, grid: HeightGrid) => void,
  act: Act,
): Promise<Result<true>> => {
  const { head, bytes } = packHeights(grid);
  const packed = await new Response(
    new Blob([bytes as Uint8Array<ArrayBuffer>]).stream().pipeThrough(new CompressionStream('gzip')),
  ).blob();
  const kept = await keepAsset(packed, 'application/x-heights');
  if (!kept.ok) return kept;
  remember(kept.value, grid);
  const row: Entity<'ground'> = {
    id: uuid(),
    locationId: place.id,
    assetId: kept.value,
    name: name.slice(0, 200),
    ...head,
  };
  return first(
    act(tr('bringHeights'), [
      ...(before ? [{ kind: 'ground' as const, id: before.id, after: null }] : []),
      { kind: 'ground', id: row.id, after: row },
    ]),
  );
};

/** Width and height as the picture is shown: cameras store one held upright lying on its side, with a note (EXIF orientation 5 to 8). */
const uprightSize = (bytes: Uint8Array): { width: number; height: number } => {
  const { width, height, orientation = 1 } = imageSize(bytes);
  return orientation >= 5 ? { width: height, height: width } : { width, height };
};

const MIMES = new Set(['image/png', 'image/jpeg', 'image/webp']);

/** The picture as it is kept: as it came where it is small enough, else made smaller. */
const shrunk = async (file: File, width: number, height: number): Promise<{ blob: Blob; mime: string }> => {
  if (Math.max(width, height) <= SIDE_PX && file.size <= ASSET_LIMIT) return { blob: file, mime: file.type };
  const k = Math.min(1, SIDE_PX / Math.max(width, height));
  const bitmap = await createImageBitmap(file, {
    resizeWidth: Math.round(width * k),
    resizeHeight: Math.round(height * k),
    resizeQuality: 'high',
  });
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { blob: await canvas.convertToBlob({ type: 'image/webp', quality: 0.85 }), mime: 'image/webp' };
};

/** Takes a picture in, laid under the plan north up and 200 m wide until its pins say better. */
export const takePicture = async (file: File, place: Place, act: Act): Promise<Result<true>> => {
  if (!MIMES.has(file.type)) return none(tr('nameIsNoPNGJPEG', { name: file.name }));
  if (file.size > PICTURE_LIMIT)
    return none(
      tr('nameHasMegabytesAtMostMegabytes2', {
        name: file.name,
        megabytes: megabytes(file.size),
        megabytes2: megabytes(PICTURE_LIMIT),
      }),
    );
  let size: { width: number; height: number };
  try {
    size = uprightSize(new Uint8Array(await file.slice(0, 600_000).arrayBuffer()));
  } catch {
    return none(tr('nameCouldNotBeRead', { name: file.name }));
  }
  const { width, height } = size;
  if (width * height > MOST_PIXELS)
    return none(
      tr('nameHasWidthMillionPixels', {
        name: file.name,
        width: fixed((width * height) / 1e6, 0),
        MOST_PIXELS: MOST_PIXELS / 1e6,
      }),
    );
  const { blob, mime } = await shrunk(file, width, height).catch(() => ({ blob: null, mime: '' }));
  if (!blob) return none(tr('nameCouldNotBeDecoded', { name: file.name }));
  const kept = await keepAsset(blob, mime);
  if (!kept.ok) return kept;
  const cell = 200 / width;
  const row: Entity<'picture'> = {
    id: uuid(),
    locationId: place.id,
    assetId: kept.value,
    name: file.name.slice(0, 200),
    widthPx: width,
    heightPx: height,
    opacity: 0.8,
    shown: true,
    pins: [
      { px: 0, py: 0, xM: -100, yM: 60 + (height * cell) / 2 },
      { px: width, py: height, xM: 100, yM: 60 - (height * cell) / 2 },
    ],
  };
  return first(act(tr('bringAPicture'), [{ kind: 'picture', id: row.id, after: row }]));
};
