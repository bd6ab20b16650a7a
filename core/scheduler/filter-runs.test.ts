import { describe, expect, it } from 'vitest';
import { longestRun } from './filter-windows';

describe('the longest run of looks', () => {
  it.each([
    ['11011101', [3, 6]],
    ['0110110', [1, 3]],
    ['0010111', [4, 7]],
    ['1110001', [0, 3]],
    ['1', [0, 1]],
    ['000', null],
    ['', null],
  ] as const)('%s', (looks, run) => {
    expect(longestRun([...looks].map((c) => c === '1'))).toEqual(run);
  });
});
