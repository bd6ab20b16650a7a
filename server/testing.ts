import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoFilm } from '@demo';
import pino from 'pino';
import type { AnyRow, Batch, Change } from '@contract';
import type { EntityKind } from '@core/model';
import { v4 as uuid } from 'uuid';
import { start, type Running } from './start';

/** A real application on a free port with a database file of its own. */
export const testServer = async (
  seed = true,
): Promise<Running & { dataDir: string; end: () => Promise<void> }> => {
  const dataDir = await mkdtemp(join(tmpdir(), 'dusk-test-'));
  const config = {
    host: '127.0.0.1',
    port: 0,
    dataDir,
    names: ['slate.test'],
    demo: false,
    webDir: join(dataDir, 'none'),
  };
  const running = await start(config, pino({ level: 'silent' }), async (films) => {
    if (seed) await films.importFile(demoFilm(), 'test');
  });
  return {
    ...running,
    dataDir,
    end: async () => {
      await running.stop();
      await rm(dataDir, { recursive: true, force: true });
    },
  };
};

export const change = (
  kind: EntityKind,
  version: number,
  value: Record<string, unknown> & { id: string },
): Change => ({ kind, id: value.id, version, value });

export const batchOf = (...changes: Change[]): Batch => ({ batch: uuid(), device: 'test', changes });

export const post = (
  address: string,
  path: string,
  body: unknown,
  headers: Record<string, string> = {},
): Promise<Response> =>
  fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

export const getJson = async <T>(address: string, path: string): Promise<T> =>
  (await fetch(`${address}${path}`)).json() as Promise<T>;

export const openFirst = async (
  address: string,
): Promise<{ id: string; rows: AnyRow[]; sequence: number }> => {
  const { films } = await getJson<{ films: { id: string }[] }>(address, '/api/films');
  const id = films[0]?.id ?? '';
  return { id, ...(await getJson<{ rows: AnyRow[]; sequence: number }>(address, `/api/films/${id}`)) };
};

/** A file that begins as a picture (PNG) of some size does, and holds whatever else. */
export const pictureOf = (
  width: number,
  height: number,
  rest: Buffer = Buffer.from('made up'),
): Buffer<ArrayBuffer> => {
  const head = Buffer.alloc(33);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(head);
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  Buffer.from('0806000000', 'hex').copy(head, 24);
  return Buffer.concat([head, rest]);
};
