import { message, type Message } from '@core/messages';
import { fromTheNorth, MOST_CELLS, type RawGrid, tooManyCells } from '@core/terrain';
import { found, none, type Result } from '@core/units';
import { fromArrayBuffer } from 'geotiff';
import type { FindProjection } from './projection';

type Image = Awaited<ReturnType<Awaited<ReturnType<typeof fromArrayBuffer>>['getImage']>>;
type Keys = Readonly<Record<string, number | string | undefined>>;

/** Heights of a GeoTIFF in its own coordinates. */
export interface TiffHeights {
  readonly raw: RawGrid;
  /** Number of its projection in the EPSG register; none where the file does not name one. */
  readonly code: number | null;
  /** What was done to its figures that the person should know of. */
  readonly remarks: readonly Message[];
}

/** Keys of the GeoTIFF standard (OGC 19-008r4) that stand for “written out in the file itself”, and for what a cell's place is. */
const USER_DEFINED = 32_767;
const PIXEL_IS_POINT = 2;
/** Units of length of the EPSG register by number and by name, m. */
const UNIT_M: Readonly<Record<string, number>> = {
  9001: 1,
  9002: 0.3048,
  9003: 1200 / 3937,
  metre: 1,
  foot: 0.3048,
  'US survey foot': 1200 / 3937,
};
/** Photometric interpretations (TIFF 6.0) whose samples are brightness or height: white is 0, black is 0. */
const ONE_VALUE = [0, 1];

const numberOf = (keys: Keys, name: string): number | null => {
  const value = keys[name];
  return typeof value === 'number' && value !== USER_DEFINED && value > 0 ? value : null;
};

/** Where its cells lie: the six figures of the way from cells to coordinates, corner of the north-west cell first. */
const placing = (image: Image): readonly number[] | null => {
  const { fileDirectory } = image;
  const list = (tag: 'ModelPixelScale' | 'ModelTiepoint' | 'ModelTransformation'): number[] =>
    Array.from((fileDirectory.getValue(tag) as ArrayLike<number> | undefined) ?? []);
  const [scaleX = NaN, scaleY = NaN] = list('ModelPixelScale');
  const [i = NaN, j = NaN, , x = NaN, y = NaN] = list('ModelTiepoint');
  if (scaleX > 0 && Number.isFinite(i + j + x + y))
    return [x - i * scaleX, scaleX, 0, y + j * scaleY, 0, -scaleY];
  const m = list('ModelTransformation');
  return m.length >= 8 ? [m[3], m[0], m[1], m[7], m[4], m[5]].map((n) => n ?? NaN) : null;
};

/** The raster's place; a point stands for the middle of its cell, an area for its corner. */
const layOf = (image: Image, keys: Keys): Result<Omit<RawGrid, 'heights'>, Message> => {
  const [columns, rows] = [image.getWidth(), image.getHeight()];
  const lies = placing(image);
  if (!lies) return none(message('heights.no-place'));
  const [x = NaN, stepX = NaN, turnX = NaN, y = NaN, turnY = NaN, stepY = NaN] = lies;
  if (turnX !== 0 || turnY !== 0 || !(stepX > 0 && stepY < 0)) return none(message('heights.turned'));
  const half = keys['GTRasterTypeGeoKey'] === PIXEL_IS_POINT ? 0 : 0.5;
  return found({
    columns,
    rows,
    cellX: stepX,
    cellY: -stepY,
    west: x + half * stepX,
    south: y + stepY * (rows - 1 + half),
  });
};

/** What its heights are in: said outright, or by the vertical system the file names; metres where it says nothing. */
const unitOf = async (keys: Keys, find: FindProjection): Promise<string> => {
  const outright = numberOf(keys, 'VerticalUnitsGeoKey');
  if (outright !== null) return String(outright);
  const system = numberOf(keys, 'VerticalCSTypeGeoKey');
  return (system === null ? null : await find(system))?.unit ?? 'metre';
};

/** Factor and offset that its stored figures want (as GDAL writes them into its metadata), and the unit they come out in. */
const scaleOf = async (
  image: Image,
  keys: Keys,
  find: FindProjection,
): Promise<Result<{ factor: number; offset: number; remarks: Message[] }, Message>> => {
  const written = (await image.getGDALMetadata(0).catch(() => null)) ?? {};
  const figure = (name: string, otherwise: number): number => {
    const value = Number(written[name] ?? otherwise);
    return Number.isFinite(value) ? value : otherwise;
  };
  const [factor, offset] = [figure('SCALE', 1), figure('OFFSET', 0)];
  const unit = await unitOf(keys, find);
  const unitM = UNIT_M[unit];
  if (unitM === undefined) return none(message('heights.unit', { unit }));
  const remarks = [
    ...(factor !== 1 || offset !== 0 ? [message('heights.scaled', { factor, offset })] : []),
    ...(unitM !== 1 ? [message('heights.feet')] : []),
    ...(image.getBitsPerSample(0) === 8 ? [message('heights.bytes')] : []),
  ];
  return found({ factor: factor * unitM, offset: offset * unitM, remarks });
};

/** Why its samples cannot be heights, if they cannot. */
const faultOfSamples = (image: Image): Message | null => {
  const kind = Number(image.fileDirectory.getValue('PhotometricInterpretation') ?? 1);
  if (!ONE_VALUE.includes(kind) || image.getSamplesPerPixel() > 2) return message('heights.picture');
  const cells = image.getWidth() * image.getHeight();
  return cells > MOST_CELLS ? tooManyCells(cells).reason : null;
};

/**
 * Reads the heights of a GeoTIFF (OGC 19-008r4): placed by tie point and scale or by transformation, points or areas, scaled
 * figures, feet; packed in any way the reader knows.
 */
export const readTiff = async (
  buffer: ArrayBuffer,
  find: FindProjection,
): Promise<Result<TiffHeights, Message>> => {
  const image = await (await fromArrayBuffer(buffer)).getImage();
  const fault = faultOfSamples(image);
  if (fault) return none(fault);
  const keys = (image.getGeoKeys() ?? {}) as Keys;
  const lay = layOf(image, keys);
  if (!lay.ok) return lay;
  const scale = await scaleOf(image, keys, find);
  if (!scale.ok) return scale;
  const { factor, offset, remarks } = scale.value;
  const raster = (await image.readRasters({
    samples: [0],
    interleave: true,
  })) as unknown as ArrayLike<number>;
  const noData = image.getGDALNoData() ?? NaN;
  const { columns, rows } = lay.value;
  const heights = fromTheNorth(
    columns,
    rows,
    (i) => {
      const stored = Number(raster[i]);
      return stored === noData || Math.fround(stored) === Math.fround(noData)
        ? NaN
        : stored * factor + offset;
    },
    NaN,
  );
  const code = numberOf(keys, 'ProjectedCSTypeGeoKey') ?? numberOf(keys, 'GeographicTypeGeoKey');
  return found({ raw: { ...lay.value, heights }, code, remarks });
};
