// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import type { FindProjection } from './heights/projection';
import { readShapeFile } from './shape-files';
import { readShapes } from './shapes';

/** GDAL gives 43.180631, -4.830317 for the wire's first corner, 351250, 4782500 in EPSG:25830. */
const FIRST = { latitude: 43.18063095209721, longitude: -4.830316795491624 };
const UTM30: FindProjection = (code) =>
  Promise.resolve(
    code === 25_830
      ? {
          code,
          name: 'ETRS89 / UTM zone 30N',
          unit: 'metre',
          proj4: '+proj=utm +zone=30 +ellps=GRS80 +units=m +no_defs',
        }
      : null,
  );
const bytes = (name: string) => readFileSync(`web/exchange/fixtures/${name}`);
const shapes = async (file: Uint8Array | string) => {
  const held = typeof file === 'string' ? new TextEncoder().encode(file) : Uint8Array.from(file);
  const text = await readShapeFile({ arrayBuffer: () => Promise.resolve(held.buffer) }, UTM30);
  return text.ok ? readShapes(text.value, FIRST) : text;
};

describe('shapes as other programs write them', () => {
  it.each(['named-projection.geojson', 'zipped.kmz'])('%s lies where it was drawn', async (name) => {
    const read = await shapes(bytes(name));
    if (!read.ok) throw new Error(read.reason);
    const [wire] = read.value.things;
    expect(wire?.name).toBe('Wire');
    expect(wire?.points).toHaveLength(3);
    expect(Math.hypot(wire?.points[0]?.xM ?? 9, wire?.points[0]?.yM ?? 9)).toBeLessThan(0.05);
    // 150 m east and 150 m north on the grid, which is turned by about a degree here.
    const [, , last] = wire?.points ?? [];
    expect(Math.abs(Math.hypot(last?.xM ?? 0, last?.yM ?? 0) - Math.hypot(150, 150))).toBeLessThan(0.5);
  });
  it('keeps lines straight that mix corners with heights and without', async () => {
    const mixed = {
      type: 'Feature',
      properties: {},
      geometry: {
        type: 'LineString',
        coordinates: [
          [-4.83, 43.18, 900],
          [-4.829, 43.18],
          [-4.828, 43.18, 910],
        ],
      },
    };
    const read = await shapes(JSON.stringify(mixed));
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.things[0]?.points).toHaveLength(3);
    for (const p of read.value.things[0]?.points ?? []) expect(Math.abs(p.yM)).toBeLessThan(100);
  });
  it('reads prefixed elements after a long comment, and other encodings', async () => {
    const kml = `<?xml version="1.0"?><!-- ${'x'.repeat(9000)} --><k:kml xmlns:k="http://www.opengis.net/kml/2.2"><k:Placemark><k:name>Wall</k:name><k:Point><k:coordinates>-4.83,43.18</k:coordinates></k:Point></k:Placemark></k:kml>`;
    expect(await shapes(kml)).toMatchObject({ ok: true, value: { things: [{ name: 'Wall' }] } });
    expect(await shapes(bytes('latin2.kml'))).toMatchObject({
      ok: true,
      value: { things: [{ name: 'Łąka' }] },
    });
  });
  it('fetches and shows nothing that a description points to', async () => {
    const kml =
      '<kml xmlns="http://www.opengis.net/kml/2.2"><Placemark><name>Mast</name><description><![CDATA[<img src="https://elsewhere.example/x.png" onerror="alert(1)">]]></description><Style><IconStyle><Icon><href>https://elsewhere.example/i.png</href></Icon></IconStyle></Style><Point><coordinates>-4.83,43.18</coordinates></Point></Placemark></kml>';
    const read = await shapes(kml);
    expect(read).toMatchObject({
      ok: true,
      value: { things: [{ attributes: { notes: expect.stringContaining('<img') as string } }] },
    });
    expect(document.querySelectorAll('img')).toHaveLength(0);
  });
  it('says what it cannot take', async () => {
    const unknown = JSON.stringify({
      type: 'Point',
      crs: { properties: { name: 'urn:ogc:def:crs:EPSG::31467' } },
      coordinates: [1, 2],
    });
    expect(await shapes(unknown)).toMatchObject({
      ok: false,
      reason: expect.stringContaining('31467') as string,
    });
    const empty = zipSync({ 'readme.txt': new Uint8Array([65]) });
    expect(await shapes(empty)).toMatchObject({ ok: false, reason: 'The zipped file holds no KML.' });
    const bomb = zipSync({ 'doc.kml': new Uint8Array(61_000_000) });
    expect(await shapes(bomb)).toMatchObject({
      ok: false,
      reason: expect.stringContaining('too large') as string,
    });
    expect(await shapes(bytes('zipped.kmz').subarray(0, 100))).toMatchObject({ ok: false });
  });
});
