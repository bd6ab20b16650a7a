import { execFileSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { setImmediate } from 'node:timers/promises';
import { gzipSync } from 'node:zlib';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FilmFile, Problem } from '@contract';
import { demoFilm } from '@demo';
import { newRow } from '@core/model';
import { v4 as uuid } from 'uuid';
import { getJson, testServer, pictureOf } from '../testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.end());

const send = async (zip: Uint8Array): Promise<{ status: number; body: Problem & { id?: string } }> => {
  // Packing kept the loop busy: connections that idled out meanwhile are closed first, or the next request is sent on one.
  await setImmediate();
  await setImmediate();
  const response = await fetch(`${server.address}/api/films/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: Uint8Array.from(zip),
  });
  return { status: response.status, body: (await response.json()) as Problem & { id?: string } };
};
const folderOf = async (id: string): Promise<Uint8Array> => {
  const response = await fetch(`${server.address}/api/films/${id}/file.zip`);
  expect(response.headers.get('content-type')).toBe('application/zip');
  return new Uint8Array(await response.arrayBuffer());
};
/** What of a film does not depend on its new ids. */
const gist = (f: FilmFile) => ({
  name: f.film.name,
  shots: f.shots.map((s) => [s.title, s.position, s.move]).sort(),
  features: f.features.map((x) => [x.kind, x.points, x.name]).sort(),
  grounds: f.grounds.map((g) => [g.assetId, g.lowM, g.highM]).sort(),
  assets: f.assets.map((a) => [a.id, a.mime, a.data.length]).sort(),
});
const stored = (id: string) => getJson<FilmFile>(server.address, `/api/films/${id}/file`);
const folder = (film: object, files: Record<string, Uint8Array> = {}): Uint8Array =>
  zipSync({ 'film.json': strToU8(JSON.stringify(film)), ...files });

describe('a film as one folder', () => {
  it('goes out and comes in again as it was, its files beside it and not inside', async () => {
    const id = await server.films.importFile(demoFilm(), 'test');
    const zip = await folderOf(id);
    const names = Object.keys(unzipSync(zip));
    const before = await stored(id);
    expect(names.sort()).toEqual(
      ['film.json', ...before.assets.map((a) => `files/${a.id}.heights.gz`)].sort(),
    );
    expect(new TextDecoder().decode(unzipSync(zip)['film.json'])).not.toContain('"data"');
    const { status, body } = await send(zip);
    expect(status).toBe(201);
    expect(gist(await stored(body.id!))).toEqual(gist(before));
  });

  it.runIf(existsSync('/usr/bin/unzip'))('is whole to another program', async () => {
    const dir = await mkdtemp(join(tmpdir(), 'dusk-zip-'));
    await writeFile(join(dir, 'film.zip'), await folderOf(await server.films.importFile(demoFilm(), 'test')));
    expect(execFileSync('/usr/bin/unzip', ['-t', join(dir, 'film.zip')]).toString()).toContain('No errors');
    await rm(dir, { recursive: true, force: true });
  });

  it('packed by another program, with folders and files of its own in it, is taken in', async () => {
    const { status, body } = await send(await readFile(join(import.meta.dirname, 'fixtures', 'packed.zip')));
    expect(status, body.detail).toBe(201);
    const film = await stored(body.id!);
    expect(film.pictures.map((p) => p.name)).toEqual(['Aerial view']);
    expect(film.assets.map((a) => a.mime)).toEqual(['image/png']);
  });

  it('of 200 MB comes back file by file, byte for byte', async () => {
    const file = demoFilm();
    const [location] = file.locations;
    const pictures = Array.from({ length: 17 }, () => pictureOf(100, 100, randomBytes(11_900_000)));
    const ids = pictures.map((bytes) => createHash('sha256').update(bytes).digest('hex'));
    const film = {
      ...file,
      pictures: ids.map((assetId, i) =>
        newRow('picture', {
          id: uuid(),
          locationId: location!.id,
          name: `${i}`,
          assetId,
          widthPx: 100,
          heightPx: 100,
          pins: [
            { px: 0, py: 0, xM: 0, yM: 0 },
            { px: 99, py: 0, xM: 99, yM: 0 },
          ],
        }),
      ),
      assets: [
        ...file.assets,
        ...ids.map((id) => ({ id, mime: 'image/png' as const, file: `files/${id}.png` })),
      ],
    };
    const entries = Object.fromEntries(ids.map((id, i) => [`files/${id}.png`, new Uint8Array(pictures[i]!)]));
    const { status, body } = await send(
      zipSync({ 'film.json': strToU8(JSON.stringify(film)), ...entries }, { level: 0 }),
    );
    expect(status, body.detail).toBe(201);
    const out = unzipSync(await folderOf(body.id!));
    for (const id of ids) expect(createHash('sha256').update(out[`files/${id}.png`]!).digest('hex')).toBe(id);
  });

  it('that is damaged, holds no film, misses a file, or unpacks to too much is refused with its reason', async () => {
    const film = demoFilm();
    const bare = {
      ...film,
      assets: film.assets.map(({ id, mime }) => ({ id, mime, file: `files/${id}.heights.gz` })),
    };
    const refused = async (zip: Uint8Array, status: number, detail: RegExp) => {
      const answer = await send(zip);
      expect(answer.body.detail).toMatch(detail);
      expect(answer.status).toBe(status);
    };
    await refused(folder(bare).slice(0, 400), 400, /damaged/);
    const vast = pictureOf(60_000, 60_000);
    const bombId = createHash('sha256').update(vast).digest('hex');
    const withBomb = {
      ...bare,
      assets: [...bare.assets, { id: bombId, mime: 'image/png', file: `files/${bombId}.png` }],
    };
    const files = Object.fromEntries(
      film.assets.map(({ id, data }) => [
        `files/${id}.heights.gz`,
        new Uint8Array(Buffer.from(data, 'base64')),
      ]),
    );
    await refused(
      zipSync({
        'film.json': strToU8(JSON.stringify(withBomb)),
        [`files/${bombId}.png`]: new Uint8Array(vast),
        ...files,
      }),
      413,
      /3600 megapixels/,
    );
    await refused(zipSync({ 'notes.txt': strToU8('hello') }), 400, /no film\.json/);
    await refused(zipSync({ '../film.json': strToU8('{}') }), 400, /no film\.json/);
    await refused(zipSync({ 'film.json': strToU8('{') }), 400, /not readable JSON/);
    await refused(folder(bare), 400, /files\/.*is missing/);
    const [asset] = film.assets;
    const swapped = { [`files/${asset!.id}.heights.gz`]: new Uint8Array(gzipSync('something else')) };
    await refused(folder({ ...bare, assets: [bare.assets[0]] }, swapped), 400, /damaged/);
    for (const odd of [null, [], { ...bare, assets: [null, 7] }, { ...bare, assets: {} }])
      expect((await send(folder(odd as object))).status, JSON.stringify(odd)?.slice(0, 40)).toBe(400);
    await refused(folder({ ...bare, assets: [{ file: '__proto__' }] }), 400, /__proto__ is missing/);
    // A small file whose directory says that it grows to 260 MB.
    const bomb = folder(film);
    const directory = Buffer.from(bomb).indexOf(Buffer.from('PK\u0001\u0002', 'latin1'));
    new DataView(bomb.buffer, bomb.byteOffset).setUint32(directory + 24, 260_000_000, true);
    await refused(bomb, 413, /larger than 250 MB/);
    expect((await fetch(`${server.address}/api/films/${uuid()}/file.zip`)).status).toBe(404);
  });
});
