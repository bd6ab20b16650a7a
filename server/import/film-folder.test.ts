import { execFileSync } from 'node:child_process';
import { createCipheriv, createHash } from 'node:crypto';
import { createReadStream, existsSync } from 'node:fs';
import { appendFile, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { setImmediate } from 'node:timers/promises';
import { gzipSync } from 'node:zlib';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { request as httpRequest } from 'node:http';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { FilmFile, Problem } from '@contract';
import { demoFilm } from '@demo';
import { newRow } from '@core/model';
import { v4 as uuid } from 'uuid';
import { writeFilmFolder } from './film-folder';
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
/** Sends a file from the disk as it is read: what fetch holds of a body would be counted as the server's. */
const sendFile = (path: string): Promise<Awaited<ReturnType<typeof send>>> =>
  new Promise((resolve, reject) => {
    const request = httpRequest(
      new URL('/api/films/import', server.address),
      { method: 'POST', headers: { 'content-type': 'application/zip' }, agent: false },
      (response) => {
        text(response).then(
          (body) =>
            resolve({
              status: response.statusCode ?? 0,
              body: JSON.parse(body) as Problem & { id?: string },
            }),
          reject,
        );
      },
    );
    pipeline(createReadStream(path), request).catch(reject);
  });
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
    // Drawn anew each time they are asked for: held, they would be what is counted.
    const noise = (i: number): Buffer =>
      pictureOf(
        100,
        100,
        createCipheriv('aes-128-ctr', Buffer.alloc(16, i), Buffer.alloc(16)).update(Buffer.alloc(11_900_000)),
      );
    const sha = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
    const ids = Array.from({ length: 17 }, (_, i) => sha(noise(i)));
    const pins = [
      { px: 0, py: 0, xM: 0, yM: 0 },
      { px: 99, py: 0, xM: 99, yM: 0 },
    ];
    const shown = { locationId: location!.id, widthPx: 100, heightPx: 100, pins };
    const film = {
      ...file,
      pictures: ids.map((assetId, i) => newRow('picture', { ...shown, id: uuid(), name: `${i}`, assetId })),
      grounds: [],
    };
    const dir = await mkdtemp(join(tmpdir(), 'dusk-zip-'));
    const path = join(dir, 'film.zip');
    const assets = ids.map((id) => ({ id, mime: 'image/png' as const }));
    await writeFilmFolder(
      { film, assets, bytesOf: (id) => Promise.resolve(noise(ids.indexOf(id))) },
      (piece) => appendFile(path, piece),
    );
    // What is held, not what waits to be collected.
    setFlagsFromString('--expose-gc');
    const collect = runInNewContext('gc') as () => void;
    collect();
    const before = process.memoryUsage().arrayBuffers;
    let most = 0;
    const watching = setInterval(() => {
      collect();
      most = Math.max(most, process.memoryUsage().arrayBuffers - before);
    }, 250);
    const { status, body } = await sendFile(path);
    clearInterval(watching);
    expect(status, body.detail).toBe(201);
    // The folder has 202 MB; of them a few files are held at a time.
    expect(most).toBeGreaterThan(1e6);
    expect(most).toBeLessThan(100e6);
    await rm(dir, { recursive: true, force: true });
    const out = unzipSync(await folderOf(body.id!));
    for (const id of ids) expect(sha(out[`files/${id}.png`]!)).toBe(id);
    expect(await readdir(join(server.dataDir, 'incoming'))).toEqual([]);
  });

  it('larger than the limit, packed on the way, broken off or of no kind is refused, and leaves nothing behind', async () => {
    const address = new URL('/api/films/import', server.address);
    const sent = (headers: Record<string, string>, pieces: number, broken = false) =>
      new Promise<number>((resolve) => {
        const request = httpRequest(address, { method: 'POST', headers, agent: false }, (response) => {
          resolve(response.statusCode ?? 0);
          request.destroy();
        });
        request.on('error', () => resolve(-1));
        const piece = Buffer.alloc(1e6, 'P');
        const next = (n: number): void => {
          if (request.destroyed) return;
          if (n < pieces) request.write(piece, () => next(n + 1));
          else if (broken) request.destroy();
          else request.end();
        };
        next(0);
      });
    const zip = { 'content-type': 'application/zip' };
    expect(await sent({ ...zip, 'content-length': '250000001' }, 0)).toBe(413);
    expect(await sent({ ...zip, 'transfer-encoding': 'chunked' }, 252)).toBe(413);
    expect(await sent({ ...zip, 'content-encoding': 'gzip' }, 1)).toBe(415);
    expect(await sent({ 'content-type': 'text/plain' }, 1)).toBe(415);
    expect(await sent({ ...zip, 'content-length': '5000000' }, 2, true)).toBe(-1);
    expect(await sent(zip, 1)).toBe(400);
    await vi.waitFor(async () => expect(await readdir(join(server.dataDir, 'incoming'))).toEqual([]));
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
