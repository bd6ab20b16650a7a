import { found, none, type Result } from '@core/units';
import { unzipSync } from 'fflate';
import proj4 from 'proj4';
import type { FindProjection } from './heights/projection';
import { decodeText } from './text-file';
import { tr } from './messages';

/** Largest document unpacked from a zipped file, bytes: a small zip can hold any amount of noughts. */
const LARGEST = 60_000_000;
const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

const KML = 'http://www.opengis.net/kml/2.2';

/** Placemarks of several documents as one: programs keep each layer in a document of its own, linked from the first. */
const joined = (documents: readonly string[]): string => {
  const [only = ''] = documents;
  if (documents.length === 1) return only;
  const writer = new XMLSerializer();
  const marks = documents
    .filter((d) => !/<!(DOCTYPE|ENTITY)/i.test(d))
    .flatMap((d) => [
      ...new DOMParser().parseFromString(d, 'text/xml').getElementsByTagNameNS('*', 'Placemark'),
    ]);
  return `<kml xmlns="${KML}"><Document>${marks.map((m) => writer.serializeToString(m)).join('')}</Document></kml>`;
};

/** The documents of a KMZ (OGC 12-007r2, annex C), as one. */
const unzipped = (bytes: Uint8Array): Result<string> => {
  let room = LARGEST;
  try {
    const held = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!/\.kml$/i.test(name)) return false;
        room -= originalSize;
        return room >= 0;
      },
    });
    if (room < 0) return none(tr('zipIsTooLarge'));
    const documents = Object.values(held).map(decodeText);
    return documents.length > 0 ? found(joined(documents)) : none(tr('zipHoldsNoKML'));
  } catch (error) {
    return none(tr('zipCannotBeRead', { why: error instanceof Error ? error.message : String(error) }));
  }
};

interface Named {
  readonly crs?: { readonly type?: string; readonly properties?: { readonly name?: unknown } } | null;
}
/** Degrees, longitude first: what GeoJSON is in unless it says otherwise. */
const DEGREES = [4326, 4979];

/** Number of the projection a GeoJSON names (specification of 2008, 3.1); none for degrees, NaN where it cannot be told. */
const codeOf = (json: Named): number | null => {
  const name = json.crs?.properties?.name;
  if (typeof name !== 'string' || /CRS:?84$/i.test(name)) return null;
  const code = Number(/EPSG:{1,2}(?:[\d.]*:)?(\d{4,6})$/i.exec(name)?.[1]);
  return DEGREES.includes(code) ? null : code;
};

/** Every position of a GeoJSON turned, east and north only: lines that mix heights with none would be read askew. */
const turned = (value: unknown, turn: (at: [number, number]) => readonly [number, number]): unknown => {
  if (Array.isArray(value)) {
    const [x, y] = value as unknown[];
    if (typeof x === 'number' && typeof y === 'number') return [...turn([x, y])];
    return value.map((part) => turned(part, turn));
  }
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, part]) => [
      key,
      ['coordinates', 'geometry', 'geometries', 'features'].includes(key) ? turned(part, turn) : part,
    ]),
  );
};

const geoJson = async (text: string, find: FindProjection): Promise<Result<string>> => {
  let json: Named;
  try {
    json = JSON.parse(text) as Named;
  } catch {
    // What is wrong with it is said by who reads it.
    return found(text);
  }
  const code = codeOf(json);
  if (code === null) return found(JSON.stringify(turned(json, (at) => at)));
  const projection = Number.isNaN(code) ? null : await find(code);
  if (!projection)
    return none(tr('projectionOfShapesIsNotKnown', { name: String(json.crs?.properties?.name) }));
  const { inverse } = proj4(projection.proj4);
  return found(JSON.stringify(turned({ ...json, crs: undefined }, (at) => inverse(at) as [number, number])));
};

/**
 * Text of a file of shapes as other programs write it: zipped KML unpacked, in its own encoding, GeoJSON of a named projection
 * turned into degrees.
 */
export const readShapeFile = async (
  file: Pick<Blob, 'arrayBuffer'>,
  find: FindProjection,
): Promise<Result<string>> => {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (isZip(bytes)) return unzipped(bytes);
  const text = decodeText(bytes);
  return /^\s*\{/.test(text.slice(0, 200)) ? geoJson(text, find) : found(text);
};
