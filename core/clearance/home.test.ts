import { describe, expect, it } from 'vitest';
import type { Ground } from '../terrain';
import { vec } from '../geometry';
import { wayHomeOver } from './home';

/** Ground of a height everywhere, but for a strip beside the way. */
const groundWith = (beside: number): Ground =>
  ({
    at: (x: number) => (Math.abs(x) >= 4 && Math.abs(x) <= 12 ? beside : 0),
    grid: null,
  }) as unknown as Ground;
const [from, home] = [vec(0, 100, 30), vec(0, 0, 0)];

describe('the way home over ground', () => {
  it('has its ceiling over the ground right below, not over a pit beside it', () => {
    expect(wayHomeOver(groundWith(-50), [], from, home, 10, 120).ceilingM).toBe(120);
    expect(wayHomeOver(groundWith(-50), [], from, home, 10, 120).tallestM).toBe(0);
  });
  it('has its tallest ground from the whole corridor, and none from outside', () => {
    expect(wayHomeOver(groundWith(18), [], from, home, 10, 120).tallestM).toBe(18);
    const far = { at: (x: number) => (Math.abs(x) > 30 ? 18 : 0), grid: null } as unknown as Ground;
    expect(wayHomeOver(far, [], from, home, 10, 120).tallestM).toBe(0);
    expect(wayHomeOver(far, [], from, home, 40, 120).tallestM).toBe(18);
  });
  it('says where the ground is not known', () => {
    const half = { at: (_: number, y: number) => (y > 50 ? NaN : 3), grid: null } as unknown as Ground;
    expect(wayHomeOver(half, [], from, home, 5, 120)).toMatchObject({ unknown: true, ceilingM: 123 });
    expect(wayHomeOver(groundWith(0), [], from, home, 5, 120).unknown).toBe(false);
  });
});
