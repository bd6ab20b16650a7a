import { createHash } from 'node:crypto';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { AnyRow, FilmFile, Problem } from '@contract';
import { unpackHeights } from '@core/terrain';
import { demoFilm } from '@demo';
import { v4 as uuid } from 'uuid';
import { batchOf, change, getJson, openFirst, pictureOf, post, testServer } from './testing';
import { readConfig } from './config';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const send = (bytes: Uint8Array, mime: string): Promise<Response> =>
  fetch(`${server.address}/api/assets`, {
    method: 'POST',
    body: bytes as Uint8Array<ArrayBuffer>,
    headers: { 'content-type': mime },
  });
const png = pictureOf(4, 3);
/** A few bytes that a page would unpack to 14 GB. */
const bomb = pictureOf(60_000, 60_000);
const of = <K extends AnyRow['kind']>(rows: readonly AnyRow[], kind: K) =>
  rows.filter((r) => r.kind === kind) as Extract<AnyRow, { kind: K }>[];

describe('files kept beside the rows', () => {
  it('are named by their content, kept once, and given back as they came, for good', async () => {
    const [first, second] = [await send(png, 'image/png'), await send(png, 'image/png')];
    const { id } = (await first.json()) as { id: string };
    expect([first.status, ((await second.json()) as { id: string }).id, id]).toEqual([
      201,
      id,
      createHash('sha256').update(png).digest('hex'),
    ]);
    const back = await fetch(`${server.address}/api/assets/${id}`);
    expect([back.headers.get('content-type'), back.headers.get('cache-control')]).toEqual([
      'image/png',
      expect.stringContaining('immutable') as string,
    ]);
    expect(Buffer.from(await back.arrayBuffer()).equals(png)).toBe(true);
  });
  it.each([
    ['text that calls itself a picture', Buffer.from('<svg onload=alert(1)>'), 'image/png', 415],
    ['a kind that is not kept', Buffer.from('<svg/>'), 'image/svg+xml', 415],
    ['nothing', Buffer.alloc(0), 'image/png', 415],
    ['more than is kept', Buffer.concat([png, Buffer.alloc(12_500_000)]), 'image/png', 413],
    ['a small picture of many pixels', bomb, 'image/png', 413],
    ['a picture without a size', png.subarray(0, 12), 'image/png', 415],
    ['a raster larger than any', gzipSync(Buffer.alloc(33_000_000)), 'application/x-heights', 413],
    ['a raster that is cut off', gzipSync(Buffer.alloc(9000)).subarray(0, 40), 'application/x-heights', 415],
  ])('%s is refused with a reason', async (_, bytes, mime, status) => {
    const answer = await send(bytes, mime);
    expect(answer.status).toBe(status);
    expect(((await answer.json()) as Problem).detail.length).toBeGreaterThan(10);
  });
  it('what is not there is not found, and no other site can put anything here', async () => {
    expect((await fetch(`${server.address}/api/assets/${'0'.repeat(64)}`)).status).toBe(404);
    expect(
      (
        await fetch(`${server.address}/api/assets`, {
          method: 'POST',
          body: png,
          headers: { 'content-type': 'image/png', origin: 'http://elsewhere.test' },
        })
      ).status,
    ).toBe(403);
  });
  it('what nothing refers to goes a day after it was sent; what a row or a step back refers to stays', async () => {
    const { rows } = await openFirst(server.address);
    const [ground] = of(rows, 'ground');
    const { id: loose } = (await (
      await send(gzipSync(Buffer.from('loose')), 'application/x-heights')
    ).json()) as { id: string };
    await post(
      server.address,
      '/api/changes',
      batchOf({ kind: 'ground', id: ground!.value.id, version: ground!.version, value: null }),
    );
    const hours = (n: number): Date => new Date(Date.now() + n * 3_600_000);
    await server.assets.tidy(hours(23));
    expect(await server.assets.get(loose)).not.toBeNull();
    await server.assets.tidy(hours(25));
    expect(await server.assets.get(loose)).toBeNull();
    expect(await server.assets.get(ground!.value.assetId)).not.toBeNull();
  });
});

describe('a row that names a file', () => {
  it('is refused where that was never sent, and taken once it was', async () => {
    const { rows } = await openFirst(server.address);
    const [ground] = of(rows, 'ground');
    const kept = { ...ground!.value, id: uuid() };
    const sendGround = (assetId: string): Promise<Response> =>
      post(
        server.address,
        '/api/changes',
        batchOf({ kind: 'ground', id: kept.id, version: 0, value: { ...kept, assetId } }),
      );
    const bytes = gzipSync(Buffer.from('ground that was never sent'));
    const id = createHash('sha256').update(bytes).digest('hex');
    const refused = await sendGround(id);
    expect(refused.status).toBe(400);
    expect(((await refused.json()) as Problem).detail).toContain('never sent');
    await send(bytes, 'application/x-heights');
    expect((await sendGround(id)).status).toBe(200);
  });
});

