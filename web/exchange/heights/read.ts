import { fromLocal, toLocal } from '@core/geometry';
import { message, type Message } from '@core/messages';
import {
  heightIn,
  isPointList,
  isTileName,
  readAsciiGrid,
  readPointList,
  readTile,
  toLocalGrid,
  type HeightGrid,
  type RawGrid,
} from '@core/terrain';
import { found, none, type Result } from '@core/units';
import proj4 from 'proj4';
import type { FindProjection, Projection } from './projection';
import { readTiff } from './tiff';

/** Where the location is that heights are wanted for. */
export interface Where {
  readonly latitude: number;
  readonly longitude: number;
}

/** What a file of heights says of a location. */
export interface HeightReading {
  readonly grid: HeightGrid;
  readonly projection: Projection;
  /** Who named the projection: the file, the person, or nobody: then it was tried which one covers the location. */
  readonly namedBy: 'file' | 'person' | 'nobody';
  /** Height of the ground at the location's coordinates, m; NaN in a hole. */
  readonly hereM: number;
  readonly remarks: readonly Message[];
}

const DEGREES = 4326;
const WEB_MERCATOR = 3857;
/** UTM zone of a location in the register (WGS 84). */
const utmOf = ({ latitude, longitude }: Where): number =>
  (latitude < 0 ? 32_700 : 32_600) + Math.min(60, Math.floor((longitude + 180) / 6) + 1);

interface File {
  readonly raw: RawGrid;
  readonly code: number | null;
  readonly remarks: readonly Message[];
}

const inPlace = (raw: RawGrid, projection: Projection, where: Where): Result<HeightGrid, Message> => {
  const turn = proj4(projection.proj4);
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

const isTiff = (buffer: ArrayBuffer): boolean => {
  const [a, b] = new Uint8Array(buffer, 0, Math.min(2, buffer.byteLength));
  return a === b && (a === 0x49 || a === 0x4d);
};

const readFile = async (
  buffer: ArrayBuffer,
  name: string,
  find: FindProjection,
): Promise<Result<File, Message>> => {
  if (isTiff(buffer)) return readTiff(buffer, find);
  if (isTileName(name)) {
    const tile = readTile(buffer, name);
    return tile.ok ? found({ raw: tile.value, code: DEGREES, remarks: [] }) : tile;
  }
  const text = new TextDecoder().decode(buffer);
  const raw = isPointList(text) ? readPointList(text) : readAsciiGrid(text);
  return raw.ok ? found({ raw: raw.value, code: null, remarks: [] }) : raw;
};

/** Numbers that could be degrees. */
const withinDegrees = (raw: RawGrid): boolean =>
  Math.max(Math.abs(raw.west), Math.abs(raw.west + raw.columns * raw.cellX)) <= 361 &&
  Math.max(Math.abs(raw.south), Math.abs(raw.south + raw.rows * raw.cellY)) <= 91;

/** What a file that does not say could be in, most likely first. */
const guesses = (raw: RawGrid, where: Where): readonly number[] =>
  withinDegrees(raw) ? [DEGREES, utmOf(where)] : [utmOf(where), WEB_MERCATOR];

/**
 * Reads a file of heights for a location: GeoTIFF, ASCII grid, list of points, tile of a degree.
 * @param chosen number of the projection a person says it is in; null takes the file's word, or what covers the location
 * @returns the ground around the location, or why there is none
 */
export const readHeights = async (
  file: { readonly buffer: ArrayBuffer; readonly name: string },
  where: Where,
  chosen: number | null,
  find: FindProjection,
): Promise<Result<HeightReading, Message>> => {
  const read = await readFile(file.buffer, file.name, find).catch((error: unknown) =>
    none(message('heights.unreadable', { why: error instanceof Error ? error.message : String(error) })),
  );
  if (!read.ok) return read;
  const { raw, code, remarks } = read.value;
  const named = chosen ?? code;
  if (named === null && isTiff(file.buffer)) return none(message('heights.unnamed'));
  let last: Message | null = null;
  for (const number of named === null ? guesses(raw, where) : [named]) {
    const projection = await find(number);
    if (!projection) return none(message('heights.unknown-projection', { code: number }));
    const grid = inPlace(raw, projection, where);
    if (grid.ok)
      return found({
        grid: grid.value,
        projection,
        namedBy: chosen !== null ? 'person' : code !== null ? 'file' : 'nobody',
        hereM: heightIn(grid.value, 0, 0),
        remarks,
      });
    last ??= grid.reason;
  }
  return named === null && last
    ? none(message('heights.no-guess', { last }))
    : none(last ?? message('heights.nowhere'));
};
