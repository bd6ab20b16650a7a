import { beforeEach, describe, expect, it, vi } from 'vitest';
import { MODEL_VERSION, newRow } from '@core/model';
import { deviceHealth, noteServerTime, noteStoredTime } from './device-health';
import type { PendingChange } from './outbox';

/** The disk of a device: what it holds, whether it takes anything, and whether it was cleared. */
const disk = { files: new Map<string, unknown>(), fault: '', cleared: () => undefined as void };
let cookies = '';
vi.mock('./device-store', () => ({
  durableStore: (_db: string, _store: string, cleared: () => void) => {
    disk.cleared = cleared;
    return {};
  },
}));
vi.mock('idb-keyval', () => {
  const refusing = (): void => {
    if (disk.fault) throw Object.assign(new Error(disk.fault), { name: disk.fault });
  };
  return {
    set: async (key: string, value: unknown) => {
      refusing();
      disk.files.set(key, structuredClone(value));
    },
    del: async (key: string) => {
      refusing();
      disk.files.delete(key);
    },
    keys: async () => [...disk.files.keys()],
    entries: async () => [...disk.files.entries()],
  };
});
vi.stubGlobal('navigator', {});
vi.stubGlobal('document', {
  get cookie() {
    return cookies;
  },
  set cookie(text: string) {
    cookies = /Max-Age=0/.test(text) ? '' : (text.split(';')[0] ?? '');
  },
});

const change = (id: string, value: object = { id }): PendingChange =>
  ({ kind: 'shot', id, version: 0, base: null, value }) as never;
const page = async () => {
  vi.resetModules();
  const { storePending, pendingOfClosedTabs, onlyInThisPage } = await import('./pending-storage');
  const { deviceHealth: health } = await import('./device-health');
  return { storePending, pendingOfClosedTabs, onlyInThisPage, health };
};
const ids = (changes: readonly PendingChange[]): string[] => changes.map((c) => c.id);

beforeEach(() => {
  vi.useFakeTimers();
  Object.assign(disk, { files: new Map(), fault: '' });
  cookies = '';
  Object.assign(deviceHealth, { clockAheadMs: 0, clockBeforeMs: null });
});

describe('what waits to be saved', () => {
  it('is named where the device has no room, stays in the page, and is stored once there is room again', async () => {
    const { storePending, onlyInThisPage, health } = await page();
    disk.fault = 'QuotaExceededError';
    await storePending('me', 'f', [change('a')]);
    expect([health.storage, onlyInThisPage(), disk.files.size]).toEqual(['full', true, 0]);
    await storePending('me', 'f', [change('a'), change('b')]);
    disk.fault = '';
    await vi.advanceTimersByTimeAsync(6000);
    expect([health.storage, onlyInThisPage()]).toEqual([null, false]);
    expect(ids((await (await page()).pendingOfClosedTabs('me', 'f')) ?? [])).toEqual(['a', 'b']);
  });
  it('a browser that stores nothing is told from a full device', async () => {
    const { storePending, health } = await page();
    disk.fault = 'InvalidStateError';
    await storePending('me', 'f', [change('a')]);
    expect(health.storage).toBe('refused');
  });
  it('is written again when the browser clears the store under an open page', async () => {
    const { storePending, pendingOfClosedTabs } = await page();
    await storePending('me', 'f', [change('a')]);
    await storePending('me', 'g', [change('b')]);
    await storePending('me', 'g', []);
    disk.files.clear();
    disk.cleared();
    await vi.advanceTimersByTimeAsync(0);
    expect(ids(await pendingOfClosedTabs('me', 'f'))).toEqual(['a']);
    expect(ids(await pendingOfClosedTabs('me', 'g'))).toEqual([]);
  });
  it('what was cleared while no page was open is told, once; what was sent is not', async () => {
    const first = await page();
    vi.setSystemTime(1_800_000_000_000);
    await first.storePending('me', 'f', [change('a')]);
    disk.files.clear();
    const second = await page();
    expect(await second.pendingOfClosedTabs('me', 'f')).toEqual([]);
    expect(second.health.clearedSinceMs).toBe(1_800_000_000_000);
    const third = await page();
    await third.pendingOfClosedTabs('me', 'f');
    expect(third.health.clearedSinceMs).toBeNull();
    await third.storePending('me', 'f', [change('a')]);
    await third.storePending('me', 'f', []);
    const fourth = await page();
    await fourth.pendingOfClosedTabs('me', 'f');
    expect(fourth.health.clearedSinceMs).toBeNull();
  });
  it('of a tab that is gone is stored under the new name before it is taken from the old', async () => {
    const { storePending, pendingOfClosedTabs } = await page();
    await storePending('gone', 'f', [change('a')]);
    await storePending('me', 'f', [change('b')]);
    expect(ids(await pendingOfClosedTabs('me', 'f')).sort()).toEqual(['a', 'b']);
    expect([...disk.files.keys()]).toEqual(['me|f']);
    expect(ids(await (await page()).pendingOfClosedTabs('me', 'f')).sort()).toEqual(['a', 'b']);
  });
  it('of an earlier version comes in today’s fields; of a later one it is left for that', async () => {
    const shot = newRow('shot', { id: 'a', title: 'Kept' } as never) as unknown as Record<string, unknown>;
    const { records, ...old } = shot;
    expect(records).toBeDefined();
    disk.files.set('gone|f', { filmId: 'f', pending: [change('a', { ...old, unheardOf: 1 })] });
    disk.files.set('later|f', { filmId: 'f', pending: [change('z')], model: MODEL_VERSION + 1 });
    const { pendingOfClosedTabs } = await page();
    const found = await pendingOfClosedTabs('me', 'f');
    expect(ids(found)).toEqual(['a']);
    expect(found[0]!.value).toMatchObject({ title: 'Kept' });
    expect(found[0]!.value).not.toHaveProperty('unheardOf');
    expect(disk.files.has('later|f')).toBe(true);
  });
});

describe('the clock of a device', () => {
  const at = Date.parse('2027-05-14T06:00:00Z');
  const date = new Date(at).toUTCString();
  it('is out by how far it is from the middle of question and answer, and right within a minute and a half', () => {
    noteServerTime(date, at + 37 * 60_000 - 400, at + 37 * 60_000 + 400);
    expect(deviceHealth.clockAheadMs).toBe(37 * 60_000);
    noteServerTime(date, at - 8 * 60_000, at - 8 * 60_000);
    expect(deviceHealth.clockAheadMs).toBe(-8 * 60_000);
    noteServerTime(date, at + 60_000, at + 60_000);
    expect(deviceHealth.clockAheadMs).toBe(0);
  });
  it('is not judged by an answer without a time, a slow one, or one that came before it was asked for', () => {
    noteServerTime(null, at, at);
    noteServerTime('soon', at, at);
    noteServerTime(date, at, at + 3_600_000);
    noteServerTime(date, at + 3_600_000, at);
    expect(deviceHealth.clockAheadMs).toBe(0);
  });
  it('that was set back is known by what was stored before, until the application answers', () => {
    noteStoredTime(at, at - 5 * 60_000);
    expect(deviceHealth.clockBeforeMs).toBe(at);
    noteStoredTime(at, at + 1);
    expect(deviceHealth.clockBeforeMs).toBeNull();
    noteStoredTime(at, at - 5 * 60_000);
    noteServerTime(date, at, at);
    expect(deviceHealth.clockBeforeMs).toBeNull();
  });
});
