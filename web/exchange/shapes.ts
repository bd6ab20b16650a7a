import type { Entity, FeatureKind, FeatureShape } from '@core/model';
import { crossesItself, fromLocal, toLocal } from '@core/geometry';
import { featureWords, isFeatureKind } from '@core/site';
import { found, none, type Result } from '@core/units';
import Feature from 'ol/Feature.js';
import GeoJSON from 'ol/format/GeoJSON.js';
import GPX from 'ol/format/GPX.js';
import KML from 'ol/format/KML.js';
import {
  LineString,
  Point,
  Polygon,
  type Geometry,
  type GeometryCollection,
  type MultiLineString,
  type MultiPoint,
  type MultiPolygon,
} from 'ol/geom.js';
import { tr } from './messages';
import { fixed } from '../format';

export type ShapeFormat = 'geojson' | 'kml' | 'gpx';
type Thing = Entity<'feature'>;
type Attributes = Pick<
  Thing,
  'name' | 'heightM' | 'radiusM' | 'keepM' | 'source' | 'until' | 'granted' | 'notes'
>;
export interface Origin {
  readonly latitude: number;
  readonly longitude: number;
}

/** Something in a file that could come in. */
export interface Incoming {
  readonly shape: FeatureShape;
  readonly points: readonly { readonly xM: number; readonly yM: number }[];
  /** What the file says it is; null when it does not say. */
  readonly kind: FeatureKind | null;
  readonly attributes: Partial<Attributes>;
  readonly name: string;
  readonly awayM: number;
  readonly note: string;
}
export interface Skipped {
  readonly name: string;
  readonly why: string;
}
export interface Read {
  readonly things: readonly Incoming[];
  readonly skipped: readonly Skipped[];
  readonly swapped: boolean;
}

/** Largest file read, characters. */
const MOST_TEXT = 25_000_000;
const FARTHEST_M = 20_000;
const MOST_POINTS = 2000;
const MOST_THINGS = 5000;

const AHEAD = /^(?:\s+|<\?[\s\S]*?\?>|<!--[\s\S]*?-->)/;

