import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, shallowRef } from 'vue';
import { useInPieces } from './in-pieces';

/** Pictures as this test lets them come; what was deferred runs after each. */
let frames: (() => void)[] = [];
const picture = async (): Promise<void> => {
  const due = frames;
  frames = [];
  for (const act of due) act();
  vi.advanceTimersByTime(1);
  await nextTick();
};
/** Who waits for printing. */
let printing: { name: string; act: () => void } | null = null;
const numbers = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

describe('a long list', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('document', { hidden: false });
    vi.stubGlobal('addEventListener', (name: string, act: () => void) => (printing = { name, act }));
    vi.stubGlobal('removeEventListener', () => (printing = null));
    vi.stubGlobal('requestAnimationFrame', (act: () => void) => frames.push(act));
    vi.stubGlobal('cancelAnimationFrame', (at: number) => frames.splice(at - 1, 1, () => undefined));
  });
  afterEach(async () => {
    for (let i = 0; i < 5; i += 1) await picture();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });
  const inScope = (list: { value: number[] }, piece: number) => {
    const scope = effectScope();
    const shown = scope.run(() => useInPieces(() => list.value, piece))!;
    return { scope, shown };
  };

  it('begins with a piece and grows by one after each picture, in order, until it is whole', async () => {
    const { scope, shown } = inScope(shallowRef(numbers(25)), 10);
    const lengths = [shown.value.length];
    for (let i = 0; i < 4; i += 1) {
      await picture();
      lengths.push(shown.value.length);
    }
    expect(lengths).toEqual([10, 20, 25, 25, 25]);
    expect(shown.value).toEqual(numbers(25));
    scope.stop();
  });
  it('a short one is the list itself at once; what is added to a whole one is there at once', async () => {
    const list = shallowRef(numbers(4));
    const { scope, shown } = inScope(list, 10);
    expect(shown.value).toBe(list.value);
    await picture();
    list.value = numbers(300);
    expect(shown.value).toHaveLength(300);
    scope.stop();
  });
  it('one that comes later begins with a piece as well, and one that is left grows no more', async () => {
    const list = shallowRef<number[]>([]);
    const { scope, shown } = inScope(list, 10);
    await picture();
    list.value = numbers(100);
    expect(shown.value).toHaveLength(10);
    await nextTick();
    scope.stop();
    await picture();
    await picture();
    expect(shown.value).toHaveLength(10);
  });
  it('is whole on paper', async () => {
    const { scope, shown } = inScope(shallowRef(numbers(90)), 10);
    expect(printing?.name).toBe('beforeprint');
    printing?.act();
    await nextTick();
    expect(shown.value).toHaveLength(90);
    scope.stop();
    expect(printing).toBeNull();
  });
});
