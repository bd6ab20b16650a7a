import { readdir } from 'node:fs/promises';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Problem } from '@contract';
import { connect } from './database';
import { storageFault } from './http/storage-fault';
import { batchOf, change, getJson, openFirst, post, testServer } from './testing';

let server: Awaited<ReturnType<typeof testServer>>;
beforeEach(async () => {
  server = await testServer();
});
afterEach(() => server.end());

const health = async () => {
  const response = await fetch(`${server.address}/api/health`);
  return { status: response.status, body: (await response.json()) as { ok: boolean; trouble?: Problem } };
};
const filmRow = async () => {
  const { rows } = await openFirst(server.address);
  return rows.find((r) => r.kind === 'film')!;
};
const rename = async (name: string): Promise<Response> => {
  const film = await filmRow();
  return post(server.address, '/api/changes', batchOf(change('film', film.version, { ...film.value, name })));
};
const nameNow = async (): Promise<string> =>
  (await getJson<{ films: { name: string }[] }>(server.address, '/api/films')).films[0]!.name;
/** Larger than any room that is left in the pages there are. */
const LARGE = 'x'.repeat(9000);

describe('a disk that takes nothing more', () => {
  it('is tried once for all who ask at the same moment, and anew for who asks later', async () => {
    // The store is busy until everybody has asked.
    let release = (): void => undefined;
    const busy = server.store.alone(() => new Promise<void>((resolve) => (release = resolve)));
    const turns = vi.spyOn(server.store, 'alone');
    const asking = Array.from({ length: 30 }, health);
    await nameNow();
    release();
    await busy;
    expect((await Promise.all(asking)).map((a) => a.status)).toEqual(Array<number>(30).fill(200));
    expect(turns.mock.calls.length).toBeLessThan(15);
    const asked = turns.mock.calls.length;
    await health();
    expect(turns.mock.calls.length).toBe(asked + 1);
  });
  it.each([
    ['full', 'PRAGMA max_page_count = 1', 'PRAGMA max_page_count = 1000000', 'storage-full', 507],
    ['read-only', 'PRAGMA query_only = ON', 'PRAGMA query_only = OFF', 'storage-read-only', 507],
  ] as const)(
    '%s is named, health says no, and once there is room the same change goes through',
    async (_, breaks, mends, kind, status) => {
      expect(await health()).toMatchObject({ status: 200, body: { ok: true } });
      const before = await nameNow();
      await server.store.alone((w) => w.query(breaks));
      const film = await filmRow();
      const batch = batchOf(change('film', film.version, { ...film.value, purpose: LARGE, name: 'Kept' }));
      const refused = await post(server.address, '/api/changes', batch);
      expect(refused.status).toBe(status);
      const problem = (await refused.json()) as Problem;
      expect(problem.type).toBe(`urn:dusk-slate:${kind}`);
      expect(problem.detail).toMatch(/kept on this device/);
      expect(await health()).toMatchObject({
        status: 503,
        body: { ok: false, trouble: { type: problem.type } },
      });
      expect(await nameNow()).toBe(before);

      await server.store.alone((w) => w.query(mends));
      expect((await post(server.address, '/api/changes', batch)).status).toBe(200);
      expect(await nameNow()).toBe('Kept');
      expect(await health()).toMatchObject({ status: 200, body: { ok: true } });
      expect((await readdir(server.dataDir)).filter((f) => f.includes('probe'))).toEqual([]);
    },
  );

  it('held by another program is named, and free again it goes through', async () => {
    await server.store.alone((w) => w.query('PRAGMA busy_timeout = 50'));
    const other = connect(server.dataDir);
    await other.query('BEGIN IMMEDIATE');
    const refused = await rename('Waiting');
    expect(refused.status).toBe(503);
    expect(((await refused.json()) as Problem).type).toBe('urn:dusk-slate:storage-busy');
    expect((await health()).body.ok).toBe(false);
    await other.query('ROLLBACK');
    await other.close();
    expect((await rename('Waiting')).status).toBe(200);
  });
});

describe('what an error says about the disk', () => {
  it('is found however deep the driver’s error is wrapped, and is not made up', () => {
    const wrap = (code: string) => ({ name: 'DatabaseError', parent: { original: { code } } });
    expect(storageFault(wrap('SQLITE_FULL'))?.kind).toBe('storage-full');
    expect(storageFault(wrap('SQLITE_READONLY_DBMOVED'))?.kind).toBe('storage-read-only');
    expect(storageFault({ code: 'ENOSPC' })?.kind).toBe('storage-full');
    expect(storageFault({ cause: { code: 'EIO' } })?.kind).toBe('storage-failing');
    for (const other of [null, 'SQLITE_FULL', new Error('x'), wrap('SQLITE_CONSTRAINT'), { code: 'EFULL' }])
      expect(storageFault(other)).toBeNull();
  });
});