describe('places with their ground', () => {
  it('the made-up ground is the same on every machine, and unpacks to what its row says', async () => {
    const file = demoFilm();
    expect(demoFilm().assets).toEqual(file.assets);
    for (const row of file.grounds) {
      const bytes = gunzipSync(Buffer.from(file.assets.find((a) => a.id === row.assetId)!.data, 'base64'));
      const grid = unpackHeights(row, bytes)!;
      expect([Math.min(...grid.heights), Math.max(...grid.heights)].map(Math.round)).toEqual([
        Math.round(row.lowM),
        Math.round(row.highM),
      ]);
    }
  });
  it('a film goes out and comes in with drawings, ground and launch points on new ids, files and all', async () => {
    const launch = demoFilm().features.find((f) => f.kind === 'launch')!;
    const source = {
      ...demoFilm(),
      locations: demoFilm().locations.map((l, i) => (i === 0 ? { ...l, launchId: launch.id } : l)),
    };
    const { id } = (await (await post(server.address, '/api/films/import', source)).json()) as { id: string };
    const file = await getJson<FilmFile>(server.address, `/api/films/${id}/file`);
    expect([file.features.length, file.grounds.length, file.assets.length]).toEqual([
      source.features.length,
      2,
      2,
    ]);
    const moved = file.features.find((f) => f.name === launch.name)!;
    expect(moved.id).not.toBe(launch.id);
    expect(file.locations.find((l) => l.launchId)?.launchId).toBe(moved.id);
    expect(new Set(file.features.map((f) => f.locationId)).size).toBe(3);
  });
  it('a film whose file was changed inside is refused whole', async () => {
    const before = (await getJson<{ films: unknown[] }>(server.address, '/api/films')).films.length;
    const file = demoFilm();
    const wrong = { ...file, assets: file.assets.map((a) => ({ ...a, id: 'f'.repeat(64) })) };
    expect((await post(server.address, '/api/films/import', wrong)).status).toBe(400);
    expect((await getJson<{ films: unknown[] }>(server.address, '/api/films')).films).toHaveLength(before);
  });
  it.each([
    [
      'crosses itself',
      {
        shape: 'area',
        points: [
          [0, 0],
          [10, 10],
          [10, 0],
          [0, 10],
        ],
      },
      /crosses itself/,
    ],
    [
      'has two corners',
      {
        shape: 'area',
        points: [
          [0, 0],
          [10, 10],
        ],
      },
      /three corners/,
    ],
    ['lies beyond the plan', { shape: 'point', points: [[90_000, 0]] }, /20000/],
    ['has no place', { shape: 'point', points: [] }, /at least/],
  ])('an outline that %s is refused with the field', async (_, { shape, points }, why) => {
    const { rows } = await openFirst(server.address);
    const feature = of(rows, 'feature')[0]!.value;
    const answer = await post(
      server.address,
      '/api/changes',
      batchOf(
        change('feature', 0, {
          ...feature,
          id: uuid(),
          shape: shape as 'area',
          points: points.map(([xM = 0, yM = 0]) => ({ xM, yM })),
        }),
      ),
    );
    expect(answer.status).toBe(400);
    const problem = (await answer.json()) as Problem;
    expect(problem.fields?.[0]?.path).toMatch(/^\/points/);
    expect(problem.detail).toMatch(why);
  });
});

describe('projections and settings', () => {
  it('knows a projection of the register by its number and says so when it does not', async () => {
    expect(await getJson(server.address, '/api/projections/25830')).toMatchObject({
      name: expect.stringContaining('UTM zone 30N') as string,
      proj4: expect.stringContaining('+proj=utm +zone=30') as string,
    });
    for (const wrong of ['99999', '..%2f..%2fpackage', 'abcd'])
      expect((await fetch(`${server.address}/api/projections/${wrong}`)).status).toBe(404);
  });
  it('tells no tile address unless one is set, and lets pictures in from nowhere else', async () => {
    expect(await getJson(server.address, '/api/settings')).toEqual({ tiles: '' });
    expect((await fetch(`${server.address}/api/settings`)).headers.get('content-security-policy')).toContain(
      "img-src 'self' data: blob:;",
    );
  });
  it('takes a tile address that is one and refuses what is none', () => {
    expect(readConfig({ DUSK_TILES: 'https://tiles.test/{z}/{x}/{y}.png' }, []).tiles).toBe(
      'https://tiles.test/{z}/{x}/{y}.png',
    );
    expect(() => readConfig({ DUSK_TILES: 'javascript:{z}{x}' }, [])).toThrow(/DUSK_TILES/);
    expect(() => readConfig({ DUSK_TILES: 'https://tiles.test/all.png' }, [])).toThrow(/DUSK_TILES/);
  });
});
