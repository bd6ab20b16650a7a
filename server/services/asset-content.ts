import { promisify } from 'node:util';
import { gunzip } from 'node:zlib';
import { imageSize } from 'image-size';
import type { AssetMime } from '@core/model';
import { HttpProblem } from '../http/problem';

/** A picture of more pixels than this would be unpacked by every page that shows it: 200 MB of memory, from a file of a few kB. */
const MOST_PIXELS = 50_000_000;
/** Largest raster a location may have, two bytes a cell. */
export const HEIGHTS_LIMIT = 2 * 4000 * 4000;

/** First bytes that tell a file of a kind; a raster of heights is packed with gzip. */
const SIGNS: Readonly<Record<AssetMime, (b: Buffer) => boolean>> = {
  'image/png': (b) => b.subarray(0, 8).toString('hex') === '89504e470d0a1a0a',
  'image/jpeg': (b) => b.subarray(0, 3).toString('hex') === 'ffd8ff',
  'image/webp': (b) =>
    b.subarray(0, 4).toString('latin1') === 'RIFF' && b.subarray(8, 12).toString('latin1') === 'WEBP',
  'application/x-heights': (b) => b.subarray(0, 2).toString('hex') === '1f8b',
};

const pixelsOf = (bytes: Buffer): number | null => {
  try {
    const { width, height } = imageSize(bytes);
    return width * height;
  } catch {
    return null;
  }
};

const checkHeights = async (bytes: Buffer): Promise<void> => {
  try {
    await promisify(gunzip)(bytes, { maxOutputLength: HEIGHTS_LIMIT });
  } catch (error) {
    const large = (error as { code?: string }).code === 'ERR_BUFFER_TOO_LARGE';
    throw large
      ? new HttpProblem(413, 'asset-size', 'The raster of heights has more than 4000 × 4000 cells.')
      : new HttpProblem(415, 'asset-kind', 'The raster of heights is damaged: it cannot be unpacked.');
  }
};

/**
 * What a file really is, whatever its name says, and how large it becomes when it is opened.
 * @throws HttpProblem 413 too large unpacked, 415 another kind or damaged
 */
export const checkContent = async (mime: AssetMime, bytes: Buffer): Promise<void> => {
  if (bytes.length === 0 || !SIGNS[mime](bytes))
    throw new HttpProblem(415, 'asset-kind', `The file is no ${mime}, whatever its name says.`);
  if (mime === 'application/x-heights') {
    await checkHeights(bytes);
    return;
  }
  const pixels = pixelsOf(bytes);
  if (pixels === null)
    throw new HttpProblem(415, 'asset-kind', 'The picture is damaged: its size cannot be read.');
  if (pixels > MOST_PIXELS)
    throw new HttpProblem(
      413,
      'asset-size',
      `The picture has ${Math.round(pixels / 1e6)} megapixels; ${MOST_PIXELS / 1e6} are kept at most.`,
    );
};
