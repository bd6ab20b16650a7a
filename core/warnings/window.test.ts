import { describe, expect, it } from 'vitest';
import type { ShotContext } from './context';
import { outsideWindow } from './light';

const CLOSES = Date.UTC(2027, 4, 14, 18);
const at = (startsBeforeCloseS: number, airS: number) =>
  outsideWindow({
    light: { atMs: CLOSES - startsBeforeCloseS * 1000 },
    windowToMs: CLOSES,
    facts: { seconds: { airS }, shot: { id: 's' }, location: { zone: 'Europe/Madrid' } },
  } as unknown as ShotContext);

describe('a shot and the end of its window', () => {
  it('fits to the second, and not one more', () => {
    expect(at(120, 120)).toBeNull();
    expect(at(120, 121)?.code).toBe('light.window');
    expect(at(-600, 1)?.code).toBe('light.window');
    expect(at(600, 120)).toBeNull();
  });
  it('names when the window closes and by how much', () => {
    expect(at(0, 300)?.say.values).toMatchObject({
      minutes: { value: 5, quantity: 'minutes' },
      windowTo: '20:00',
    });
  });
});