/** The kind of file, by its content and not its name. */
export const formatOf = (text: string): ShapeFormat | null => {
  if (/^\s*\{/.test(text.slice(0, 2000))) return 'geojson';
  // Declarations and comments may stand before the first element, which may have a prefix.
  let rest = text;
  for (let cut = AHEAD.exec(rest); cut && cut[0] !== ''; cut = AHEAD.exec(rest))
    rest = rest.slice(cut[0].length);
  const root = /^<(?:[\w-]+:)?(kml|gpx)[\s>]/i.exec(rest)?.[1]?.toLowerCase();
  return root === 'kml' || root === 'gpx' ? root : null;
};

const parse = (text: string, format: ShapeFormat): Result<Feature[]> => {
  if (format !== 'geojson' && /<!(DOCTYPE|ENTITY)/i.test(text)) return none(tr('theFileDeclaresEntitiesOf'));
  try {
    const options = { dataProjection: 'EPSG:4326', featureProjection: 'EPSG:4326' };
    if (format === 'geojson') {
      const json = JSON.parse(text) as { type?: string };
      if (typeof json.type !== 'string') return none(tr('thisIsJSONButNo'));
      return found(new GeoJSON().readFeatures(json, options) as Feature[]);
    }
    if (new DOMParser().parseFromString(text, 'text/xml').getElementsByTagName('parsererror').length > 0)
      return none(tr('theFileIsNotWell'));
    return found(
      (format === 'kml'
        ? new KML({ extractStyles: false, showPointNames: false }).readFeatures(text, options)
        : new GPX().readFeatures(text, options)) as Feature[],
    );
  } catch (error) {
    return none(
      tr('theFileCouldNotBe', {
        toUpperCase: format === 'geojson' ? 'GeoJSON' : format.toUpperCase(),
        message: error instanceof Error ? error.message : String(error),
      }),
    );
  }
};

/** Single shapes of a geometry: collections and multiples taken apart. */
const partsOf = (g: Geometry | undefined): Geometry[] => {
  switch (g?.getType()) {
    case 'Point':
    case 'LineString':
    case 'Polygon':
      return [g as Geometry];
    case 'MultiPoint':
      return (g as MultiPoint).getPoints();
    case 'MultiLineString':
      return (g as MultiLineString).getLineStrings();
    case 'MultiPolygon':
      return (g as MultiPolygon).getPolygons();
    case 'GeometryCollection':
      return (g as GeometryCollection).getGeometries().flatMap(partsOf);
    default:
      return [];
  }
};

const text = (value: unknown): string =>
  typeof value === 'string' ? value : typeof value === 'number' ? String(value) : '';
const number = (value: unknown): number | undefined => {
  const n =
    typeof value === 'number'
      ? value
      : typeof value === 'string' && value.trim() !== ''
        ? Number(value)
        : NaN;
  return Number.isFinite(n) && n >= 0 ? n : undefined;
};

/** Numbers that have no field of their own in a format stand in its remark, as “heightM=17; keepM=30”. */
const remark = (value: unknown): Record<string, string> =>
  Object.fromEntries(
    text(value)
      .split(';')
      .map((p) => p.split('=').map((x) => x.trim()))
      .filter((p): p is [string, string] => p.length === 2),
  );

const attributesOf = (f: Feature): Partial<Attributes> => {
  const p = { ...remark(f.get('cmt')), ...f.getProperties() } as Record<string, unknown>;
  const until = text(p['until']);
  return {
    ...Object.fromEntries(
      (['heightM', 'radiusM', 'keepM'] as const).flatMap((id) => {
        const n = number(p[id]);
        return n === undefined ? [] : [[id, Math.min(id === 'keepM' ? 5000 : 1000, n)]];
      }),
    ),
    name: text(p['name']).slice(0, 200),
    source: (text(p['source']) || text(p['src'])).slice(0, 500),
    notes: (text(p['notes']) || text(p['desc']) || text(p['description'])).slice(0, 10_000),
    until: /^\d{4}-\d\d-\d\d$/.test(until) ? until : '',
    granted: p['granted'] === true || p['granted'] === 'true',
  };
};

/** Corners no more than are kept, thinned where there are more; how far a thinned line strays, m. */
const thinned = (coordinates: number[][], closed: boolean): { kept: number[][]; strayM: number } => {
  let kept = coordinates;
  let strayM = 0;
  for (let tolerance = 0.25; kept.length > MOST_POINTS; tolerance *= 2) {
    const whole = new LineString(closed ? [...coordinates, coordinates[0] ?? []] : coordinates).simplify(
      tolerance,
    ) as LineString;
    kept = closed ? whole.getCoordinates().slice(0, -1) : whole.getCoordinates();
    strayM = tolerance;
  }
  return { kept, strayM };
};

const SAME_M = 0.01;
const withoutRepeats = (c: number[][]): number[][] =>
  c.filter((p, i) => {
    const b = c[i - 1];
    return !b || Math.hypot((p[0] ?? 0) - (b[0] ?? 0), (p[1] ?? 0) - (b[1] ?? 0)) > SAME_M;
  });

const coordinatesOf = (g: Geometry): number[][] => {
  if (g instanceof Point) return [g.getCoordinates()];
  return g instanceof LineString ? g.getCoordinates() : ((g as Polygon).getCoordinates()[0] ?? []);
};
const apart = (a: readonly number[] | undefined, b: readonly number[] | undefined): number =>
  Math.hypot((a?.[0] ?? 0) - (b?.[0] ?? 0), (a?.[1] ?? 0) - (b?.[1] ?? 0));
const FEWEST: Readonly<Record<FeatureShape, number>> = { point: 1, line: 2, area: 3 };

/** Shape of a geometry: a closed line that calls itself an area is one. */
const shapeOf = (g: Geometry, kind: string): FeatureShape => {
  if (g instanceof Point) return 'point';
  return g instanceof Polygon || (isFeatureKind(kind) && featureWords(kind).shapes[0] === 'area')
    ? 'area'
    : 'line';
};

/** Why points cannot come in; empty when they can. */
const refusal = (shape: FeatureShape, points: Incoming['points']): string => {
  if (points.length < FEWEST[shape]) return tr('allOfItsCornersLie');
  const awayM = Math.min(...points.map((p) => Math.hypot(p.xM, p.yM)));
  if (points.some((p) => Math.max(Math.abs(p.xM), Math.abs(p.yM)) > FARTHEST_M))
    return tr('awayMKmAwayMoreThan', { awayM: fixed(awayM / 1000, 0), FARTHEST_M: FARTHEST_M / 1000 });
  return shape === 'area' && crossesItself(points.map((p) => ({ x: p.xM, y: p.yM })))
    ? tr('itsOutlineCrossesItself')
    : '';
};

const incoming = (
  g: Geometry,
  f: Feature,
  name: string,
  toMetres: (c: readonly number[]) => number[],
): Incoming | Skipped => {
  const raw = coordinatesOf(g);
  if (raw.some((c) => !Number.isFinite(c[0]) || !Number.isFinite(c[1])))
    return { name, why: tr('aCoordinateIsNotA') };
  const kind = text(f.get('kind')) || text(f.get('type'));
  if (kind === 'path') return { name, why: tr('thePathOfAShot') };
  const shape = shapeOf(g, kind);
  const metres = withoutRepeats(raw.map(toMetres));
  const open =
    shape === 'area' && metres.length > 1 && apart(metres[0], metres.at(-1)) < SAME_M * 100
      ? metres.slice(0, -1)
      : metres;
  const { kept, strayM } = thinned(open, shape === 'area');
  const points = kept.map((c) => ({
    xM: Math.round((c[0] ?? 0) * 100) / 100,
    yM: Math.round((c[1] ?? 0) * 100) / 100,
  }));
  const why = refusal(shape, points);
  if (why) return { name, why };
  const note = [
    g instanceof Polygon && g.getLinearRingCount() > 1 ? tr('itsHolesAreFilled') : '',
    strayM > 0 ? tr('thinnedStraysByStrayMM', { strayM }) : '',
  ]
    .filter(Boolean)
    .join(', ');
  const known = isFeatureKind(kind) && featureWords(kind).shapes.includes(shape) ? kind : null;
  return {
    shape,
    points,
    kind: known,
    attributes: attributesOf(f),
    name,
    awayM: Math.min(...points.map((p) => Math.hypot(p.xM, p.yM))),
    note,
  };
};

const isSkipped = (x: Incoming | Skipped): x is Skipped => 'why' in x;

const FIT_NAMES: Readonly<Record<ShapeFormat, string>> = { geojson: 'GeoJSON', kml: 'KML', gpx: 'GPX' };

/**
 * Reads shapes from GeoJSON, KML or GPX into local metres. Nothing is taken in yet: the answer says what could be, what not, and why.
 * @param swap coordinates are taken the other way round, for files that have latitude first
 */
export const readShapes = (content: string, origin: Origin, swap = false): Result<Read> => {
  if (content.length > MOST_TEXT)
    return none(
      tr('theFileHasContentMB', { content: fixed(content.length / 1e6, 0), MOST_TEXT: MOST_TEXT / 1e6 }),
    );
  const format = formatOf(content);
  if (!format) return none(tr('thisIsNoneOfGeoJSON'));
  const features = parse(content, format);
  if (!features.ok) return features;
  if (features.value.length === 0) return none(tr('theFITNAMESFileHolds', { FIT_NAMES: FIT_NAMES[format] }));
  const metres =
    (swapped: boolean) =>
    (c: readonly number[]): number[] => {
      const [lon, lat] = swapped ? [c[1] ?? NaN, c[0] ?? NaN] : [c[0] ?? NaN, c[1] ?? NaN];
      const at = toLocal(origin.latitude, origin.longitude, lat, lon);
      return [at.xM, at.yM];
    };
  const read = (swapped: boolean): Read => {
    const all = features.value.slice(0, MOST_THINGS).flatMap((f, i) => {
      const name = text(f.get('name')) || tr('shapeValue', { value: i + 1 });
      const parts = partsOf(f.getGeometry());
      return parts.length > 0
        ? parts.map((g) => incoming(g, f, name, metres(swapped)))
        : [{ name, why: tr('itHasNoPlace') }];
    });
    const more = features.value.length - MOST_THINGS;
    return {
      things: all.filter((x): x is Incoming => !isSkipped(x)),
      skipped: [
        ...all.filter(isSkipped),
        ...(more > 0
          ? [{ name: tr('moreMore', { more }), why: tr('onlyMOSTTHINGSAreRead', { MOST_THINGS }) }]
          : []),
      ],
      swapped: false,
    };
  };
  const straight = read(swap);
  if (swap || straight.things.length > 0) return found(straight);
  const turned = read(true);
  return found({ ...straight, swapped: turned.things.length > 0 });
};

const writers = {
  geojson: () => new GeoJSON(),
  kml: () => new KML({ writeStyles: false }),
  gpx: () => new GPX(),
} as const;

/** A shape to be written: what it is and where, in local metres; heights above the origin where it has them. */
export interface Outgoing {
  readonly shape: FeatureShape;
  readonly points: readonly { readonly xM: number; readonly yM: number; readonly zM?: number }[];
  readonly properties: Readonly<Record<string, string | number | boolean>>;
}

export const outgoing = (thing: Thing): Outgoing => {
  const { kind, name, heightM, radiusM, keepM, source, until, granted, notes, shape, points } = thing;
  return {
    shape,
    points,
    properties: { kind, name, heightM, radiusM, keepM, source, until, granted, notes },
  };
};

/** Writes shapes in a format; what it has no field for goes into its remarks. */
export const writeShapes = (
  shapes: readonly Outgoing[],
  format: ShapeFormat,
  origin: Origin,
  elevationM = 0,
): string => {
  const features = shapes.map((s) => {
    const c = s.points.map((p) => {
      const at = fromLocal(origin.latitude, origin.longitude, p.xM, p.yM);
      return [at.longitude, at.latitude, ...(p.zM === undefined ? [] : [p.zM + elevationM])];
    });
    const closed = [...c, c[0] ?? []];
    // A GPX knows no areas: an outline is a track that comes back to where it began.
    const geometry =
      s.shape === 'point'
        ? new Point(c[0] ?? [0, 0])
        : s.shape === 'area'
          ? format === 'gpx'
            ? new LineString(closed)
            : new Polygon([closed])
          : new LineString(c);
    const { kind, name, source, notes, ...rest } = s.properties;
    const properties =
      format === 'gpx'
        ? {
            name,
            type: kind,
            src: source,
            desc: notes,
            cmt: Object.entries(rest)
              .map(([k, v]) => `${k}=${String(v)}`)
              .join('; '),
          }
        : Object.fromEntries(
            Object.entries(s.properties).map(([k, v]) => [k, format === 'kml' ? String(v) : v]),
          );
    return new Feature({ geometry, ...properties });
  });
  return writers[format]().writeFeatures(features, {
    dataProjection: 'EPSG:4326',
    featureProjection: 'EPSG:4326',
    decimals: 8,
  });
};
