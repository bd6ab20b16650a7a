import { readAsciiGrid, toLocalGrid, MOST_CELLS, type HeightGrid, type RawGrid } from '@core/terrain';
import { found, none, type Result } from '@core/units';
import { fromLocal, toLocal } from '@core/geometry';
import { expose, transfer } from 'comlink';
import { fromArrayBuffer } from 'geotiff';
import proj4 from 'proj4';

/** Where the place is that heights are wanted for. */
export interface Where {
  readonly latitude: number;
  readonly longitude: number;
}

interface Definition {
  readonly name: string;
  readonly proj4: string;
  readonly unit: string;
}

const DEGREES: Definition = { name: 'degrees', proj4: '+proj=longlat +datum=WGS84 +no_defs', unit: 'degree' };

const definitionOf = async (code: number): Promise<Result<Definition>> => {
  const response = await fetch(`/api/projections/${code}`).catch(() => null);
  return response?.ok
    ? found((await response.json()) as Definition)
    : none(
        `The file is in the projection EPSG:${code}, which is not known here. Save it in degrees or in the local UTM zone.`,
      );
};

const inPlace = (raw: RawGrid, definition: Definition, where: Where): Result<HeightGrid> => {
  const turn = proj4(definition.proj4);
  return toLocalGrid(
    raw,
    (x, y) => {
      const [lon, lat] = turn.inverse([x, y]) as [number, number];
      const at = toLocal(where.latitude, where.longitude, lat, lon);
      return [at.xM, at.yM];
    },
    (xM, yM) => {
      const { latitude, longitude } = fromLocal(where.latitude, where.longitude, xM, yM);
      return turn.forward([longitude, latitude]) as [number, number];
    },
  );
};

/** What a text grid could be in: it does not say. The first that covers the place is taken. */
const guesses = ({ latitude, longitude }: Where): Definition[] => {
  const zone = Math.floor((longitude + 180) / 6) + 1;
  return [
    DEGREES,
    {
      name: `UTM zone ${zone}${latitude < 0 ? 'S' : 'N'}`,
      proj4: `+proj=utm +zone=${zone} ${latitude < 0 ? '+south ' : ''}+datum=WGS84 +units=m +no_defs`,
      unit: 'metre',
    },
    {
      name: 'web Mercator',
      proj4:
        '+proj=merc +a=6378137 +b=6378137 +lat_ts=0 +lon_0=0 +x_0=0 +y_0=0 +k=1 +units=m +nadgrids=@null +no_defs',
      unit: 'metre',
    },
  ];
};

const fromText = (text: string, where: Where): Result<{ grid: HeightGrid; note: string }> => {
  const raw = readAsciiGrid(text);
  if (!raw.ok) return raw;
  const tries = guesses(where);
  let last = 'It covers nothing here.';
  for (const guess of tries) {
    const west = raw.value.west + raw.value.columns * raw.value.cellX;
    if (guess === DEGREES && (Math.abs(raw.value.west) > 360 || Math.abs(west) > 360)) continue;
    const grid = inPlace(raw.value, guess, where);
    if (grid.ok)
      return found({ grid: grid.value, note: `Taken as ${guess.name}, which covers the location.` });
    if (guess.name !== 'web Mercator') last = grid.reason;
  }
  return none(
    `${last} An ASCII grid does not say its projection; degrees, the UTM zone of the location and web Mercator were tried.`,
  );
};

const USER_DEFINED = 32_767;
/** Kinds of unit the register names for heights; only metres are taken. */
const METRE = 9001;

type Image = Awaited<ReturnType<Awaited<ReturnType<typeof fromArrayBuffer>>['getImage']>>;

/** Projection a file names, or why it cannot be taken. */
const projectionOf = (image: Image): Promise<Result<Definition>> => {
  const keys = (image.getGeoKeys() ?? {}) as Record<string, number | undefined>;
  const unit = keys['VerticalUnitsGeoKey'];
  if (unit !== undefined && unit !== METRE)
    return Promise.resolve(none('Its heights are not in metres. Convert them first.'));
  const code = keys['ProjectedCSTypeGeoKey'] ?? keys['GeographicTypeGeoKey'];
  if (code === undefined || code === USER_DEFINED)
    return Promise.resolve(
      none(
        'The file does not name a projection of the register. Save it in degrees or in the local UTM zone.',
      ),
    );
  return definitionOf(code);
};

/** Where its cells lie. */
const layOf = (image: Image): Result<Pick<RawGrid, 'cellX' | 'cellY' | 'west' | 'south'>> => {
  try {
    const [originX = NaN, originY = NaN] = image.getOrigin();
    const [stepX = NaN, stepY = NaN] = image.getResolution();
    if (!(stepX > 0 && stepY < 0))
      return none('The file is turned or mirrored; only rasters with north up are taken.');
    return found({
      cellX: stepX,
      cellY: -stepY,
      west: originX + stepX / 2,
      south: originY + stepY * (image.getHeight() - 0.5),
    });
  } catch {
    return none('The file does not say where it lies: it is a picture without a place.');
  }
};

const heightsOf = async (image: Image): Promise<Float32Array> => {
  const [width, height] = [image.getWidth(), image.getHeight()];
  const raster = (await image.readRasters({
    samples: [0],
    interleave: true,
  })) as unknown as ArrayLike<number>;
  const noData = image.getGDALNoData();
  const heights = new Float32Array(width * height);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const h = Number(raster[row * width + column]);
      heights[(height - 1 - row) * width + column] = h === noData || !(Math.abs(h) < 12_000) ? NaN : h;
    }
  return heights;
};

const fromTiff = async (
  buffer: ArrayBuffer,
  where: Where,
): Promise<Result<{ grid: HeightGrid; note: string }>> => {
  const image = await (await fromArrayBuffer(buffer)).getImage();
  const [columns, rows] = [image.getWidth(), image.getHeight()];
  if (columns * rows > MOST_CELLS)
    return none(
      `The file has ${((columns * rows) / 1e6).toFixed(0)} million cells; ${MOST_CELLS / 1e6} million are taken at most. Cut it to the location.`,
    );
  const definition = await projectionOf(image);
  if (!definition.ok) return definition;
  const lay = layOf(image);
  if (!lay.ok) return lay;
  const grid = inPlace(
    { columns, rows, ...lay.value, heights: await heightsOf(image) },
    definition.value,
    where,
  );
  return grid.ok ? found({ grid: grid.value, note: `In ${definition.value.name}.` }) : grid;
};

/** Reads files of heights beside the page. */
const heights = {
  async read(buffer: ArrayBuffer, where: Where): Promise<Result<{ grid: HeightGrid; note: string }>> {
    const sign = new Uint8Array(buffer, 0, Math.min(4, buffer.byteLength));
    const tiff = (sign[0] === 0x49 && sign[1] === 0x49) || (sign[0] === 0x4d && sign[1] === 0x4d);
    try {
      const read = tiff ? await fromTiff(buffer, where) : fromText(new TextDecoder().decode(buffer), where);
      return read.ok ? transfer(read, [read.value.grid.heights.buffer]) : read;
    } catch (error) {
      return none(`The file could not be read: ${error instanceof Error ? error.message : String(error)}`);
    }
  },
};

export type HeightsWorker = typeof heights;
expose(heights);
