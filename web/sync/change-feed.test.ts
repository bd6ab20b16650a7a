import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ChangeFeed } from './change-feed';

/** Every connection that was begun, in order. */
const begun: Connection[] = [];
class Connection extends EventTarget {
  static readonly CLOSED = 2;
  readyState = 1;
  readonly since: number;
  constructor(url: string) {
    super();
    this.since = Number(new URL(url, 'http://x').searchParams.get('since'));
    begun.push(this);
  }
  close(): void {
    this.readyState = Connection.CLOSED;
  }
  says(name: string, data: unknown = {}): void {
    this.dispatchEvent(new MessageEvent(name, { data: JSON.stringify(data) }));
  }
}

describe('the feed of changes', () => {
  let wake: { online: () => void; seen: () => void; hidden: () => void };
  let awake: boolean;
  const arrived: number[] = [];
  const feed = () =>
    new ChangeFeed(
      7,
      {
        change: (c) => arrived.push(c.sequence),
        reset: () => undefined,
        open: () => undefined,
      },
      (acts) => {
        wake = acts;
        awake = true;
        return () => (awake = false);
      },
    );
  const newest = () => begun.at(-1)!;
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', Connection);
    begun.length = arrived.length = 0;
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('begins anew at once when the network is back, after the last change that arrived', () => {
    feed();
    newest().says('change', { sequence: 9 });
    newest().says('change', { sequence: 12 });
    wake.online();
    expect(begun.map((c) => [c.since, c.readyState])).toEqual([
      [7, 2],
      [12, 1],
    ]);
    expect(arrived).toEqual([9, 12]);
  });

  it('holds a connection that beats, and leaves one that says nothing', () => {
    feed();
    for (let n = 0; n < 20; n++) {
      vi.advanceTimersByTime(20_000);
      newest().says('beat');
    }
    expect(begun).toHaveLength(1);
    vi.advanceTimersByTime(61_000);
    expect(begun.length).toBeGreaterThan(1);
  });

  it('a device that slept is not kept on a dead line when it is looked at again', () => {
    feed();
    wake.seen();
    expect(begun).toHaveLength(1);
    // Asleep no timer runs; only the clock has gone on.
    vi.setSystemTime(Date.now() + 3_600_000);
    wake.seen();
    expect(begun).toHaveLength(2);
  });

  it('gives its connection back while nobody looks, and catches up when somebody does', () => {
    feed();
    newest().says('change', { sequence: 9 });
    wake.hidden();
    vi.advanceTimersByTime(9000);
    wake.seen();
    expect([begun.length, newest().readyState]).toEqual([1, 1]);
    wake.hidden();
    vi.advanceTimersByTime(600_000);
    wake.online();
    expect([begun.length, newest().readyState]).toEqual([1, 2]);
    wake.seen();
    expect([begun.length, newest().since, newest().readyState]).toEqual([2, 9, 1]);
  });

  it('asks again after a refusal, and no more once it is closed', () => {
    const one = feed();
    newest().close();
    newest().dispatchEvent(new Event('error'));
    vi.advanceTimersByTime(4000);
    expect(begun).toHaveLength(2);
    // A broken line the browser mends itself.
    newest().dispatchEvent(new Event('error'));
    vi.advanceTimersByTime(20_000);
    expect(begun).toHaveLength(2);
    one.close();
    vi.advanceTimersByTime(600_000);
    expect([begun.length, newest().readyState, awake]).toEqual([2, 2, false]);
  });
});
