import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, shallowRef } from 'vue';
import { defer, useDeferred } from './deferred';

/** Frames as this test lets them come. */
let frames: (() => void)[] = [];
const frame = (): void => {
  const due = frames;
  frames = [];
  for (const act of due) act();
  vi.advanceTimersByTime(1);
};

describe('taking turns', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('document', { hidden: false });
    vi.stubGlobal('requestAnimationFrame', (act: () => void) => frames.push(act));
    vi.stubGlobal('cancelAnimationFrame', (at: number) => frames.splice(at - 1, 1, () => undefined));
  });
  afterEach(() => {
    for (let i = 0; i < 10; i += 1) frame();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it('does one thing after each picture, each thing once, in the order asked', () => {
    const done: string[] = [];
    const [a, b] = [{}, {}];
    defer(a, () => done.push('a'));
    defer(b, () => done.push('b'));
    defer(a, () => done.push('a again'));
    expect(done).toEqual([]);
    frame();
    expect(done).toEqual(['a']);
    frame();
    expect(done).toEqual(['a', 'b']);
    frame();
    defer(a, () => done.push('a anew'));
    frame();
    expect(done).toEqual(['a', 'b', 'a anew']);
  });

  it('a window that is given no picture still comes to all of it, each thing once', () => {
    const done: string[] = [];
    for (const name of ['a', 'b', 'c']) defer({}, () => done.push(name));
    vi.advanceTimersByTime(99);
    expect(done).toEqual([]);
    vi.advanceTimersByTime(201);
    expect(done).toEqual(['a', 'b', 'c']);
    frame();
    expect(done).toEqual(['a', 'b', 'c']);
  });

  it('goes on with the next when one of them fails', () => {
    let after = false;
    defer({}, () => {
      throw new Error('one pane');
    });
    defer({}, () => {
      after = true;
    });
    expect(frame).toThrow('one pane');
    frame();
    expect(after).toBe(true);
  });

  it('shows the newest value when its turn comes, and nothing after its pane is gone', () => {
    const source = shallowRef(1);
    const scope = effectScope();
    const shown = scope.run(() => useDeferred(() => source.value))!;
    expect(shown.value).toBe(1);
    source.value = 2;
    source.value = 3;
    expect(shown.value).toBe(1);
    frame();
    expect(shown.value).toBe(3);
    source.value = 4;
    scope.stop();
    frame();
    expect(shown.value).toBe(3);
  });
});
