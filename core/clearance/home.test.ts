import { describe, expect, it } from 'vitest';
import type { Ground } from '../terrain';
import { toSegment, vec } from '../geometry';
import { wayHomeOver } from './home';
import { areaSolid } from './solid';

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
  it('flies over the roof of a wood that is far wider than the corridor, from wherever it comes', () => {
    const level = { at: () => 2, grid: null } as unknown as Ground;
    const tops = [vec(-300, -300, 25), vec(300, -300, 25), vec(300, 300, 25), vec(-300, 300, 25)];
    const wood = areaSolid('w', 'Wood', tops, true);
    for (const turn of [0, 0.7, 2, 4]) {
      const far = vec(150 * Math.cos(turn), 150 * Math.sin(turn), 60);
      for (const [a, b] of [
        [far, vec(20, -10, 2)],
        [vec(20, -10, 60), far],
      ] as const) {
        const over = wayHomeOver(level, [wood], a, b, 8, 120);
        expect(over).toMatchObject({ by: wood, ceilingM: 122 });
        expect(over.tallestM).toBeCloseTo(25, 9);
        // What is named lies in the corridor, one cell beside it at the most.
        expect(toSegment(a, b, over.at.x, over.at.y)).toBeLessThan(8 + 2 * 5);
      }
    }
  });
  it('meets the ridge of a roof between two edges, not only its eaves', () => {
    // A wood that rises from 10 m in the west to 40 m in the east; the way runs along x = 100, 4/6 of the way up.
    const tops = [vec(-300, -300, 10), vec(300, -300, 40), vec(300, 300, 40), vec(-300, 300, 10)];
    const slope = areaSolid('s', 'Slope', tops, true);
    const level = { at: () => 0, grid: null } as unknown as Ground;
    const over = wayHomeOver(level, [slope], vec(100, 120, 60), vec(100, -120, 0), 10, 120);
    // 30 m over 600 m: a twentieth for each metre; as far east as the corridor goes, and a cell.
    expect(over.tallestM).toBeGreaterThanOrEqual(10 + (400 + 10) / 20);
    expect(over.tallestM).toBeLessThanOrEqual(10 + (400 + 20) / 20);
  });
  it('says where the ground is not known', () => {
    const half = { at: (_: number, y: number) => (y > 50 ? NaN : 3), grid: null } as unknown as Ground;
    expect(wayHomeOver(half, [], from, home, 5, 120)).toMatchObject({ unknown: true, ceilingM: 123 });
    expect(wayHomeOver(groundWith(0), [], from, home, 5, 120).unknown).toBe(false);
  });
});
