// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import type { Entity } from '@core/model';
import { FEATURE_KINDS } from '@core/site';
import { formatOf, outgoing, readShapes, writeShapes, type ShapeFormat } from './shapes';

const HERE = { latitude: 43.18, longitude: -4.83 };
const CORNERS = {
  point: [[12, 34]],
  line: [
    [0, 0],
    [40, 10],
    [55.5, 60],
  ],
  area: [
    [-20, -10],
    [30, -12],
    [25.25, 40],
    [-18, 38],
  ],
} as const;
const things = FEATURE_KINDS.flatMap((k) =>
  k.shapes.map((shape, n): Entity<'feature'> => ({
    id: `${k.kind}${n}`,
    locationId: 'l',
    kind: k.kind,
    shape,
    name: `${k.name} & “söhne” <b>`,
    points: CORNERS[shape].map(([xM, yM]) => ({ xM, yM })),
    heightM: 17.5,
    radiusM: 2.25,
    keepM: 45,
    source: 'a notice',
    until: '2027-05-14',
    granted: true,
    footing: 'ground',
    movesMs: 0,
    movesDeg: 0,
    notes: 'mind the gate; it is "shut"\nat dusk',
  })),
);

describe.each<ShapeFormat>(['geojson', 'kml', 'gpx'])('%s', (format) => {
  it('loses nothing on the way out and in', () => {
    const text = writeShapes(things.map(outgoing), format, HERE);
    expect(formatOf(text)).toBe(format);
    const read = readShapes(text, HERE);
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.skipped).toEqual([]);
    const back = new Map(read.value.things.map((t) => [`${t.kind} ${t.shape}`, t]));
    for (const t of things) {
      const b = back.get(`${t.kind} ${t.shape}`);
      expect(b, `${t.kind} ${t.shape}`).toBeDefined();
      const { name, heightM, radiusM, keepM, source, until, granted, notes } = t;
      expect(b?.attributes).toEqual({ name, heightM, radiusM, keepM, source, until, granted, notes });
      expect(b?.points.length).toBe(t.points.length);
      b?.points.forEach((p, i) => {
        expect(Math.hypot(p.xM - (t.points[i]?.xM ?? 0), p.yM - (t.points[i]?.yM ?? 0))).toBeLessThan(0.03);
      });
    }
  });
});

const json = (...geometries: object[]): string =>
  JSON.stringify({
    type: 'FeatureCollection',
    features: geometries.map((geometry, i) => ({ type: 'Feature', properties: { name: `g${i}` }, geometry })),
  });
const point = (lon: number, lat: number) => ({ type: 'Point', coordinates: [lon, lat] });

describe('what is wrong with a file is said, and nothing half of it is taken', () => {
  it.each([
    ['no shapes at all', json(), /holds no shapes/],
    ['other text', 'hello', /not GeoJSON/],
    ['other JSON', '{"a":1}', /no GeoJSON/],
    ['JSON cut off', '{"type":"FeatureCollection","features":[', /could not be read/],
    ['XML cut off', '<gpx version="1.1"><trk><name>x', /well-formed/],
    [
      'entity tricks',
      '<?xml version="1.0"?><!DOCTYPE kml [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><kml><Placemark><name>&b;</name></Placemark></kml>',
      /not GeoJSON|entities/,
    ],
    [
      'late entity tricks',
      '<kml xmlns="http://www.opengis.net/kml/2.2"><!ENTITY a "x"><Placemark/></kml>',
      /entities/,
    ],
    ['far too large', `<kml>${' '.repeat(25_100_000)}</kml>`, /MB are read at most/],
  ])('%s', (_, text, why) =>
    expect(readShapes(text, HERE)).toMatchObject({ ok: false, reason: expect.stringMatching(why) as string }),
  );

  it('shapes are left out one by one, each with its reason', () => {
    const crossed = {
      type: 'Polygon',
      coordinates: [
        [
          [-4.83, 43.18],
          [-4.829, 43.181],
          [-4.829, 43.18],
          [-4.83, 43.181],
          [-4.83, 43.18],
        ],
      ],
    };
    const folded = {
      type: 'LineString',
      coordinates: [
        [-4.83, 43.18],
        [-4.83, 43.18],
      ],
    };
    const read = readShapes(
      json(point(-4.83, 43.18), point(-3, 43), crossed, folded, { type: 'Point', coordinates: [null, 3] }),
      HERE,
    );
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.things).toHaveLength(1);
    expect(read.value.skipped.map((s) => s.why).join('; ')).toMatch(
      /km away.*crosses itself.*on one another.*not a number/,
    );
  });
  it('coordinates the other way round are noticed, and taken so when asked', () => {
    const text = json(point(43.1801, -4.8301));
    const read = readShapes(text, HERE);
    expect(read).toMatchObject({ ok: true, value: { swapped: true, things: [] } });
    expect(readShapes(text, HERE, true)).toMatchObject({ ok: true, value: { things: [{ shape: 'point' }] } });
  });
  it('a track of very many points is thinned and says how far it strays; holes and multiples are told and taken apart', () => {
    const track = {
      type: 'LineString',
      coordinates: Array.from({ length: 9000 }, (_, i) => [-4.83 + i * 1e-6, 43.18 + Math.sin(i / 9) * 2e-5]),
    };
    const ring = (r: number) =>
      [
        [-r, -r],
        [r, -r],
        [r, r],
        [-r, r],
        [-r, -r],
      ].map(([x, y]) => [-4.83 + (x ?? 0), 43.18 + (y ?? 0)]);
    const read = readShapes(
      json(
        track,
        { type: 'Polygon', coordinates: [ring(0.001), ring(0.0004)] },
        {
          type: 'MultiPoint',
          coordinates: [
            [-4.83, 43.18],
            [-4.831, 43.18],
          ],
        },
      ),
      HERE,
    );
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.things.map((t) => [t.shape, t.note])).toEqual([
      ['line', expect.stringMatching(/strays by/) as string],
      ['area', 'its holes are filled'],
      ['point', ''],
      ['point', ''],
    ]);
    expect(read.value.things[0]?.points.length).toBeLessThanOrEqual(2000);
  });
  it('paths of shots go out with their heights and are not taken back in as ways', () => {
    const text = writeShapes(
      [
        {
          shape: 'line',
          points: [
            { xM: 0, yM: 0, zM: 10 },
            { xM: 5, yM: 5, zM: 12 },
          ],
          properties: { kind: 'path', name: '3' },
        },
      ],
      'geojson',
      HERE,
      640,
    );
    expect(text).toContain('650');
    expect(readShapes(text, HERE)).toMatchObject({
      ok: true,
      value: { things: [], skipped: [{ why: expect.stringMatching(/path of a shot/) as string }] },
    });
  });
});
