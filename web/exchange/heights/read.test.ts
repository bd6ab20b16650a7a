import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { heightIn } from '@core/terrain';
import { describe, expect, it } from 'vitest';
import { doubtfulM } from './doubt';
import type { FindProjection, Projection } from './projection';
import { readHeights } from './read';

/**
 * Files written by GDAL 3.6: 24 × 20 cells of 10 m with their north-west corner at 350000, 4782000 in EPSG:25830, heights
 * 600 m + 2 m a column + 1 m a row. The location is 120 m east and 100 m south of that corner, where the plane stands at
 * 600 + 2 · 11.5 + 9.5 = 632.5 m.
 */
const WHERE = { latitude: 43.175007628718916, longitude: -4.8440514546612565 };
const HERE_M = 632.5;
const require = createRequire(import.meta.url);
const find: FindProjection = (code) => {
  try {
    return Promise.resolve({ ...(require(`epsg-index/s/${code}.json`) as Projection), code });
  } catch {
    return Promise.resolve(null);
  }
};
const bytes = (name: string): ArrayBuffer => {
  const { buffer, byteOffset, byteLength } = readFileSync(new URL(`fixtures/${name}`, import.meta.url));
  return buffer.slice(byteOffset, byteOffset + byteLength) as ArrayBuffer;
};
const read = (name: string, chosen: number | null = null, where = WHERE) =>
  readHeights({ buffer: bytes(name), name }, where, chosen, find);
const taken = async (name: string, chosen: number | null = null) => {
  const reading = await read(name, chosen);
  if (!reading.ok) throw new Error(`${name}: ${reading.reason.code}`);
  return reading.value;
};

describe('files of heights written by another program', () => {
  it.each([
    ['area.tif', 'file', 0.02],
    ['zstd.tif', 'file', 0.02],
    ['lerc.tif', 'file', 0.02],
    ['lerc-zstd.tif', 'file', 0.02],
    ['deflate-tiled.tif', 'file', 0.02],
    ['big.tif', 'file', 0.02],
    ['scaled.tif', 'file', 0.06],
    ['feet.tif', 'file', 0.02],
    ['degrees.tif', 'file', 0.5],
    ['grid.asc', 'nobody', 0.02],
    ['points.xyz', 'nobody', 0.02],
  ])('%s stands at the same height on the same place', async (name, namedBy, tolerance) => {
    const reading = await taken(name);
    const reference = await taken('area.tif');
    expect(reading.namedBy).toBe(namedBy);
    expect(Math.abs(reading.hereM - HERE_M)).toBeLessThan(tolerance);
    for (const [x, y] of [
      [60, 20],
      [-70, 50],
      [30, -60],
    ] as const)
      expect(Math.abs(heightIn(reading.grid, x, y) - heightIn(reference.grid, x, y))).toBeLessThan(
        Math.max(tolerance, 0.1),
      );
  });
  it('lays points by the middle of their cells, areas by their corner', async () => {
    // GDAL gives a point file's corner half a cell north-west of its tie point, so both name the same cells.
    const [area, point] = [await taken('area.tif'), await taken('point.tif')];
    expect(point.grid.westM).toBeCloseTo(area.grid.westM, 6);
    expect(point.hereM).toBeCloseTo(area.hereM, 6);
  });
  it('reads cells that are no squares', async () => {
    const reading = await taken('not-square.asc');
    expect(Math.abs(reading.hereM - HERE_M)).toBeLessThan(1);
  });
  it('says what it did to the figures', async () => {
    const codes = async (name: string) => (await taken(name)).remarks.map((r) => r.code);
    expect(await codes('scaled.tif')).toEqual(['heights.scaled']);
    expect(await codes('feet.tif')).toEqual(['heights.feet']);
    expect(await codes('area.tif')).toEqual([]);
  });
  it('asks about ground far from the elevation that was entered, and not about a hole', () => {
    expect([500, 533, 732, 733, 0].map((e) => doubtfulM({ hereM: HERE_M }, e))).toEqual([
      132.5,
      null,
      null,
      100.5,
      632.5,
    ]);
    expect(doubtfulM({ hereM: NaN }, 0)).toBeNull();
  });
  it('leaves holes unknown', async () => {
    const { grid } = await taken('holes.tif');
    expect(heightIn(grid, -60, 55)).toBeNaN();
    expect(heightIn(grid, 60, -50)).not.toBeNaN();
  });
  it('takes a projection from a person where the file has one of its own, and says when it lies elsewhere', async () => {
    expect(await read('own.tif')).toMatchObject({ ok: false, reason: { code: 'heights.unnamed' } });
    expect(await read('area.tif', 25_829)).toMatchObject({
      ok: false,
      reason: { code: 'heights.elsewhere' },
    });
    expect((await taken('grid.asc', 32_630)).namedBy).toBe('person');
    expect(await read('area.tif', 99_999)).toMatchObject({ reason: { code: 'heights.unknown-projection' } });
  });
  it.each([
    ['rgb.tif', 'heights.picture'],
    ['turned.tif', 'heights.turned'],
  ])('does not take %s for heights', async (name, code) => {
    expect(await read(name)).toMatchObject({ ok: false, reason: { code } });
  });
  it('names a file that is cut off', async () => {
    const half = bytes('zstd.tif').slice(0, 300);
    const reading = await readHeights({ buffer: half, name: 'half.tif' }, WHERE, null, find);
    expect(reading).toMatchObject({ ok: false, reason: { code: 'heights.unreadable' } });
  });
  it('lays a tile of a degree by its name', async () => {
    const tile = new DataView(new ArrayBuffer(1201 * 1201 * 2));
    // One metre a row from the north: 44° N is row 0.
    for (let i = 0; i < 1201 * 1201; i += 1) tile.setInt16(i * 2, Math.floor(i / 1201));
    const reading = await readHeights({ buffer: tile.buffer, name: 'N43W005.hgt' }, WHERE, null, find);
    if (!reading.ok) throw new Error(reading.reason.code);
    expect(reading.value.hereM).toBeCloseTo((44 - WHERE.latitude) * 1200, 1);
    expect(await readHeights({ buffer: tile.buffer, name: 'tile.hgt' }, WHERE, null, find)).toMatchObject({
      ok: false,
    });
  });
});
