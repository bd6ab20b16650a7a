import XMLBuilder from 'fast-xml-builder';
import type { Handover } from './lines';
import { closedRing, mapPaths, mapThings, type MapPath, type MapPoint, type MapThing } from './map-shapes';

/** Coordinates to a centimetre, heights to a decimetre. */
const degree = (d: number): number => Math.round(d * 1e7) / 1e7;
const decimetre = (m: number): number => Math.round(m * 10) / 10;
const position = ({ longitude, latitude, heightM }: MapPoint): [number, number, number] => [
  degree(longitude),
  degree(latitude),
  decimetre(heightM),
];
const nameOf = ({ line }: MapPath): string => `${line.number} ${line.title}`.trim();

const shapeOf = ({ feature, points }: MapThing) =>
  feature.shape === 'area'
    ? { type: 'Polygon', coordinates: [closedRing(points).map(position)] }
    : feature.shape === 'line' && points.length > 1
      ? { type: 'LineString', coordinates: points.map(position) }
      : { type: 'Point', coordinates: points[0] ? position(points[0]) : [] };

/** Paths, their actions and the things of the site maps as GeoJSON (RFC 7946); heights above sea level in metres. */
export const geoJsonOf = (whole: Handover): string => {
  const paths = mapPaths(whole);
  const features = [
    ...paths.map((p) => ({
      type: 'Feature',
      properties: {
        kind: 'path',
        name: nameOf(p),
        number: p.line.number,
        location: p.line.location,
        move: p.line.move,
        seconds: Math.round(p.line.moveS * 10) / 10,
      },
      geometry:
        p.points.length > 1
          ? { type: 'LineString', coordinates: p.points.map(position) }
          : { type: 'Point', coordinates: p.points[0] ? position(p.points[0]) : [] },
    })),
    ...paths.flatMap((p) =>
      p.actions.map(({ at, name, ...figures }) => ({
        type: 'Feature',
        properties: { kind: 'action', name: `${nameOf(p)}: ${name}`, action: name, ...figures },
        geometry: { type: 'Point', coordinates: position(at) },
      })),
    ),
    ...mapThings(whole).map((t) => ({
      type: 'Feature',
      properties: {
        kind: t.feature.kind,
        name: t.feature.name,
        location: t.location.name,
        heightM: t.feature.heightM,
        keepM: t.feature.keepM,
      },
      geometry: shapeOf(t),
    })),
  ];
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
};

const xmlOf = (tree: object): string =>
  new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    format: true,
    suppressEmptyNode: true,
  }).build({ '?xml': { '@version': '1.0', '@encoding': 'UTF-8' }, ...tree });
/** Control characters have no place in XML 1.0. */
const clean = (text: string): string =>
  [...text].filter((sign) => sign >= ' ' || '\t\n\r'.includes(sign)).join('');

const kmlLine = (points: readonly MapPoint[]): string => points.map((p) => position(p).join(',')).join(' ');
const data = (values: Readonly<Record<string, string | number>>) => ({
  Data: Object.entries(values).map(([name, value]) => ({ '@name': name, value: clean(String(value)) })),
});

const kmlShape = (t: MapThing) =>
  t.feature.shape === 'area'
    ? {
        Polygon: {
          altitudeMode: 'clampToGround',
          outerBoundaryIs: { LinearRing: { coordinates: kmlLine(closedRing(t.points)) } },
        },
      }
    : t.feature.shape === 'line' && t.points.length > 1
      ? { LineString: { altitudeMode: 'clampToGround', coordinates: kmlLine(t.points) } }
      : { Point: { coordinates: kmlLine(t.points.slice(0, 1)) } };

/** Paths with absolute heights, their actions as extended data, and the things of the site maps, as KML 2.2. */
export const kmlOf = (whole: Handover): string => {
  const paths = mapPaths(whole);
  const folders = [
    {
      name: 'Paths',
      Placemark: paths.map((p) => ({
        name: clean(nameOf(p)),
        ExtendedData: data({
          location: p.line.location,
          move: p.line.move,
          seconds: p.line.moveS.toFixed(1),
        }),
        ...(p.points.length > 1
          ? { LineString: { altitudeMode: 'absolute', coordinates: kmlLine(p.points) } }
          : { Point: { altitudeMode: 'absolute', coordinates: kmlLine(p.points) } }),
      })),
    },
    {
      name: 'Actions',
      Placemark: paths.flatMap((p) =>
        p.actions.map(({ at, name, ...figures }) => ({
          name: clean(`${nameOf(p)}: ${name}`),
          ExtendedData: data({ action: name, ...figures }),
          Point: { altitudeMode: 'absolute', coordinates: kmlLine([at]) },
        })),
      ),
    },
    {
      name: 'Site maps',
      Placemark: mapThings(whole).map((t) => ({
        name: clean(t.feature.name || t.feature.kind),
        ExtendedData: data({ kind: t.feature.kind, heightM: t.feature.heightM, keepM: t.feature.keepM }),
        ...kmlShape(t),
      })),
    },
  ];
  return xmlOf({
    kml: {
      '@xmlns': 'http://www.opengis.net/kml/2.2',
      Document: { name: clean(whole.input.film.name), Folder: folders },
    },
  });
};

/** Paths as routes and launch points as waypoints, GPX 1.1; heights above sea level in metres. */
export const gpxOf = (whole: Handover): string => {
  const at = (p: MapPoint) => ({
    '@lat': degree(p.latitude),
    '@lon': degree(p.longitude),
    ele: decimetre(p.heightM),
  });
  return xmlOf({
    gpx: {
      '@version': '1.1',
      '@creator': 'Dusk Slate',
      '@xmlns': 'http://www.topografix.com/GPX/1/1',
      metadata: { name: clean(whole.input.film.name) },
      wpt: mapThings(whole)
        .filter((t) => t.feature.kind === 'launch')
        .flatMap((t) =>
          t.points.slice(0, 1).map((p) => ({ ...at(p), name: clean(t.feature.name || 'launch') })),
        ),
      rte: mapPaths(whole).map((p) => ({
        name: clean(nameOf(p)),
        rtept: p.points.map((point) => at(point)),
      })),
    },
  });
};
